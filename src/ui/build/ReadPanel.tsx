'use client';
import { useState } from 'react';
import { type JobView } from '@/contracts/job';
import { JOINTS } from '@/core/fastener/joints';
import { ROUNDS } from '@/core/fastener/rounds';
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
import { evenGaps, type Plate } from './plate';
import { WRENCH_NAMES } from './TorqueSheet';

/** What is read at each leg besides the wrench. */
const ENDS = [
  { what: 'thread', label: 'thread standing out', rule: lengthRule(0, 300, 15) },
  { what: 'gap', label: 'gap under the plate', rule: lengthRule(0, 60) },
] as const;
const capital = (word: string): string => word.replace(/^./, (c) => c.toUpperCase());

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
  const { pattern, final, running, unit, round } = plate;
  const { joint, bolts, ends } = pattern;
  const put = (path: '/torque-readings' | '/leg-threads', body: Record<string, unknown>) => {
    setProblem(null);
    return say(path, { id: crypto.randomUUID(), ...body }).then(onRead, (error: unknown) => setProblem(error));
  };
  if (final === null)
    return (
      <section className="sheet" aria-label="Reading">
        <p>
          No figure is written down: {JOINTS[joint].name}. <a href="#torque">Look it up and write it down</a>: a figure
          nobody has read stays empty.
        </p>
      </section>
    );
  const at = nut ?? 0;
  const { bolt: leg, says } = bolts[at]!;
  const read = view.torqueReadings.find((r) => r.joint === joint && r.bolt === leg);
  const ofLeg = (what: 'thread' | 'gap') => view.legThreads.find((l) => l.what === what && l.leg === leg);
  const torque = (typed: string, value: number, of: string, instrument: Wrench) =>
    put('/torque-readings', {
      joint,
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
            round {Math.min(round.round, ROUNDS.length)} of {ROUNDS.length}, nut {at + 1}, {says}
            {pattern.name ? `, ${pattern.name}` : ''}
          </>
        ) : weightOn || !pattern.weightOn ? (
          <Marked kind="done">all four have their figure</Marked>
        ) : (
          <Marked kind="done">all four are snug; the rest with the weight on</Marked>
        )}
      </p>
      {running !== null ? (
        <p className="muted small">with the {quantityText(running, unit)} that the locking nut runs at</p>
      ) : null}
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
        {ends
          ? ENDS.map(({ what, label, rule }) => {
              const stands = ofLeg(what);
              return (
                <TypedField
                  key={`${what}${leg}`}
                  label={label}
                  spoken={`${capital(label)} ${what === 'thread' ? 'of' : 'at'} nut ${at + 1}`}
                  rule={rule}
                  value={stands ? { typed: stands.typed, value: stands.value } : null}
                  draft={`${view.id}|${what === 'thread' ? 'leg' : 'gap'}|${leg}`}
                  onChange={({ typed, value }) => void put('/leg-threads', { what, leg, typed, value })}
                />
              );
            })
          : null}
      </div>
      <p className="even">
        {plate.torques === null || round?.next !== null ? null : (
          <>torque within {quantityText(plate.torques, unit)}. </>
        )}
        {plate.threads === null ? null : plate.even === false ? (
          <Marked kind="look">ends differ by {text(plate.threads)}, more than a thread: the plate is not level</Marked>
        ) : (
          <>ends within {text(plate.threads)}. </>
        )}
        {plate.gaps === null ? null : evenGaps(plate.gaps) ? (
          <>the plate stands alike within {text(plate.gaps)}</>
        ) : (
          <Marked kind="look">
            the plate stands {text(plate.gaps)} wider off on one corner than on another: ease it and go round again
          </Marked>
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
