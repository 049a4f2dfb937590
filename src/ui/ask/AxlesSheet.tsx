'use client';
import { Select } from 'antd';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useId } from 'react';
import { type JobAxleAct } from '@/contracts/jobAxle';
import { type JobView } from '@/contracts/job';
import { AXLE_NAMES, axleName, SUSPENSIONS } from '@/core/suspension/names';
import { arrangedOf, KIND_IDS, type KindId } from '@/core/suspension/registry';
import { formOf } from '@/core/vehicle/form';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Length, PlusMinus } from '../measured/Figure';
import { TypedField, type Typed } from '../measured/TypedField';
import { useKept } from '../measured/useKept';
import { ASK_RULES } from './askRules';
import { AxleFactFields, factsReady, type AxleFactsDraft } from './AxleFactFields';

/** Axles that can be worked on so far. */
const WORKED = ['front', 'rear'] as const;

interface Draft extends AxleFactsDraft {
  /** Made once, so that a second try after a lost answer takes no axle in twice. */
  id: string;
  position: (typeof WORKED)[number];
  suspension: KindId;
  wanted: Typed | null;
  tolerance: Typed | null;
  leafCount: number;
}

const emptyDraft = (position: Draft['position'], suspension: KindId): Draft => ({
  id: crypto.randomUUID(),
  position,
  suspension,
  wanted: null,
  tolerance: null,
  leafCount: 4,
  arrangement: null,
  axleClass: null,
  steered: position === 'front',
});

function bodyOf(draft: Draft): JobAxleAct | undefined {
  const { id, position, suspension, wanted, tolerance, leafCount, axleClass, steered } = draft;
  const arrangement = arrangedOf(suspension) ? draft.arrangement : null;
  if (!wanted || !tolerance || !axleClass || !factsReady(suspension, arrangement)) return undefined;
  const ask = { wantedChange: wanted.value, wantedTyped: wanted.typed, guess: null, guessTyped: null };
  const within = { tolerance: tolerance.value, toleranceTyped: tolerance.typed };
  return {
    act: 'add',
    id,
    position,
    suspension,
    leafCount,
    facts: { arrangement, axleClass, steered },
    ...ask,
    ...within,
  };
}

