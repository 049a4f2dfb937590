'use client';
import { Select } from 'antd';
import { looseJoints } from '@/contracts/openList';
import { type NewTorque, type NewTorqueReading } from '@/contracts/torque';
import {
  boltsOf,
  isOf,
  JOINTS,
  LUBRICATIONS,
  sameNumberOtherUnit,
  torqueDoubt,
  TORQUE_SOURCES,
  WRENCHES,
  type JointId,
  type Lubrication,
  type TorqueSource,
  type Wrench,
  type WrenchState,
} from '@/core/fastener/joints';
import { oddUnit, setTo, STIFF, torquePlace, type TorqueTarget } from '@/core/fastener/torqueRead';
import { quantityText } from '@/core/units/format';
import { parseMeasured } from '@/core/units/parse';
import { TORQUE_READING_RULE, TORQUE_RULE } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { jointsOf } from '@/core/suspension/registry';
import { Sheet } from '../controls/Sheet';
import { valueText } from '../instruments/liveText';
import { usePull } from '../instruments/useInstruments';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { MeasuredInput } from '../measured/MeasuredInput';
import { TypedField } from '../measured/TypedField';
import { useKept } from '../measured/useKept';

const SOURCE_NAMES: Record<TorqueSource, string> = {
  notSaid: 'not said',
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
const STATE_NAMES: Record<WrenchState, string> = { weightOn: 'weight on the wheels', hanging: 'wheels hanging' };
export const WRENCH_NAMES: Record<Wrench, string> = {
  click: 'clicking wrench',
  dial: 'wrench with a dial',
  electronic: 'electronic wrench',
  connected: 'the connected wrench',
};

/** How readings are taken just now: kept on this screen, never preset. */
interface Taking {
  state: WrenchState | null;
  instrument: Wrench | null;
}

/** Torque of every joint with unit, source, lubrication and how far it is, bolt by bolt; what is not final stays in sight. */
export function TorqueSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const open = looseJoints(view).length;
  const alike = sameNumberOtherUnit(view.torques);
  const odd = alike.length === 0 ? oddUnit(view.torques) : null;
  const [taking, setTaking] = useKept<Taking>(`${view.id}|taking`, { state: null, instrument: null });
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
      <div className="state-bar">
        <Chips
          label="Bolts are read with"
          shown
          options={(['weightOn', 'hanging'] as const).map((id) => ({ id, name: STATE_NAMES[id] }))}
          value={taking.state}
          onPick={(state) => setTaking({ ...taking, state })}
        />
        <Chips
          label="by a"
          shown
          options={WRENCHES.filter((w) => w !== 'connected').map((id) => ({ id, name: WRENCH_NAMES[id] }))}
          value={taking.instrument}
          onPick={(instrument) => setTaking({ ...taking, instrument })}
        />
      </div>
      {alike.map(([one, two]) => (
        <p key={`${one}-${two}`}>
          <Marked kind="look">
            {JOINTS[one].name} and {JOINTS[two].name.toLowerCase()} have the same number in lbf·ft and in N·m. One was
            probably read from the wrong column: lbf·ft is 36 % more.
          </Marked>
        </p>
      ))}
      <div className="torques">
        {jointsOf(view.axle.suspension, view.pack).map((joint) => (
          <TorqueRow
            key={joint}
            job={job}
            joint={joint}
            taking={taking}
            questioned={odd?.joint === joint ? odd.text : null}
          />
        ))}
      </div>
    </Sheet>
  );
}

interface RowProps {
  job: JobHandle;
  joint: JointId;
  taking: Taking;
  /** Why its unit is in doubt. */
  questioned: string | null;
}

function TorqueRow({ job, joint, taking, questioned }: RowProps) {
  const { problem, run } = useSend();
  const { name, note } = JOINTS[joint];
  const stored = job.view.torques.find((t) => t.joint === joint);
  const now = stored ?? EMPTY;
  const enter = (part: Partial<NewTorque>) =>
    job.send('/torques', 'POST', (view) => {
      const { person, enteredAt, ...last } = view.torques.find((t) => t.joint === joint) ?? NOBODY;
      return { ...last, joint, id: crypto.randomUUID(), ...part };
    });
  const doubt = torqueDoubt({ ...now, joint });
  const asked = now.typed ? parseMeasured(now.typed, TORQUE_RULE) : null;
  const range = asked?.kind === 'ok' ? asked.range : undefined;
  const target =
    now.value !== null && now.unit
      ? setTo({ value: now.value, unit: now.unit, ...(range && { range }) }, now.running)
      : null;
  return (
    <div className="torque" role="group" aria-label={name}>
      <div>
        <strong>{name}</strong> <span className="muted">{note}</span>
        {[doubt, questioned].map((text) =>
          text ? (
            <div key={text}>
              <Marked kind="look">{text}</Marked>
            </div>
          ) : null,
        )}
        {stored ? (
          <div className="small muted">
            {stored.person}, <Clock at={stored.enteredAt} />
          </div>
        ) : null}
        <ProblemNote problem={problem} />
      </div>
      <div className="torque-fields">
        <MeasuredInput
          label={range ? 'Torque, middle of the range' : 'Torque'}
          spoken={`${name}, torque`}
          rule={TORQUE_RULE}
          stored={
            now.typed && now.value !== null
              ? { typed: now.typed, version: stored?.enteredAt ?? null, value: now.value, unit: now.unit ?? 'N·m' }
              : null
          }
          draft={`${job.view.id}|torque|${joint}`}
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
            value={now.source}
            options={TORQUE_SOURCES.map((value) => ({ value, label: SOURCE_NAMES[value] }))}
            onChange={(source) => void run(() => enter({ source }))}
          />
        </div>
        <div className="field">
          <label htmlFor={`lube-${joint}`}>Thread</label>
          <Select
            id={`lube-${joint}`}
            aria-label={`${name}, thread`}
            value={now.lubrication}
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
          { id: 'notTouched', name: 'not loosened', mark: 'done' },
        ]}
        value={now.stage}
        onPick={(stage) => void run(() => enter({ stage }))}
      />
      {now.stage === 'notTouched' || now.source === 'feel' || target === null ? null : (
        <details className="more">
          <summary>
            locking nut
            {now.running === null || !now.unit ? '' : `: set the wrench to ${quantityText(target.value, now.unit)}`}
          </summary>
          <TypedField
            label="Runs at, before it seats"
            spoken={`${name}, running torque of its nut`}
            rule={TORQUE_READING_RULE}
            value={
              now.running === null || now.runningTyped === null ? null : { typed: now.runningTyped, value: now.running }
            }
            draft={`${job.view.id}|running|${joint}`}
            hint="read while it turns on; only where the figure is told without it"
            onChange={({ typed, value }) => void run(() => enter({ running: value, runningTyped: typed }))}
            onClear={() => void run(() => enter({ running: null, runningTyped: null }))}
          />
          {now.running !== null && now.value !== null && now.running > STIFF * now.value ? (
            <p>
              <Marked kind="look">
                It takes {Math.round((100 * now.running) / now.value)} % of the figure only to turn: a thread that
                seizes feels like this too. Off again, look at both threads, a new nut.
              </Marked>
            </p>
          ) : null}
        </details>
      )}
      {now.stage === 'notTouched' || now.source === 'feel' ? null : (
        <Bolts job={job} joint={joint} taking={taking} target={target} />
      )}
    </div>
  );
}

