'use client';
import { Select } from 'antd';
import { useId } from 'react';
import { type KnownAxle } from '@/contracts/vehicle';
import { type NewJob } from '@/contracts/ask';
import { arrangedOf, KIND_IDS, type KindId } from '@/core/suspension/registry';
import { AXLE_NAMES, SUSPENSIONS, type Suspension } from '@/core/suspension/names';
import { formOf, VEHICLE_FORM_IDS, type VehicleFormId } from '@/core/vehicle/form';
import { Chips } from '../controls/Chips';
import { TextField } from '../controls/TextField';
import { ASK_RULES } from './askRules';
import { AxleFactFields, factsReady, type AxleFactsDraft } from './AxleFactFields';
import { TypedField, type Typed } from '../measured/TypedField';
import { tankBody, TankFields, UNKNOWN_TANK, type TankDraft } from './TankFields';

export interface VehicleDraft extends AxleFactsDraft {
  /** An axle already in the shop's books; null for a new vehicle. */
  axleId: string | null;
  /** The known axle as it was found. */
  known?: KnownAxle | null;
  name: string;
  maker: string;
  wheelbase: Typed | null;
  position: 'front' | 'rear';
  form: VehicleFormId;
  suspension: KindId;
  use: string;
  tank: TankDraft;
  otherAxle: Suspension | null;
}

export const EMPTY_VEHICLE: VehicleDraft = {
  axleId: null,
  name: '',
  maker: '',
  wheelbase: null,
  position: 'rear',
  arrangement: null,
  axleClass: null,
  steered: false,
  form: 'truck',
  suspension: 'longitudinalLeaf',
  use: '',
  tank: UNKNOWN_TANK,
  otherAxle: null,
};

/** Whether a known axle still lacks what a job must know of it. */
const unseen = (axle: KnownAxle | undefined): boolean =>
  axle !== undefined &&
  (axle.axleClass === null || axle.steered === null || !factsReady(axle.suspension, axle.arrangement));

export function vehicleBody(v: VehicleDraft, axles: readonly KnownAxle[]): NewJob['vehicle'] | undefined {
  const { name, maker, form, suspension, axleClass, steered } = v;
  if (v.axleId) {
    const known = axles.find((a) => a.id === v.axleId);
    if (!unseen(known)) return { kind: 'known', axleId: v.axleId, facts: null };
    const arrangement = known && !arrangedOf(known.suspension) ? null : v.arrangement;
    if (!known || !axleClass || !factsReady(known.suspension, arrangement)) return undefined;
    return { kind: 'known', axleId: v.axleId, facts: { arrangement, axleClass, steered } };
  }
  const arrangement = arrangedOf(suspension) ? v.arrangement : null;
  if (!name.trim() || !v.wheelbase || !axleClass || !factsReady(suspension, arrangement)) return undefined;
  const wheelbase = { wheelbase: v.wheelbase.value, wheelbaseTyped: v.wheelbase.typed };
  const { hitched } = formOf(form);
  const position = hitched ? 'rear' : v.position;
  const others =
    v.otherAxle && !hitched
      ? [{ position: position === 'rear' ? ('front' as const) : ('rear' as const), suspension: v.otherAxle }]
      : [];
  const tank = tankBody(v.tank);
  return {
    kind: 'new',
    name,
    maker,
    form,
    ...wheelbase,
    ...tank,
    use: v.use,
    others,
    position,
    suspension,
    arrangement,
    axleClass,
    steered,
  };
}

const NEW = 'new';

interface Props {
  axles: readonly KnownAxle[];
  /** Looks for others by name or maker. */
  find: (words: string) => void;
  vehicle: VehicleDraft;
  onChange: (vehicle: VehicleDraft) => void;
}

