import { draw } from '../../estimate/tree';
import { coilRate, solidHeight } from '../../mechanics/coil/coil';
import { type Flag, type FlagAt } from '../../sheet/flag';
import { readingAt } from '../../sheet/reading';
import { SIDES, type Side } from '../../vehicle/side';
import { assembleCoil, type CoilAxleSheet } from './assemble';
import { taughtCoil } from './taught';
import { COIL_SHEET, type CoilPoint } from './points';
import { USUAL_ENDS } from './sideModel';

/** What is watched of an axle on coils. */
export const COIL_FLAG_RULES = {
  coilSides: 'left against right',
  coilOrder: 'a heavier load stands lower and presses the coil shorter',
  coilFree: 'free length against length under load',
  coilSolid: 'turns and wire against the length',
  coilSizes: 'sizes against free length and load',
  coilHeight: 'height against length of the coil, side by side',
} as const;
export type CoilFlagRule = keyof typeof COIL_FLAG_RULES;

/** mm; well above what a tape reads apart. Chosen. */
const LIMIT = { height: 30, length: 14, free: 10, twist: 16 } as const;

/** Everything in a sheet's before readings that does not go together. Empty when nothing contradicts. */
export function coilConsistency(sheet: CoilAxleSheet): Flag<CoilPoint, CoilFlagRule>[] {
  const [base, ...others] = sheet.states;
  const found: Flag<CoilPoint, CoilFlagRule>[] = [];
  const at = (point: CoilPoint, side: Side | null = null, stateId = base?.id ?? null): FlagAt<CoilPoint> => ({
    ...{ point, side, leafId: null },
    stateId: COIL_SHEET[point].loaded ? stateId : null,
  });
  const read = (point: CoilPoint, side: Side | null = null, stateId = base?.id ?? null) =>
    readingAt(sheet, at(point, side, stateId))?.value;
  const flag = (rule: CoilFlagRule, said: Flag['said'], ...fields: FlagAt<CoilPoint>[]) =>
    found.push({ rule, said, at: fields });
  const pair = (point: CoilPoint): [number, number] | undefined => {
    const [left, right] = SIDES.map((side) => read(point, side));
    return left === undefined || right === undefined ? undefined : [left, right];
  };
  for (const [point, limit] of [
    ['hubToLip', LIMIT.height],
    ['coilLength', LIMIT.length],
    ['coilFree', LIMIT.free],
  ] as const) {
    const both = pair(point);
    if (!both || Math.abs(both[0] - both[1]) <= limit) continue;
    flag(
      'coilSides',
      [
        `${COIL_SHEET[point].label}: left and right differ by `,
        { mm: Math.abs(both[0] - both[1]) },
        '. Read both again before a part is blamed.',
      ],
      at(point, 'left'),
      at(point, 'right'),
    );
  }
  const [height, length] = [pair('hubToLip'), pair('coilLength')];
  if (height && length) {
    const off = height[0] - height[1] - (length[0] - length[1]);
    if (Math.abs(off) > LIMIT.twist)
      flag(
        'coilHeight',
        ['Heights and coils differ from side to side by ', { mm: Math.abs(off) }, ' more than each other.'],
        ...SIDES.flatMap((side) => [at('hubToLip', side), at('coilLength', side)]),
      );
  }
  for (const state of others) {
    if (state.addedMass <= 0) continue;
    for (const side of SIDES)
      for (const point of ['hubToLip', 'coilLength'] as const) {
        const [now, then] = [read(point, side), read(point, side, state.id)];
        if (now === undefined || then === undefined || then <= now) continue;
        flag(
          'coilOrder',
          [`${COIL_SHEET[point].label} ${side} is longer by `, { mm: then - now }, ` with “${state.name}” aboard.`],
          at(point, side),
          at(point, side, state.id),
        );
      }
  }
  const { input } = assembleCoil(sheet);
  for (const side of SIDES) {
    const [pressed, free] = [read('coilLength', side), read('coilFree', side)];
    if (pressed !== undefined && free !== undefined && pressed >= free)
      flag(
        'coilFree',
        [`The coil ${side} is longer by `, { mm: pressed - free }, ' with the weight on than lying free.'],
        at('coilLength', side),
        at('coilFree', side),
      );
    const coil = input.coil && draw(input.coil, (e) => e.value);
    const solid = coil && solidHeight({ ...coil, ends: coil.ends === 'unknown' ? USUAL_ENDS : coil.ends });
    if (solid !== null && pressed !== undefined && pressed < solid)
      flag(
        'coilSolid',
        ['Wire and turns make ', { mm: solid }, ` when they touch; the coil ${side} was read shorter.`],
        at('coilTurns'),
        at('coilWire'),
        at('coilLength', side),
      );
    else if (taughtCoil(input, side).unfit !== null && possible(input))
      flag(
        'coilSizes',
        [
          `Free length, length under load and sizes of the coil ${side} do not belong to one coil, or the load on it is another.`,
        ],
        at('coilFree', side),
        at('coilLength', side),
        at('coilWire'),
        at('coilTurns'),
      );
  }
  return found;
}

/** Whether the sizes are those of any coil. */
function possible({ coil }: ReturnType<typeof assembleCoil>['input']): boolean {
  if (!coil) return false;
  const { wire, outside, turns } = draw(coil, (e) => e.value);
  try {
    return coilRate({ wire, mean: outside - wire, turns, ends: USUAL_ENDS }) > 0;
  } catch {
    return false;
  }
}
