'use client';
import { type Live } from '@/contracts/instrument';
import { type NewReading } from '@/contracts/reading';
import { parseMeasured } from '@/core/units/parse';
import { HEIGHT_POINTS } from '@/core/sheet/common';
import { type PointId } from '@/core/measure/points';
import { ruleOn } from '@/core/measure/plausible';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { fieldKey, spokenField, type FieldAt } from '../measure/fields';
import { STATE_WORDS, valueText } from './liveText';
import { useInstruments } from './useInstruments';

/** Which quantity of which kind of instrument a point takes. */
const TAKES: Partial<Record<PointId, { kind: Live['kind']; quantity: string; as: NewReading['instrument'] }>> = {
  padLoad: { kind: 'scalePad', quantity: 'mass', as: 'scale' },
  shackleAngle: { kind: 'angleGauge', quantity: 'angle', as: 'gauge' },
  ...Object.fromEntries(
    (['hubToLip', 'groundToHub', 'groundToLip', 'otherAxleLip', 'loadedArch', 'freeArch'] as const).map((point) => [
      point,
      { kind: 'heightGauge', quantity: 'length', as: 'gauge' },
    ]),
  ),
};

interface Props {
  job: JobHandle;
  at: FieldAt | null;
  rolled: boolean | null;
}

/** Live instruments that suit the field at work. A reading goes in only when it is taken; the tape is never waited for. */
export function TakeReading({ job, at, rolled }: Props) {
  const live = useInstruments();
  const takes = at ? TAKES[at.point] : undefined;
  if (!at || !takes) return null;
  const suiting = live.filter((l) => l.kind === takes.kind && (l.side === null || l.side === at.side));
  if (suiting.length === 0) return null;
  return (
    <div className="instruments" role="group" aria-label="Instruments">
      {suiting.map((l) => (
        <LiveLine key={l.id} job={job} at={at} rolled={rolled} live={l} quantity={takes.quantity} as={takes.as} />
      ))}
    </div>
  );
}

interface LineProps {
  job: JobHandle;
  at: FieldAt;
  rolled: boolean | null;
  live: Live;
  quantity: string;
  as: NewReading['instrument'];
}

function LiveLine({ job, at, rolled, live, quantity, as }: LineProps) {
  const { busy, problem, run } = useSend();
  const said = live.values.find((v) => v.quantity === quantity);
  const text = said && valueText(said);
  const good = live.state === 'settled' && text !== undefined;
  const parsed = good ? parseMeasured(text, ruleOn(at.point, job.view.axle.axleClass)) : undefined;
  const stored = job.view.readings.find((r) => fieldKey({ ...at }) === fieldKey(r) && r.phase === 'before');
  const take = () =>
    void run(async () => {
      if (parsed?.kind !== 'ok') return;
      const { value, unit } = parsed;
      const { point, side, leafId, stateId } = at;
      const asked = HEIGHT_POINTS.includes(point) ? rolled : null;
      await job.saveReading(
        { point, phase: 'before', side, leafId, stateId, typed: text!, value, unit, rolled: asked, instrument: as },
        stored?.id ?? null,
      );
    });
  return (
    <div className="instrument" data-instrument={live.id} data-state={live.state}>
      <span>
        {live.name} {text ? <span className="figure">{text}</span> : null}{' '}
        <Marked kind={live.state === 'settled' ? 'done' : live.state === 'settling' ? 'open' : 'look'}>
          {STATE_WORDS[live.state]}
        </Marked>
      </span>
      <button type="button" className="act quiet" disabled={parsed?.kind !== 'ok' || busy} onClick={take}>
        Take it for {spokenField(job.view, at)}
      </button>
      {parsed && parsed.kind !== 'ok' ? (
        <span className="look">
          {parsed.kind === 'ask' ? parsed.question : parsed.kind === 'refused' ? parsed.reason : ''} Type it if it is
          right.
        </span>
      ) : null}
      {live.state !== 'settled' && live.state !== 'settling' ? (
        <span className="muted">Type the reading; the field does not wait for it.</span>
      ) : null}
      <ProblemNote problem={problem} />
    </div>
  );
}
