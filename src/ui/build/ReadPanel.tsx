'use client';
import { useState } from 'react';
import { type JobView } from '@/contracts/job';
import { CROSS } from '@/core/fastener/rounds';
import { WRENCHES, type Wrench } from '@/core/fastener/joints';
import { parseMeasured } from '@/core/units/parse';
import { lengthRule, TORQUE_READING_RULE } from '@/core/units/rules';
import { quantityText } from '@/core/units/format';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { valueText } from '../instruments/liveText';
import { usePull } from '../instruments/useInstruments';
import { ProblemNote } from '../job/ProblemNote';
import { type Outbox } from '../job/useOutbox';
import { useLengthText } from '../measured/Figure';
import { TypedField } from '../measured/TypedField';
import { useKept } from '../measured/useKept';
import { legOf, type Plate } from './plate';
import { WRENCH_NAMES } from './TorqueSheet';

const THREAD = lengthRule(0, 300, 15);

interface Props {
  view: JobView;
  plate: Plate;
  nut: number | null;
  weightOn: boolean;
  say: Outbox['say'];
  onRead: () => void;
}

/** What the wrench read at the nut in hand, and how much thread stands out of it; taken from the wrench, or typed with its unit. */
export function ReadPanel({ view, plate, nut, weightOn, say, onRead }: Props) {
  const text = useLengthText();
  const [taking, setTaking] = useKept<{ state: string | null; instrument: Wrench | null }>(`${view.id}|taking`, {
    state: null,
    instrument: null,
  });
  const [problem, setProblem] = useState<unknown>(null);
  const { side, final, unit, round } = plate;
  const put = (path: '/torque-readings' | '/leg-threads', body: Record<string, unknown>) => {
    setProblem(null);
    return say(path, { id: crypto.randomUUID(), ...body }).then(onRead, (error: unknown) => setProblem(error));
  };
  if (final === null)
    return (
      <section className="sheet" aria-label="Reading">
        <p>
          No figure is written down for the U-bolts. <a href="#torque">Look it up and write it down</a>: a figure nobody
          has read stays empty.
        </p>
      </section>
    );
  const at = nut ?? 0;
  const leg = legOf(side, at);
  const read = view.torqueReadings.find((r) => r.joint === 'uBolts' && r.bolt === leg);
  const stands = view.legThreads.find((l) => l.leg === leg);
  const torque = (typed: string, value: number, of: string, instrument: Wrench) =>
    put('/torque-readings', {
      joint: 'uBolts',
      bolt: leg,
      typed,
      value,
      unit: of,
      state: weightOn ? 'weightOn' : 'hanging',
      instrument,
    });
  return (
    <section className="sheet read-panel" aria-label="Reading">
      <p className="read-great">
        <span className="figure">
          {round && round.next !== null ? quantityText(round.target, unit) : quantityText(final, unit)}
        </span>
      </p>
      <p>
        {round && round.next !== null ? (
          <>
            round {Math.min(round.round, 3)} of 3, nut {at + 1}, {CROSS[at]}
          </>
        ) : weightOn ? (
          <Marked kind="done">all four have their figure</Marked>
        ) : (
          <Marked kind="done">all four are snug; the rest with the weight on</Marked>
        )}
      </p>
      {taking.instrument ? null : (
        <Chips
          label="Read with a"
          shown
          options={WRENCHES.filter((w) => w !== 'connected').map((id) => ({ id, name: WRENCH_NAMES[id] }))}
          value={taking.instrument}
          onPick={(instrument) => setTaking({ ...taking, instrument })}
        />
      )}
      <Peak onTake={(typed, value, of) => torque(typed, value, of, 'connected')} nut={at + 1} />
      <div className="pair">
        <TypedField
          key={`t${leg}`}
          label={`nut ${at + 1} read at`}
          spoken={`Nut ${at + 1} read at`}
          rule={TORQUE_READING_RULE}
          value={read ? { typed: read.typed, value: read.value } : null}
          draft={`${view.id}|nut|${leg}`}
          onChange={({ typed, value }) => {
            const parsed = parseMeasured(typed, TORQUE_READING_RULE);
            void torque(typed, value, parsed.kind === 'ok' ? parsed.unit : unit, taking.instrument ?? 'click');
          }}
        />
        <TypedField
          key={`l${leg}`}
          label="thread standing out"
          spoken={`Thread standing out of nut ${at + 1}`}
          rule={THREAD}
          value={stands ? { typed: stands.typed, value: stands.value } : null}
          draft={`${view.id}|leg|${leg}`}
          onChange={({ typed, value }) => void put('/leg-threads', { leg, typed, value })}
        />
      </div>
      <p className="even">
        {plate.torques === null || round?.next !== null ? null : (
          <>torque within {quantityText(plate.torques, unit)}. </>
        )}
        {plate.threads === null ? null : plate.even === false ? (
          <Marked kind="look">ends differ by {text(plate.threads)}, more than a thread: the plate is not level</Marked>
        ) : (
          <>ends within {text(plate.threads)}</>
        )}
      </p>
      <ProblemNote problem={problem} />
    </section>
  );
}

/** The connected wrench's last pull, large, for the nut in hand. */
function Peak({ nut, onTake }: { nut: number; onTake: (typed: string, value: number, unit: string) => Promise<void> }) {
  const { pull, use } = usePull();
  const peak = pull?.values.find((v) => v.quantity === 'torque');
  if (!pull || !peak) return null;
  const text = valueText(peak);
  const parsed = parseMeasured(text, TORQUE_READING_RULE);
  if (parsed.kind !== 'ok') return null;
  return (
    <button
      type="button"
      className="act take-nut"
      data-live
      onClick={() => {
        use(pull, true);
        void onTake(text, parsed.value, parsed.unit);
      }}
    >
      Take nut {nut}: {text}
    </button>
  );
}
