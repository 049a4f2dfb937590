import { draw } from '../../estimate/tree';
import { CoreError } from '../../errors';
import { type Flag, type FlagAt } from '../../sheet/flag';
import { readingAt } from '../../sheet/reading';
import { SIDES, type Side } from '../../vehicle/side';
import { assembleTandem, type TandemAxleSheet } from './assemble';
import { TANDEM_SHEET, type TandemPoint } from './points';
import { TandemSideModel } from './sideModel';
import { taughtPair } from './taught';

/** What is watched of a pair of axles. */
export const TANDEM_FLAG_RULES = {
  pairSides: 'left against right',
  pairEnds: 'front axle’s springs against the rear one’s',
  pairSum: 'axles weighed apart against both together',
  pairShare: 'axles weighed apart against the rocker’s arms',
  pairOrder: 'a heavier load stands lower',
  pairRate: 'how far a second load lowers it against the springs’ sizes',
  pairTilt: 'tilt of the rocker against its stop',
  pairStance: 'tilt or loads against pitch and arches',
  pairGap: 'rocker and springs against the spacing of the axles',
} as const;
export type TandemFlagRule = keyof typeof TANDEM_FLAG_RULES;

/** mm, kg as a share; well above what tape and scale read apart. Chosen. */
const LIMIT = { height: 30, arch: 14, ends: 14, sum: 0.06, share: 0.05, gap: 40, stance: 16 } as const;