/** The axles this job works on; another one of the vehicle is taken in here. */
export function AxlesSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const ids = useId();
  const router = useRouter();
  const { busy, problem, run } = useSend();
  const [draft, setDraft, forget] = useKept<Draft | null>(`${view.job.id}|axles`, null);
  const set = (part: Partial<Draft>) => draft && setDraft({ ...draft, ...part });
  const here = view.jobAxles.filter((x) => !x.dropped);
  const left = view.jobAxles.filter((x) => x.dropped);
  const { hitched } = formOf(view.vehicle.form);
  const free = WORKED.filter(
    (position) => !view.jobAxles.some((x) => x.position === position) && !(hitched && position === 'front'),
  );
  /** What stands at a place: null where it cannot be worked on yet, leaf springs where nothing is written down. */
  const kindAt = (position: (typeof WORKED)[number]): KindId | null => {
    const found = view.axles.find((a) => a.position === position);
    return found ? (KIND_IDS.find((kind) => kind === found.suspension) ?? null) : 'longitudinalLeaf';
  };
  const act = (body: JobAxleAct, to?: string) =>
    run(async () => {
      await job.send('/axles', 'POST', body);
      forget();
      if (to) router.push(to);
    });
  const body = draft ? bodyOf(draft) : undefined;
  const viewOf = (id: string): JobView | JobView['others'][number] | undefined =>
    id === view.id ? view : view.others.find((v) => v.id === id);
  return (
    <Sheet title="Axles of this job">
      <ul className="rows">
        {here.map((x) => {
          const at = viewOf(x.id);
          return (
            <li key={x.id}>
              {x.id === view.id ? (
                <strong>{axleName(x.position, x.suspension)}, this one</strong>
              ) : (
                <Link className="link" href={`/jobs/${x.id}/ask`} prefetch={false}>
                  {axleName(x.position, x.suspension)}
                </Link>
              )}{' '}
              {at ? (
                <span className="muted">
                  wanted <Length mm={at.job.wantedChange} signed /> <PlusMinus mm={at.job.tolerance} unit={false} />
                </span>
              ) : null}{' '}
              {here.length > 1 ? (
                <button
                  type="button"
                  className="link"
                  disabled={busy}
                  onClick={() => {
                    const stays = here.find((other) => other.id !== x.id)!;
                    void act({ act: 'drop', id: x.id }, x.id === view.id ? `/jobs/${stays.id}/ask` : undefined);
                  }}
                >
                  leave it out of this job
                </button>
              ) : null}
            </li>
          );
        })}
        {left.map((x) => (
          <li key={x.id} className="muted">
            {axleName(x.position, x.suspension)}, left out; what was read of it is kept{' '}
            <button
              type="button"
              className="link"
              disabled={busy}
              onClick={() => void act({ act: 'takeUp', id: x.id })}
            >
              take it up again
            </button>
          </li>
        ))}
      </ul>
      {draft ? (
        <div role="group" aria-label={`Take in the ${draft.position} axle`}>
          <h3 className="part">{AXLE_NAMES[draft.position]} axle</h3>
          <div className="grid-fields">
            <TypedField
              label="Wanted height change there"
              required
              rule={ASK_RULES.wanted}
              value={draft.wanted}
              draft={`${view.job.id}|axles|wanted`}
              hint="0 when it is to stay as it is"
              onChange={(wanted) => set({ wanted })}
            />
            <TypedField
              label="Good enough within ±"
              spoken="Good enough there, within"
              required
              rule={ASK_RULES.tolerance}
              value={draft.tolerance}
              draft={`${view.job.id}|axles|tolerance`}
              onChange={(tolerance) => set({ tolerance })}
            />
            <div className="field">
              <label htmlFor={`${ids}-kind`}>It has</label>
              <Select
                id={`${ids}-kind`}
                aria-label="The axle taken in has"
                value={draft.suspension}
                disabled={view.axles.some((a) => a.position === draft.position)}
                options={KIND_IDS.map((kind) => ({ value: kind, label: SUSPENSIONS[kind] }))}
                onChange={(suspension: KindId) => set({ suspension })}
              />
            </div>
            <AxleFactFields kind={draft.suspension} facts={draft} onChange={set} />
            {draft.suspension === 'longitudinalLeaf' ? (
              <Chips
                label="Leaves in its pack"
                shown
                options={['1', '2', '3', '4', '5', '6', '7', '8', '9'].map((id) => ({ id, name: id }))}
                value={String(draft.leafCount)}
                onPick={(count) => set({ leafCount: Number(count) })}
              />
            ) : null}
          </div>
          <div className="acts">
            <button
              type="button"
              className="act"
              disabled={!body || busy}
              onClick={() => body && void act(body, `/jobs/${draft.id}/measure`)}
            >
              Take it in and measure
            </button>
            <button type="button" className="act quiet" onClick={forget}>
              Not this axle
            </button>
          </div>
          {body ? null : (
            <p className="muted">Needed: wanted change and tolerance there, kind of axle and where its spring lies.</p>
          )}
        </div>
      ) : free.length > 0 ? (
        <div className="acts">
          {free.map((position) => (
            <button
              key={position}
              type="button"
              className="act quiet"
              disabled={kindAt(position) === null}
              onClick={() => setDraft(emptyDraft(position, kindAt(position) ?? 'longitudinalLeaf'))}
            >
              Work on the {position} axle too
              {kindAt(position) === null ? (
                <span className="small">
                  &nbsp;({SUSPENSIONS[view.axles.find((a) => a.position === position)!.suspension]}: not yet)
                </span>
              ) : null}
            </button>
          ))}
        </div>
      ) : null}
      <ProblemNote problem={problem} />
    </Sheet>
  );
}
