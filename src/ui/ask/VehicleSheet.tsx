'use client';
import { Select } from 'antd';
import { type JobView } from '@/contracts/job';
import { type VehicleEdit } from '@/contracts/vehicle';
import { RATED_PARTS, type RatedPart } from '@/core/vehicle/rating';
import { AXLE_NAMES, AXLE_POSITIONS, SUSPENSIONS, type AxlePosition, type Suspension } from '@/core/suspension/names';
import { formOf, VEHICLE_FORM_IDS, type VehicleFormId } from '@/core/vehicle/form';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Length } from '../measured/Figure';
import { TypedField, type Typed } from '../measured/TypedField';
import { useKept } from '../measured/useKept';
import { ASK_RULES } from './askRules';
import { SaveActs } from './SaveActs';
import { RatingGuard } from './RatingGuard';
import { tankBody, TankFields, type TankDraft } from './TankFields';

const PART_NAMES: Record<RatedPart, string> = {
  plate: 'Maker’s plate',
  axle: 'Axle',
  tyres: 'Tyres, all of this axle',
  wheels: 'Wheels, all of this axle',
  hangers: 'Hangers and shackles',
  springs: 'Springs, both',
};

interface Draft {
  version: number;
  form: VehicleFormId;
  use: string;
  tank: TankDraft;
  others: Partial<Record<AxlePosition, Suspension>>;
  ratings: Partial<Record<RatedPart, Typed>>;
}

function draftOf({ vehicle, axle, axles }: JobView): Draft {
  const own = axles.find((a) => a.id === axle.id);
  return {
    version: vehicle.version,
    form: vehicle.form,
    use: vehicle.use,
    tank: {
      has: vehicle.tankMass === null ? null : vehicle.tankMass > 0,
      mass:
        vehicle.tankMass && vehicle.tankMassTyped ? { value: vehicle.tankMass, typed: vehicle.tankMassTyped } : null,
      station:
        vehicle.tankStation !== null && vehicle.tankStationTyped
          ? { value: vehicle.tankStation, typed: vehicle.tankStationTyped }
          : null,
    },
    others: Object.fromEntries(axles.filter((a) => a.id !== axle.id).map((a) => [a.position, a.suspension])),
    ratings: Object.fromEntries((own?.ratings ?? []).map((r) => [r.part, { typed: r.typed, value: r.rating }])),
  };
}

const bodyOf = (draft: Draft): VehicleEdit => ({
  version: draft.version,
  form: draft.form,
  use: draft.use,
  ...tankBody(draft.tank),
  others: (Object.entries(draft.others) as [AxlePosition, Suspension][]).map(([position, suspension]) => ({
    position,
    suspension,
  })),
  ratings: (Object.entries(draft.ratings) as [RatedPart, Typed][]).map(([part, { typed, value }]) => ({
    part,
    rating: value,
    typed,
  })),
});

/** The vehicle as a whole: what it does, what its tank holds, its other axles, and what this axle may carry. */
export function VehicleSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const { vehicle, axle } = view;
  const { busy, problem, run } = useSend();
  const name = `${view.id}|vehicle`;
  const [edit, setEdit, forget] = useKept<Draft | null>(name, null);
  const draft = edit ?? draftOf(view);
  const { hitched, nose } = formOf(draft.form);
  const change = (part: Partial<Draft>) => setEdit({ ...draft, ...part });
  const save = () =>
    run(async () => {
      await job.send('/vehicle', 'PUT', bodyOf(draft));
      forget();
    });
  return (
    <Sheet title="Vehicle">
      <dl className="facts">
        <dt>Vehicle</dt>
        <dd>{[vehicle.name, vehicle.maker].filter(Boolean).join(', ')}</dd>
        <dt>This axle</dt>
        <dd>
          {axle.position}, {SUSPENSIONS[axle.suspension]}
          {axle.arrangement ? `, ${axle.arrangement} the axle` : ''}
          {axle.steered ? ', steered' : ''}
        </dd>
        <dt>{hitched ? 'Coupling to axle' : 'Wheelbase'}</dt>
        <dd>
          <Length mm={vehicle.wheelbase} /> <span className="muted">typed {vehicle.wheelbaseTyped}</span>
        </dd>
      </dl>
      <div className="grid-fields part">
        <div className="field">
          <label htmlFor="vehicle-form">It is a</label>
          <Select
            id="vehicle-form"
            aria-label="It is a"
            value={draft.form}
            // What stands on a front axle of its own is no trailer.
            options={VEHICLE_FORM_IDS.map((value) => ({
              value,
              label: formOf(value).name,
              disabled: formOf(value).hitched && view.axles.some((a) => a.position === 'front'),
            }))}
            onChange={(form: VehicleFormId) => change({ form })}
          />
        </div>
        <TextField label="What it does all day" most={200} value={draft.use} onChange={(use) => change({ use })} />
        {AXLE_POSITIONS.filter((p) => p !== axle.position && !(hitched && p === 'front')).map((position) => (
          <div key={position} className="field">
            <label htmlFor={`axle-${position}`}>{AXLE_NAMES[position]} axle</label>
            <Select
              id={`axle-${position}`}
              aria-label={`${AXLE_NAMES[position]} axle`}
              value={draft.others[position] ?? 'none'}
              options={[
                { value: 'none', label: 'none', disabled: view.axles.some((a) => a.position === position) },
                ...Object.entries(SUSPENSIONS).map(([value, label]) => ({ value, label })),
              ]}
              onChange={(value: string) =>
                change({ others: { ...draft.others, ...(value !== 'none' && { [position]: value as Suspension }) } })
              }
            />
          </div>
        ))}
      </div>
      <TankFields nose={nose} tank={draft.tank} draft={name} onChange={(tank) => change({ tank })} />
      <h3 className="part">What this axle may carry</h3>
      <div className="grid-fields tight">
        {RATED_PARTS.map((part) => (
          <TypedField
            key={part}
            label={PART_NAMES[part]}
            spoken={`${PART_NAMES[part]}, may carry`}
            rule={ASK_RULES.rating}
            value={draft.ratings[part] ?? null}
            draft={`${name}|${part}`}
            onChange={(typed) => change({ ratings: { ...draft.ratings, [part]: typed } })}
          />
        ))}
      </div>
      <RatingGuard view={view} partNames={PART_NAMES} />
      <ProblemNote problem={problem} />
      <SaveActs
        what="the vehicle"
        edited={edit !== null}
        ready
        busy={busy}
        onSave={() => void save()}
        onDrop={forget}
      />
    </Sheet>
  );
}