/** Everything in a sheet's before readings that does not go together. Empty when nothing contradicts. */
export function tandemConsistency(sheet: TandemAxleSheet): Flag<TandemPoint, TandemFlagRule>[] {
  const [base, ...others] = sheet.states;
  const found: Flag<TandemPoint, TandemFlagRule>[] = [];
  const at = (point: TandemPoint, side: Side | null = null, stateId = base?.id ?? null): FlagAt<TandemPoint> => ({
    ...{ point, side, leafId: null },
    stateId: TANDEM_SHEET[point].loaded ? stateId : null,
  });
  const read = (point: TandemPoint, side: Side | null = null, stateId = base?.id ?? null) =>
    readingAt(sheet, at(point, side, stateId))?.value;
  const flag = (rule: TandemFlagRule, said: Flag['said'], ...fields: FlagAt<TandemPoint>[]) =>
    found.push({ rule, said, at: fields });
  for (const [point, name, limit] of [
    ['hubToLip', 'Hubs to frame', LIMIT.height],
    ['pairArchFront', 'Arch of the front axle’s springs', LIMIT.arch],
    ['pairArchRear', 'Arch of the rear axle’s springs', LIMIT.arch],
  ] as const) {
    const [left, right] = [read(point, 'left'), read(point, 'right')];
    if (left === undefined || right === undefined || Math.abs(left - right) <= limit) continue;
    flag(
      'pairSides',
      [
        `${name}: left and right differ by `,
        { mm: Math.abs(left - right) },
        '. Read both again before a part is blamed.',
      ],
      at(point, 'left'),
      at(point, 'right'),
    );
  }
  for (const side of SIDES) {
    const [front, rear] = [read('pairArchFront', side), read('pairArchRear', side)];
    if (front !== undefined && rear !== undefined && Math.abs(front - rear) > LIMIT.ends)
      flag(
        'pairEnds',
        [
          `The springs of the two axles differ ${side} by `,
          { mm: Math.abs(front - rear) },
          ' of arch: one of them has sagged, or carries more.',
        ],
        at('pairArchFront', side),
        at('pairArchRear', side),
      );
    for (const state of others) {
      const [now, then] = [read('hubToLip', side), read('hubToLip', side, state.id)];
      if (state.addedMass <= 0 || now === undefined || then === undefined || then <= now) continue;
      flag(
        'pairOrder',
        [`The frame stands ${side} higher by `, { mm: then - now }, ` with “${state.name}” aboard.`],
        at('hubToLip', side),
        at('hubToLip', side, state.id),
      );
    }
  }
  const [front, rear, both] = [read('frontAxleLoad'), read('rearAxleLoad'), read('axleLoad')];
  if (
    front !== undefined &&
    rear !== undefined &&
    both !== undefined &&
    Math.abs(front + rear - both) > LIMIT.sum * both
  )
    flag(
      'pairSum',
      [`The two axles weighed apart make ${(front + rear).toFixed(0)} kg, both together ${both.toFixed(0)} kg.`],
      at('frontAxleLoad'),
      at('rearAxleLoad'),
      at('axleLoad'),
    );
  const [tilt, stop] = [read('rockerTilt'), read('rockerStop')];
  if (tilt !== undefined && stop !== undefined && Math.abs(tilt) > stop)
    flag('pairTilt', ['The rocker was read beyond where it touches.'], at('rockerTilt'), at('rockerStop'));
  const [spacing, inner, armFront, armRear] = [
    read('axleSpacing'),
    read('pairInner'),
    read('rockerFront'),
    read('rockerRear'),
  ];
  if (spacing !== undefined && inner !== undefined && armFront !== undefined && armRear !== undefined) {
    const off = spacing - 2 * inner - armFront - armRear;
    if (Math.abs(off) > LIMIT.gap)
      flag(
        'pairGap',
        ['Inner halves and arms of the rocker miss the spacing of the axles by ', { mm: Math.abs(off) }, '.'],
        at('axleSpacing'),
        at('pairInner'),
        at('rockerFront'),
        at('rockerRear'),
      );
  }
  const { input } = assembleTandem(sheet);
  const side = SIDES.find((s) => input.sides[s].spring !== null);
  if (side && input.spring) {
    if (taughtPair(input, side).unfit !== null)
      flag(
        'pairRate',
        ['What the second load lowers the frame by does not belong to springs of these sizes, or the load is another.'],
        at('pairThickness'),
        at('pairLeaves'),
        ...others.map((s) => at('hubToLip', side, s.id)),
      );
    const model = modelOf(input, side);
    if (model && Math.abs(model.contradiction) > LIMIT.stance && (input.rocker === null || tilt !== undefined))
      flag(
        'pairStance',
        [
          'Pitch of the frame, both arches and ',
          input.rocker ? 'the tilt of the rocker' : 'the loads of both axles',
          ' miss each other by ',
          { mm: Math.abs(model.contradiction) },
          ': one was read wrong, or a hanger or seat does not stand where its twin does.',
        ],
        at('framePitch'),
        at('pairArchFront', side),
        at('pairArchRear', side),
        ...(input.rocker ? [at('rockerTilt')] : [at('frontAxleLoad'), at('rearAxleLoad')]),
      );
    if (input.rocker && front !== undefined && rear !== undefined) {
      const share = model?.figures([], 0)?.share ?? null;
      const unsprung = input.unsprung.value / 2;
      const weighed = (front - unsprung) / (front + rear - 2 * unsprung);
      if (share !== null && Math.abs(share - weighed) > LIMIT.share)
        flag(
          'pairShare',
          [
            `The arms of the rocker put ${(100 * share).toFixed(0)} of 100 on the front axle, the scale found ${(100 * weighed).toFixed(0)}: a rocker that does not swing, or arms read wrong.`,
          ],
          at('rockerFront'),
          at('rockerRear'),
          at('frontAxleLoad'),
          at('rearAxleLoad'),
        );
    }
  }
  return found;
}

/** The side as it was read; null where its sizes are no springs. */
function modelOf(input: Parameters<typeof taughtPair>[0], side: Side): TandemSideModel | null {
  try {
    return new TandemSideModel(
      draw(input, (e) => e.value),
      side,
    );
  } catch (error) {
    if (error instanceof CoreError) return null;
    throw error;
  }
}
