'use client';
import { Checkbox, Select } from 'antd';
import { useId } from 'react';
import { type KnownAxle, type NewJob } from '@/contracts/job';
import { AXLE_CLASSES, type AxleClass } from '@/core/measure/points';
import { SUSPENSIONS, type Suspension } from '@/core/linkage/suspension';
import { Chips } from '../controls/Chips';
import { TextField } from '../controls/TextField';
import { ASK_RULES } from './askRules';
import { TypedField, type Typed } from '../measured/TypedField';
import { tankBody, TankFields, UNKNOWN_TANK, type TankDraft } from './TankFields';

export interface VehicleDraft {
  /** An axle already in the shop's books; null for a new vehicle. */
  axleId: string | null;
  name: string;
  maker: string;
  wheelbase: Typed | null;
  position: 'front' | 'rear';
  arrangement: 'over' | 'under';
  axleClass: AxleClass;
  steered: boolean;
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
  arrangement: 'over',
  axleClass: 'pickupRear',
  steered: false,
  use: '',
  tank: UNKNOWN_TANK,
  otherAxle: null,
};

export function vehicleBody(v: VehicleDraft): NewJob['vehicle'] | undefined {
  if (v.axleId) return { kind: 'known', axleId: v.axleId };
  if (!v.name.trim() || !v.wheelbase) return undefined;
  const { name, maker, position, arrangement, axleClass, steered } = v;
  const wheelbase = { wheelbase: v.wheelbase.value, wheelbaseTyped: v.wheelbase.typed };
  const others = v.otherAxle
    ? [{ position: position === 'rear' ? ('front' as const) : ('rear' as const), suspension: v.otherAxle }]
    : [];
  const tank = tankBody(v.tank);
  return {
    kind: 'new',
    name,
    maker,
    ...wheelbase,
    ...tank,
    use: v.use,
    others,
    position,
    arrangement,
    axleClass,
    steered,
  };
}

const NEW = 'new';

interface Props {
  axles: readonly KnownAxle[];
  vehicle: VehicleDraft;
  onChange: (vehicle: VehicleDraft) => void;
}

export function VehicleFields({ axles, vehicle, onChange }: Props) {
  const id = useId();
  const set = (part: Partial<VehicleDraft>) => onChange({ ...vehicle, ...part });
  return (
    <div className="grid-fields">
      <div className="field wide">
        <label htmlFor={`${id}-known`}>Vehicle and axle</label>
        <Select
          id={`${id}-known`}
          aria-label="Vehicle and axle"
          value={vehicle.axleId ?? NEW}
          options={[
            { value: NEW, label: 'a new vehicle' },
            ...axles.map((axle) => ({ value: axle.id, label: `${axle.vehicle.name}, ${axle.position} axle` })),
          ]}
          onChange={(value: string) => set({ axleId: value === NEW ? null : value })}
        />
      </div>
      {vehicle.axleId ? null : (
        <>
          <TextField label="Name or plate" most={120} value={vehicle.name} onChange={(name) => set({ name })} />
          <TextField
            label="Maker and model, if known"
            most={120}
            value={vehicle.maker}
            onChange={(maker) => set({ maker })}
          />
          <TextField label="What it does all day" most={200} value={vehicle.use} onChange={(use) => set({ use })} />
          <TypedField
            label="Wheelbase"
            rule={ASK_RULES.wheelbase}
            value={vehicle.wheelbase}
            draft="new-job|wheelbase"
            hint="trailer: hitch to axle"
            onChange={(wheelbase) => set({ wheelbase })}
          />
          <div className="field">
            <label htmlFor={`${id}-class`}>Kind of axle</label>
            <Select
              id={`${id}-class`}
              aria-label="Kind of axle"
              value={vehicle.axleClass}
              options={Object.entries(AXLE_CLASSES).map(([value, { label }]) => ({ value: value as AxleClass, label }))}
              onChange={(axleClass: AxleClass) => set({ axleClass })}
            />
          </div>
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
          <Chips
            label="Spring lies"
            shown
            options={[
              { id: 'over', name: 'over the axle' },
              { id: 'under', name: 'under the axle' },
            ]}
            value={vehicle.arrangement}
            onPick={(arrangement) => set({ arrangement })}
          />
          <Checkbox checked={vehicle.steered} onChange={(e) => set({ steered: e.target.checked })}>
            this axle steers
          </Checkbox>
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
          <div className="wide">
            <TankFields tank={vehicle.tank} draft="new-job" onChange={(tank) => set({ tank })} />
          </div>
        </>
      )}
    </div>
  );
}
