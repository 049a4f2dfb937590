import { type ReactNode } from 'react';
import { type JobView } from '@/contracts/job';
import { SIDES, type Side } from '@/core/vehicle/side';
import { Chips } from '../controls/Chips';

interface Props {
  view: JobView;
  side: Side;
  onSide: (side: Side) => void;
  stateId: string;
  onState: (id: string) => void;
  /** Load states that are solved; undefined while none is. */
  known: readonly { id: string }[] | undefined;
  children?: ReactNode;
}

/** Side and load state of everything shown below. */
export const StateBar = ({ view, side, onSide, stateId, onState, known, children }: Props) => (
  <div className="state-bar">
    <Chips label="Side" options={SIDES.map((id) => ({ id, name: id }))} value={side} onPick={onSide} />
    <Chips
      label="Load state"
      options={view.states.map((s) => ({
        id: s.id,
        name: s.name,
        disabled: known !== undefined && !known.some((state) => state.id === s.id),
      }))}
      value={stateId}
      onPick={onState}
    />
    {children}
  </div>
);