const EMPTY: Omit<NewTorque, 'id' | 'joint'> = {
  typed: null,
  value: null,
  unit: null,
  source: 'notSaid',
  lubrication: 'notKnown',
  stage: 'notYet',
  running: null,
  runningTyped: null,
};
const NOBODY = { ...EMPTY, person: '', enteredAt: '' };

/** What the wrench read, bolt by bolt; each with the state of the vehicle and the instrument. */
function Bolts({ job, joint, taking, target }: Omit<RowProps, 'questioned'> & { target: TorqueTarget | null }) {
  const { problem, run } = useSend();
  const bolts = boltsOf(joint);
  const of = (bolt: string) =>
    job.view.torqueReadings.find((r) => r.joint === joint && r.bolt === bolt) ??
    job.view.torqueReadings.find((r) => r.joint === joint && isOf(bolt, r.bolt));
  const read = bolts.filter(of).length;
  const next = bolts.find((bolt) => !of(bolt));
  const { state, instrument } = taking;
  const send = (given: Omit<NewTorqueReading, 'id' | 'joint'>) =>
    job.send('/torque-readings', 'POST', { id: crypto.randomUUID(), joint, ...given });
  return (
    <details className="more bolts">
      <summary>
        bolt by bolt: {read} of {bolts.length} read
      </summary>
      {state && instrument ? null : (
        <p className="look">Say above how the vehicle stands and what it is read with; then the bolts can be read.</p>
      )}
      <div className="grid-fields tight">
        {bolts.map((bolt) => {
          const found = of(bolt);
          const place = found && target && torquePlace(found, target);
          return (
            <fieldset key={bolt} className="until-ready" role="presentation" disabled={!state || !instrument}>
              <MeasuredInput
                label={bolt}
                spoken={`${JOINTS[joint].name}, ${bolt}`}
                rule={TORQUE_READING_RULE}
                stored={found ? { typed: found.typed, version: found.id, value: found.value, unit: found.unit } : null}
                draft={`${job.view.id}|bolt|${joint}|${bolt}`}
                hint={found ? null : 'what the wrench read'}
                onSave={async (typed, { value, unit }) => {
                  if (state && instrument) await send({ bolt, typed, value, unit, state, instrument });
                }}
              />
              {place ? (
                <div className="small">{place.look ? <Marked kind="look">{place.text}</Marked> : place.text}</div>
              ) : null}
              {found ? (
                <div className="small muted">
                  {STATE_NAMES[found.state]}, {WRENCH_NAMES[found.instrument]}, {found.person}
                </div>
              ) : null}
            </fieldset>
          );
        })}
      </div>
      {next && state ? (
        <TakePeak
          bolt={next}
          onTake={(typed, value, unit) =>
            run(() => send({ bolt: next, typed, value, unit, state, instrument: 'connected' }))
          }
        />
      ) : null}
      <ProblemNote problem={problem} />
    </details>
  );
}

interface PeakProps {
  bolt: string;
  /** Whether it was stored. */
  onTake: (typed: string, value: number, unit: 'N·m') => Promise<boolean>;
}

/** The connected wrench's last peak, to be taken for one bolt. Redraws alone, as often as the wrench speaks. */
function TakePeak({ bolt, onTake }: PeakProps) {
  const { pull, use } = usePull();
  const peak = pull?.values.find((v) => v.quantity === 'torque');
  if (!pull || !peak) return null;
  const text = valueText(peak);
  const parsed = parseMeasured(text, TORQUE_READING_RULE);
  return (
    <button
      type="button"
      className="act quiet"
      data-live
      disabled={parsed.kind !== 'ok'}
      onClick={() => {
        if (parsed.kind !== 'ok') return;
        use(pull, true);
        void onTake(text, parsed.value, parsed.unit as 'N·m').then((stored) => stored || use(pull, false));
      }}
    >
      Take the wrench’s peak, {text}, for {bolt}
    </button>
  );
}
