'use client';
import { Checkbox, Select } from 'antd';
import { useId } from 'react';
import { AXLE_CLASSES, type AxleClass } from '@/core/sheet/axleClass';
import { arrangedOf, type KindId } from '@/core/suspension/registry';
import { Chips } from '../controls/Chips';

/** What a job must know of its axle; null until somebody has looked. */
export interface AxleFactsDraft {
  arrangement: 'over' | 'under' | null;
  axleClass: AxleClass | null;
  steered: boolean;
}

/** Where a spring lies is asked of leaf springs of any kind. */
export const factsReady = (kind: KindId, arrangement: AxleFactsDraft['arrangement']): boolean =>
  !arrangedOf(kind) || arrangement !== null;

interface Props {
  kind: KindId;
  facts: AxleFactsDraft;
  onChange: (part: Partial<AxleFactsDraft>) => void;
}

/** Never filled in for an axle that nobody looked at. */
export function AxleFactFields({ kind, facts, onChange }: Props) {
  const id = useId();
  return (
    <>
      <div className="field">
        <label htmlFor={`${id}-class`}>
          Kind of axle<span className="needed"> needed</span>
        </label>
        <Select
          id={`${id}-class`}
          aria-label="Kind of axle"
          placeholder="choose"
          value={facts.axleClass}
          options={Object.entries(AXLE_CLASSES).map(([value, { label }]) => ({ value: value as AxleClass, label }))}
          onChange={(axleClass: AxleClass) => onChange({ axleClass })}
        />
      </div>
      {arrangedOf(kind) ? (
        <Chips
          label="Spring lies, needed"
          shown
          options={[
            { id: 'over', name: 'over the axle' },
            { id: 'under', name: 'under the axle' },
          ]}
          value={facts.arrangement}
          onPick={(arrangement) => onChange({ arrangement })}
        />
      ) : null}
      <Checkbox checked={facts.steered} onChange={(e) => onChange({ steered: e.target.checked })}>
        this axle steers
      </Checkbox>
    </>
  );
}
