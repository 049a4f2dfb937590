import { quantityText } from '../units/format';
import { UNITS, type UnitId } from '../units/units';
import { type JointId, type TorqueEntry } from './joints';

/** What a joint is to be tightened to: a figure, or a range with its ends; N·mm, in the unit it was written in. */
export interface TorqueTarget {
  value: number;
  unit: UnitId;
  range?: { low: number; high: number };
}

/**
 * What the wrench is set to where a locking nut turns stiffly: the figure and what turns the nut before it seats, N·mm. Only where the figure
 * is told without it; most makers' figures for a joint with its own nut have it in them. Common practice.
 */
export const setTo = (target: TorqueTarget, running: number | null): TorqueTarget => {
  const by = running ?? 0;
  return {
    ...target,
    value: target.value + by,
    ...(target.range && { range: { low: target.range.low + by, high: target.range.high + by } }),
  };
};
/** A nut that runs at more than this share of its figure is told: it may be seizing on its thread, not locking. Chosen. */
export const STIFF = 0.3;

/** What a wrench read at a bolt, N·mm, in the unit it was read in. */
export interface TorqueRead {
  value: number;
  unit: UnitId;
}

/** Two figures are the same number when they are nearer than a wrench's own scatter. Common practice: 4 %. */
const SAME = 0.04;
/** A part of a range this near its end lies at the end. Chosen. */
const NEAR_END = 0.25;

const inUnit = (value: number, unit: UnitId) => value / UNITS[unit].factor;
/** Units whose figures look alike and mean a third more or less. */
const LOOKALIKE: Partial<Record<UnitId, UnitId>> = { 'lbf·ft': 'N·m', 'N·m': 'lbf·ft' };

/**
 * Where a reading lies against what was asked, in words; `look` where it is outside or its unit is in doubt.
 * A range is told by how far above its least the reading is, so that its low end is not taken for its middle.
 */
export function torquePlace(read: TorqueRead, target: TorqueTarget): { text: string; look: boolean } {
  const doubt = otherUnit(read, target);
  if (doubt) return { text: doubt, look: true };
  const { unit } = target;
  const by = (from: number) => quantityText(Math.abs(read.value - from), unit);
  const { range } = target;
  if (range) {
    const { low, high } = range;
    if (read.value < low) return { text: `${by(low)} under the least`, look: true };
    if (read.value > high) return { text: `${by(high)} over the most`, look: true };
    const share = (read.value - low) / (high - low);
    if (share < NEAR_END) return { text: `low end: ${by(low)} above the minimum`, look: false };
    if (share > 1 - NEAR_END) return { text: `high end: ${by(high)} below the maximum`, look: false };
    return { text: 'well within the range', look: false };
  }
  const off = read.value / target.value - 1;
  if (Math.abs(off) <= SAME) return { text: 'as asked', look: false };
  return { text: `${by(target.value)} ${off < 0 ? 'under' : 'over'} what is asked`, look: true };
}

/** The reading's number is what was asked, but in the unit that looks like it. */
function otherUnit(read: TorqueRead, target: TorqueTarget): string | null {
  const other = LOOKALIKE[target.unit];
  if (!other || read.unit !== other) return null;
  const number = inUnit(read.value, read.unit);
  const asked = inUnit(target.value, target.unit);
  const [low, high] = target.range
    ? [inUnit(target.range.low, target.unit), inUnit(target.range.high, target.unit)]
    : [asked * (1 - SAME), asked * (1 + SAME)];
  // A reading that is also right in its own unit is not in doubt.
  const fits = target.range
    ? read.value >= target.range.low && read.value <= target.range.high
    : Math.abs(read.value / target.value - 1) <= SAME;
  if (fits || number < low || number > high) return null;
  return `${quantityText(read.value, read.unit)} is ${quantityText(read.value, target.unit)}: was ${target.unit} meant?`;
}

/** The one figure of a sheet in another of the two units than all the rest, of which there are at least two; null without one. */
export function oddUnit(entries: readonly TorqueEntry[]): { joint: JointId; text: string } | null {
  const told = entries.flatMap(({ joint, value, unit }) =>
    value !== null && (unit === 'lbf·ft' || unit === 'N·m') ? [{ joint, value, unit }] : [],
  );
  for (const unit of ['lbf·ft', 'N·m'] as const) {
    const [odd, ...more] = told.filter((t) => t.unit === unit);
    if (!odd || more.length > 0 || told.length < 3) continue;
    const other = LOOKALIKE[unit]!;
    return {
      joint: odd.joint,
      text: `the only figure here in ${unit}: ${quantityText(odd.value, unit)} is ${quantityText(odd.value, other)}. Is the unit right?`,
    };
  }
  return null;
}
