'use client';
import { Checkbox, Input, Select } from 'antd';
import { useId } from 'react';
import { type KnownAxle, type NewJob } from '@/contracts/job';
import { AXLE_CLASSES, type AxleClass } from '@/core/measure/points';
import { Chips } from '../controls/Chips';
import { ASK_RULES } from './askRules';
import { TypedField, type Typed } from '../measured/TypedField';

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
};

export function vehicleBody(v: VehicleDraft): NewJob['vehicle'] | undefined {
  if (v.axleId) return { kind: 'known', axleId: v.axleId };
  if (!v.name.trim() || !v.wheelbase) return undefined;
  const { name, maker, position, arrangement, axleClass, steered } = v;
  const wheelbase = { wheelbase: v.wheelbase.value, wheelbaseTyped: v.wheelbase.typed };
  return { kind: 'new', name, maker, ...wheelbase, position, arrangement, axleClass, steered };
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
          <div className="field">
            <label htmlFor={`${id}-name`}>Name or plate</label>
            <Input
              id={`${id}-name`}
              value={vehicle.name}
              maxLength={120}
              onChange={(e) => set({ name: e.target.value })}
            />
          </div>
          <div className="field">
            <label htmlFor={`${id}-maker`}>Maker and model, if known</label>
            <Input
              id={`${id}-maker`}
              value={vehicle.maker}
              maxLength={120}
              onChange={(e) => set({ maker: e.target.value })}
            />
          </div>
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
        </>
      )}
    </div>
  );
}