export function VehicleFields({ axles, find, vehicle, onChange }: Props) {
  const id = useId();
  const set = (part: Partial<VehicleDraft>) => onChange({ ...vehicle, ...part });
  const { hitched, nose } = formOf(vehicle.form);
  const known = axles.find((a) => a.id === vehicle.axleId);
  const facts = <AxleFactFields kind={known?.suspension ?? vehicle.suspension} facts={vehicle} onChange={set} />;
  return (
    <div className="grid-fields">
      <div className="field wide">
        <label htmlFor={`${id}-known`}>Vehicle and axle</label>
        <Select
          id={`${id}-known`}
          aria-label="Vehicle and axle"
          value={vehicle.axleId ?? NEW}
          showSearch={{ filterOption: false, onSearch: find }}
          notFoundContent="no vehicle of this name"
          options={[
            { value: NEW, label: 'a new vehicle' },
            ...axles.map((axle) => ({
              value: axle.id,
              label: `${axle.vehicle.name}, ${AXLE_NAMES[axle.position]} axle${axle.position === 'secondRear' ? ': not measured here yet' : ''}`,
              disabled: axle.position === 'secondRear',
            })),
          ]}
          onChange={(value: string) => {
            find('');
            set({ axleId: value === NEW ? null : value, known: axles.find((a) => a.id === value) ?? null });
          }}
        />
      </div>
      {unseen(known) ? (
        <>
          <p className="wide muted">Nobody has looked at this axle yet.</p>
          {facts}
        </>
      ) : null}
      {vehicle.axleId ? null : (
        <>
          <TextField
            label="Name or plate"
            required
            most={120}
            value={vehicle.name}
            onChange={(name) => set({ name })}
          />
          <TextField
            label="Maker and model, if known"
            most={120}
            value={vehicle.maker}
            onChange={(maker) => set({ maker })}
          />
          <div className="field">
            <label htmlFor={`${id}-form`}>It is a</label>
            <Select
              id={`${id}-form`}
              aria-label="It is a"
              value={vehicle.form}
              options={VEHICLE_FORM_IDS.map((value) => ({ value, label: formOf(value).name }))}
              onChange={(form: VehicleFormId) => set({ form })}
            />
          </div>
          <TextField label="What it does all day" most={200} value={vehicle.use} onChange={(use) => set({ use })} />
          <TypedField
            label={hitched ? `${nose.replace('the c', 'C').replace('the k', 'K')} to axle` : 'Wheelbase'}
            required
            rule={ASK_RULES.wheelbase}
            value={vehicle.wheelbase}
            draft="new-job|wheelbase"
            onChange={(wheelbase) => set({ wheelbase })}
          />
          <div className="field">
            <label htmlFor={`${id}-kind`}>This axle has</label>
            <Select
              id={`${id}-kind`}
              aria-label="This axle has"
              value={vehicle.suspension}
              options={KIND_IDS.map((kind) => ({ value: kind, label: SUSPENSIONS[kind] }))}
              onChange={(suspension: KindId) => set({ suspension })}
            />
          </div>
          {facts}
          {hitched ? null : (
            <Chips
              label="Which axle"
              shown
              options={[
                { id: 'front', name: 'front' },
                { id: 'rear', name: 'rear' },
              ]}
              value={vehicle.position}
              onPick={(position) => set({ position })}
            />
          )}
          {hitched ? null : (
            <div className="field">
              <label htmlFor={`${id}-other`}>The other axle has</label>
              <Select
                id={`${id}-other`}
                aria-label="The other axle has"
                value={vehicle.otherAxle ?? 'none'}
                options={[
                  { value: 'none', label: 'there is none' },
                  ...Object.entries(SUSPENSIONS).map(([value, label]) => ({ value, label })),
                ]}
                onChange={(value: string) => set({ otherAxle: value === 'none' ? null : (value as Suspension) })}
              />
            </div>
          )}
          <div className="wide">
            <TankFields nose={nose} tank={vehicle.tank} draft="new-job" onChange={(tank) => set({ tank })} />
          </div>
        </>
      )}
    </div>
  );
}
