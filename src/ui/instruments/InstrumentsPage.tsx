'use client';
import { type Person } from '@/contracts/person';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { STATE_WORDS, valueText } from './liveText';
import { useInstruments } from './useInstruments';

/** Every instrument of the shop as it stands: what it says, whether it can be trusted, and its zero. */
export function InstrumentsPage({ people, person }: { people: readonly Person[]; person: string }) {
  const live = useInstruments();
  const { busy, problem, run } = useSend();
  return (
    <PageFrame
      title="Instruments"
      note="simulated in the demo; each is read over its own line"
      people={people}
      person={person}
      tape={<StationTape current="instruments" />}
    >
      <Sheet title="On the line">
        {live.length === 0 ? (
          <p>No instrument is connected. Everything is measured by tape; a list of instruments is named at start.</p>
        ) : (
          <div className="scroll">
            <table className="plain">
              <thead>
                <tr>
                  <th scope="col">instrument</th>
                  <th scope="col">says</th>
                  <th scope="col">state</th>
                  <th scope="col">lines not understood</th>
                  <th scope="col">zero</th>
                </tr>
              </thead>
              <tbody>
                {live.map((l) => (
                  <tr key={l.id} data-instrument={l.id}>
                    <td>{l.name}</td>
                    <td className="figure">
                      {l.values.map((v) => `${v.quantity} ${valueText(v)}`).join(', ')} {l.word ?? ''}
                    </td>
                    <td>
                      <Marked kind={l.state === 'settled' ? 'done' : l.state === 'settling' ? 'open' : 'look'}>
                        {STATE_WORDS[l.state]}
                      </Marked>
                    </td>
                    <td className="figure">{l.garbled}</td>
                    <td>
                      <button
                        type="button"
                        className="act quiet"
                        disabled={busy || l.state === 'cutOff' || l.state === 'silent'}
                        onClick={() => void run(() => call(`/api/instruments/${l.id}/zero`, 'POST'))}
                      >
                        Zero, nothing on it
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        <ProblemNote problem={problem} />
      </Sheet>
    </PageFrame>
  );
}
