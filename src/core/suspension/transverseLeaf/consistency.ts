import { type Flag, type FlagAt } from '../../sheet/flag';
import { readingAt } from '../../sheet/reading';
import { SIDES, type Side } from '../../vehicle/side';
import { assembleCross, type CrossAxleSheet } from './assemble';
import { CROSS_SHEET, type CrossPoint } from './points';
import { taughtCross } from './taught';

/** What is watched of an axle on a spring across. */
export const CROSS_FLAG_RULES = {
  crossSides: 'left against right',
  crossHeight: 'height against drop of the eye, side by side',
  crossOrder: 'a heavier load stands lower',
  crossRate: 'how far a second load lowers it against the spring’s sizes',
  crossLeaf: 'a broken leaf against how many there are',
  crossSteps: 'the shortest leaf against the main leaf',
} as const;
export type CrossFlagRule = keyof typeof CROSS_FLAG_RULES;

/** mm; well above what a tape reads apart. Chosen. */
const LIMIT = { hubToLip: 25, crossDrop: 14, crossHalf: 8, twist: 16 } as const;

/** Everything in a sheet's before readings that does not go together. Empty when nothing contradicts. */
export function crossConsistency(sheet: CrossAxleSheet): Flag<CrossPoint, CrossFlagRule>[] {
  const [base, ...others] = sheet.states;
  const found: Flag<CrossPoint, CrossFlagRule>[] = [];
  const at = (point: CrossPoint, side: Side | null = null, stateId = base?.id ?? null): FlagAt<CrossPoint> => ({
    ...{ point, side, leafId: null },
    stateId: CROSS_SHEET[point].loaded ? stateId : null,
  });
  const read = (point: CrossPoint, side: Side | null = null, stateId = base?.id ?? null) =>
    readingAt(sheet, at(point, side, stateId))?.value;
  const flag = (rule: CrossFlagRule, said: Flag['said'], ...fields: FlagAt<CrossPoint>[]) =>
    found.push({ rule, said, at: fields });
  const apart = (point: CrossPoint): number | undefined => {
    const [left, right] = SIDES.map((side) => read(point, side));
    return left === undefined || right === undefined ? undefined : left - right;
  };
  for (const point of ['hubToLip', 'crossDrop', 'crossHalf'] as const) {
    const off = apart(point);
    if (off === undefined || Math.abs(off) <= LIMIT[point]) continue;
    flag(
      'crossSides',
      [
        `${CROSS_SHEET[point].label}: left and right differ by `,
        { mm: Math.abs(off) },
        '. Read both again before a part is blamed.',
      ],
      at(point, 'left'),
      at(point, 'right'),
    );
  }
  const [height, drop] = [apart('hubToLip'), apart('crossDrop')];
  // The frame stands over a wheel as high as the eye lies below its clamp.
  if (height !== undefined && drop !== undefined && Math.abs(height - drop) > LIMIT.twist)
    flag(
      'crossHeight',
      ['Heights and eyes differ from side to side by ', { mm: Math.abs(height - drop) }, ' more than each other.'],
      ...SIDES.flatMap((side) => [at('hubToLip', side), at('crossDrop', side)]),
    );
  for (const state of others)
    for (const side of state.addedMass > 0 ? SIDES : [])
      for (const point of ['hubToLip', 'crossDrop'] as const) {
        const [now, then] = [read(point, side), read(point, side, state.id)];
        if (now === undefined || then === undefined || then <= now) continue;
        flag(
          'crossOrder',
          [`${CROSS_SHEET[point].label} ${side} is more by `, { mm: then - now }, ` with “${state.name}” aboard.`],
          at(point, side),
          at(point, side, state.id),
        );
      }
  const [leaves, broken] = [read('crossLeaves'), read('crossBroken')];
  if (leaves !== undefined && broken !== undefined && broken > leaves)
    flag('crossLeaf', [`Leaf ${broken} is said to be broken, of ${leaves}.`], at('crossLeaves'), at('crossBroken'));
  const [short, half] = [read('crossShort'), read('crossHalf', 'left') ?? read('crossHalf', 'right')];
  if (short !== undefined && half !== undefined && short > half)
    flag(
      'crossSteps',
      ['The shortest leaf was read longer than the main leaf by ', { mm: short - half }, '.'],
      at('crossShort'),
      at('crossHalf', 'left'),
    );
  const { input } = assembleCross(sheet);
  for (const side of SIDES)
    if (input.spring && input.sides[side].spring && taughtCross(input, side).unfit !== null)
      flag(
        'crossRate',
        [
          `What the second load lowers the body by, ${side}, does not belong to a spring of these sizes, or the load is another.`,
        ],
        at('crossThickness'),
        at('crossLeaves'),
        ...others.map((s) => at('hubToLip', side, s.id)),
      );
  return found;
}
