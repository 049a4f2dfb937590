'use client';
import { Select } from 'antd';
import { type Live } from '@/contracts/instrument';
import { type JobView, type NewTorque } from '@/contracts/job';
import {
  JOINT_IDS,
  JOINTS,
  LUBRICATIONS,
  sameNumberOtherUnit,
  torqueDoubt,
  TORQUE_SOURCES,
  type JointId,
  type Lubrication,
  type TorqueSource,
} from '@/core/fastener/joints';
import { parseMeasured } from '@/core/units/parse';
import { TORQUE_RULE } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { valueText } from '../instruments/liveText';
import { useInstruments } from '../instruments/useInstruments';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { MeasuredInput } from '../measured/MeasuredInput';

const SOURCE_NAMES: Record<TorqueSource, string> = {
  maker: 'vehicle maker',
  kit: 'kit maker',
  generic: 'generic table',
  memory: 'from memory',
  feel: 'by feel',
};
const LUBE_NAMES: Record<Lubrication, string> = {
  notKnown: 'not said',
  dry: 'dry',
  oiled: 'oiled',
  antiSeize: 'anti-seize',
  threadLocker: 'thread locker',
};

const openJoints = (view: JobView): JointId[] =>
  JOINT_IDS.filter((joint) => {
    const stage = view.torques.find((t) => t.joint === joint)?.stage;
    return stage !== 'final' && stage !== 'again';
  });

/** Torque of every joint with unit, source, lubrication and how far it is; what is not final stays in sight. */
export function TorqueSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const open = openJoints(view).length;
  const alike = sameNumberOtherUnit(view.torques);
  const wrench = useInstruments().find((l) => l.kind === 'torqueWrench');
  return (
    <Sheet
      title="Torque"
      aside={
        <Marked kind={open === 0 ? 'done' : 'untouched'}>
          {open === 0 ? 'every joint final' : `${open} not final`}
        </Marked>
      }
    >
      <p className="muted">
        A figure nobody has read stays empty. The maker’s or kit’s figure decides; thread lubricant raises the clamp at
        the same torque.
      </p>
      {alike.map(([one, two]) => (
        <p key={`${one}-${two}`}>
          <Marked kind="look">
            {JOINTS[one].name} and {JOINTS[two].name.toLowerCase()} have the same number in lbf·ft and in N·m. One was
            probably read from the wrong column: lbf·ft is 36 % more.
          </Marked>
        </p>
      ))}
      <div className="torques">
        {JOINT_IDS.map((joint) => (
          <TorqueRow key={joint} job={job} joint={joint} wrench={wrench} />
        ))}
      </div>
    </Sheet>
  );
}

function TorqueRow({ job, joint, wrench }: { job: JobHandle; joint: JointId; wrench: Live | undefined }) {
  const peak = wrench?.state === 'settled' ? wrench.values.find((v) => v.quantity === 'torque') : undefined;
  const { problem, run } = useSend();
  const { name, note } = JOINTS[joint];
  const stored = job.view.torques.find((t) => t.joint === joint);
  const now = stored ?? {
    typed: null,
    value: null,
    unit: null,
    reached: null,
    reachedTyped: null,
    source: 'maker',
    lubrication: 'notKnown',
    stage: 'notYet',
  };
  const enter = (part: Partial<NewTorque>) =>
    job.send('/torques', 'POST', (view) => {
      const { typed, value, unit, reached, reachedTyped, source, lubrication, stage } =
        view.torques.find((t) => t.joint === joint) ?? now;
      return {
        id: crypto.randomUUID(),
        joint,
        typed,
        value,
        unit,
        reached,
        reachedTyped,
        source,
        lubrication,
        stage,
        ...part,
      };
    });
  const doubt = torqueDoubt({
    joint,
    value: now.value,
    unit: now.unit,
    source: now.source as TorqueSource,
    stage: now.stage as NewTorque['stage'],
  });
  const range = now.typed ? parseMeasured(now.typed, TORQUE_RULE) : null;
  return (
    <div className="torque" role="group" aria-label={name}>
      <div>
        <strong>{name}</strong> <span className="muted">{note}</span>
        {doubt ? (
          <div>
            <Marked kind="look">{doubt}</Marked>
          </div>
        ) : null}
        {stored ? (
          <div className="small muted">
            {stored.person}, {stored.enteredAt.slice(0, 16).replace('T', ' ')} UTC
          </div>
        ) : null}
        <ProblemNote problem={problem} />
      </div>
      <div className="torque-fields">
        <MeasuredInput
          label={range?.kind === 'ok' && range.range ? 'Torque, middle of the range' : 'Torque'}
          spoken={`${name}, torque`}
          rule={TORQUE_RULE}
          stored={
            now.typed && now.value !== null
              ? { typed: now.typed, version: stored?.enteredAt ?? null, value: now.value, unit: now.unit ?? 'N·m' }
              : null
          }
          draft={`${job.view.job.id}|torque|${joint}`}
          hint="value or range, with its unit"
          onSave={async (typed, { value, unit }) => {
            await enter({ typed, value, unit });
          }}
        />
        <div className="field">
          <label htmlFor={`source-${joint}`}>Source</label>
          <Select
            id={`source-${joint}`}
            aria-label={`${name}, source`}
            value={now.source as TorqueSource}
            options={TORQUE_SOURCES.map((value) => ({ value, label: SOURCE_NAMES[value] }))}
            onChange={(source) => void run(() => enter({ source }))}
          />
        </div>
        <div className="field">
          <label htmlFor={`lube-${joint}`}>Thread</label>
          <Select
            id={`lube-${joint}`}
            aria-label={`${name}, thread`}
            value={now.lubrication as Lubrication}
            options={LUBRICATIONS.map((value) => ({ value, label: LUBE_NAMES[value] }))}
            onChange={(lubrication) => void run(() => enter({ lubrication }))}
          />
        </div>
      </div>
      <Chips
        label={`${name} is`}
        options={[
          { id: 'notYet', name: 'loose', mark: 'untouched' },
          { id: 'snug', name: 'snug', mark: 'open' },
          { id: 'final', name: 'final', mark: 'done' },
          { id: 'again', name: 'again', mark: 'done' },
        ]}
        value={now.stage as NewTorque['stage']}
        onPick={(stage) => void run(() => enter({ stage }))}
      />
      {now.reachedTyped ? (
        <p className="muted">
          wrench read <span className="figure">{now.reachedTyped}</span>
        </p>
      ) : null}
      {peak && now.value !== null ? (
        <button
          type="button"
          className="act quiet"
          onClick={() => void run(() => enter({ reached: peak.value, reachedTyped: valueText(peak), stage: 'final' }))}
        >
          Take the wrench’s peak, {valueText(peak)}
        </button>
      ) : null}
    </div>
  );
}
