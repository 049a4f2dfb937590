'use client';
import { SIDES, type Side } from '@/core/vehicle/side';
import { Chips } from './Chips';

/** Left or right. */
export const SideChips = ({ label, value, onPick }: { label: string; value: Side; onPick: (side: Side) => void }) => (
  <Chips label={label} options={SIDES.map((side) => ({ id: side, name: side }))} value={value} onPick={onPick} />
);
