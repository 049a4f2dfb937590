import { type Flag, type FlagAt } from '../../sheet/flag';
import { readingAt } from '../../sheet/reading';
import { noseShare } from '../../mechanics/rubber/carrier';
import { SIDES, type Side } from '../../vehicle/side';
import { assembleShear, type ShearAxleSheet } from './assemble';
import { SHEAR_SHEET, type ShearPoint } from './points';
import { taughtShear } from './taught';

/** What is watched of an axle on rubber shear springs. */
export const SHEAR_FLAG_RULES = {
  shearSides: 'left against right',
  shearHeight: 'height against carrier, side by side',
  shearOrder: 'a heavier load lifts the carrier',
  shearFar: 'how far the rubber is sheared against its thickness',
  shearSecond: 'how far a second load lowers it against the block’s rate',
} as const;
export type ShearFlagRule = keyof typeof SHEAR_FLAG_RULES;

/** mm; well above what a tape reads apart. Chosen. */
const LIMIT = { hubToLip: 25, shearOffset: 14, twist: 16 } as const;
/** Rubber that stood sheared by so much of its thickness would have torn long ago: something was read wrong. Chosen. */
const TORN = 1.5;

/** Everything in a sheet's before readings that does not go together. Empty when nothing contradicts. */
export function shearConsistency(sheet: ShearAxleSheet): Flag<ShearPoint, ShearFlagRule>[] {
  const [base, ...others] = sheet.states;
  const found: Flag<ShearPoint, ShearFlagRule>[] = [];
  const at = (point: ShearPoint, side: Side | null = null, stateId = base?.id ?? null): FlagAt<ShearPoint> => ({
    ...{ point, side, leafId: null },
    stateId: SHEAR_SHEET[point].loaded ? stateId : null,
  });
  const read = (point: ShearPoint, side: Side | null = null, stateId = base?.id ?? null) =>
    readingAt(sheet, at(point, side, stateId))?.value;
  const flag = (rule: ShearFlagRule, said: Flag['said'], ...fields: FlagAt<ShearPoint>[]) =>
    found.push({ rule, said, at: fields });
  const apart = (point: ShearPoint): number | undefined => {
    const [left, right] = SIDES.map((side) => read(point, side));
    return left === undefined || right === undefined ? undefined : left - right;
  };
  for (const point of ['hubToLip', 'shearOffset'] as const) {
    const off = apart(point);
    if (off === undefined || Math.abs(off) <= LIMIT[point]) continue;
    flag(
      'shearSides',
      [
        `${SHEAR_SHEET[point].label}: left and right differ by `,
        { mm: Math.abs(off) },
        '. Read both again before a part is blamed.',
      ],
      at(point, 'left'),
      at(point, 'right'),
    );
  }
  const [fixed, nose] = [read('carrierFixed'), read('carrierNose')];
  const [height, offset] = [apart('hubToLip'), apart('shearOffset')];
  if (fixed && nose && height !== undefined && offset !== undefined) {
    // Where the carrier stands higher the frame stands lower, by the axle's share of it.
    const off = Math.abs(height + offset * noseShare({ fixed, nose }));
    if (off > LIMIT.twist)
      flag(
        'shearHeight',
        ['Heights and carriers differ from side to side by ', { mm: off }, ' more than each other.'],
        ...SIDES.flatMap((side) => [at('hubToLip', side), at('shearOffset', side)]),
      );
  }
  for (const state of others)
    for (const side of state.addedMass > 0 ? SIDES : []) {
      const [now, then] = [read('shearOffset', side), read('shearOffset', side, state.id)];
      if (now !== undefined && then !== undefined && then < now)
        flag(
          'shearOrder',
          [`The carrier ${side} stands lower by `, { mm: now - then }, ` with “${state.name}” aboard.`],
          at('shearOffset', side),
          at('shearOffset', side, state.id),
        );
      const [high, low] = [read('hubToLip', side), read('hubToLip', side, state.id)];
      if (high !== undefined && low !== undefined && low > high)
        flag(
          'shearOrder',
          [`The body ${side} stands higher by `, { mm: low - high }, ` with “${state.name}” aboard.`],
          at('hubToLip', side),
          at('hubToLip', side, state.id),
        );
    }
  const { input } = assembleShear(sheet);
  const { block, arms } = input;
  for (const side of SIDES) {
    const spring = input.sides[side].spring;
    if (!block || !arms || !spring) continue;
    const share = noseShare({ fixed: arms.fixed.value, nose: arms.nose.value });
    const strain = (spring.load.value * share) / block.rate.value / block.thick.value;
    if (strain > TORN)
      flag(
        'shearFar',
        [
          `Under this load the block ${side} would be sheared by ${strain.toFixed(1)} times its thickness. Load, sizes or hardness are read wrong.`,
        ],
        ...[at('shearThick'), at('shearLong'), at('shearWide'), at('axleLoad')],
      );
    if (taughtShear(input, side).unfit !== null)
      flag(
        'shearSecond',
        [
          `What the second load lowers the body by, ${side}, does not belong to a block of this rate, or the load is another.`,
        ],
        at('shearThick'),
        ...others.map((s) => at('hubToLip', side, s.id)),
      );
  }
  return found;
}
