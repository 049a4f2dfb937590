import { type Unseen } from '../kind';
import { ASSUMED } from './assumed';
import { type DrawnChange, type DrawnInput, type LeafAxleInput, type SeatShape } from './input';
import { type Side } from '../../vehicle/side';

type Pack = NonNullable<DrawnInput['pack']>;

/**
 * Chances of what nobody saw. Chosen, with no count behind them: a flat pad under curved leaves bends them, most makers press a flat over
 * the seat, seats that follow the leaf are the fewest; eyes are mostly rolled up. A lowest leaf much thicker than the one above is as
 * often an overload leaf as not.
 */
const CHANCES = {
  seat: { flat: 0.4, formed: 0.35, concentric: 0.25 },
  eyes: { upturned: 0.6, berlin: 0.25, downturned: 0.15 },
  role: { graded: 0.5, overload: 0.5 },
} as const;

const withPack = (drawn: DrawnInput, change: (pack: Pack) => Pack): DrawnInput =>
  drawn.pack ? { ...drawn, pack: change(drawn.pack) } : drawn;

/** Eye centre over the main leaf by form, as a share of an upturned eye's. */
const FORMS = { upturned: 1, berlin: 0, downturned: -1 } as const;
type Form = keyof typeof FORMS;
const FORM_NAMES = Object.keys(FORMS) as Form[];

/** Mean over the forms of eyes that nobody saw. */
const MEAN_FORM = FORM_NAMES.reduce((sum, form) => sum + CHANCES.eyes[form] * FORMS[form], 0);

/** A pack whose eyes nobody saw, with eyes as they are in the mean: for heights alone, which follow the eyes nearly in proportion. */
export function withMeanEyes(change: DrawnChange): DrawnChange {
  if (change.kind !== 'pack' || !change.eyesUnseen) return change;
  const { eyesUnseen: _settled, ...rest } = change;
  return { ...rest, eyeOffset: change.eyeOffset * MEAN_FORM };
}

/** A leaf that turns out to be an overload leaf: nearly flat, its doubt twice that of a nesting one. */
const asOverload = (leaf: Pack['leaves'][number]): Pack['leaves'][number] => ({
  ...leaf,
  departure: ASSUMED.overload.value + (ASSUMED.overload.half90 / ASSUMED.departure.half90) * leaf.departure,
});

/** What nobody saw of one side's spring, each with its chances; the input is the side's own. */
export function unseenOf(input: LeafAxleInput, side: Side): Unseen<DrawnInput>[] {
  const { pack } = input;
  const found: Unseen<DrawnInput>[] = [];
  if (!pack || !input.sides[side].spring) return found;
  if (pack.seatShape === 'unknown')
    found.push({
      path: 'pack.seatShape',
      may: (Object.keys(CHANCES.seat) as SeatShape[]).map((seatShape) => ({
        chance: CHANCES.seat[seatShape],
        settle: (drawn) => withPack(drawn, (p) => ({ ...p, seatShape })),
      })),
    });
  if (pack.eyesUnseen)
    found.push({
      path: 'pack.eyesUnseen',
      may: FORM_NAMES.map((form) => ({
        chance: CHANCES.eyes[form],
        settle: (drawn) =>
          // Which of them it is stands in what was drawn: a spring may have been turned end for end.
          withPack(drawn, ({ eyesUnseen: which, ...p }) => ({
            ...p,
            eyeOffset: which === 'rear' ? p.eyeOffset : p.eyeOffset * FORMS[form],
            ...(p.eyeOffsetRear !== undefined && {
              eyeOffsetRear: which === 'front' ? p.eyeOffsetRear : p.eyeOffsetRear * FORMS[form],
            }),
          })),
      })),
    });
  pack.leaves.forEach(({ role }, i) => {
    if (role !== 'unknown') return;
    found.push({
      path: `pack.leaves.${i}.role`,
      may: (['graded', 'overload'] as const).map((as) => ({
        chance: CHANCES.role[as],
        settle: (drawn) =>
          withPack(drawn, (p) => ({
            ...p,
            leaves: p.leaves.map((leaf, j) =>
              j === i ? { ...(as === 'overload' ? asOverload(leaf) : leaf), role: as } : leaf,
            ),
          })),
      })),
    });
  });
  input.changes.forEach((change, i) => {
    if (change.kind !== 'pack' || !change.eyesUnseen) return;
    found.push({
      path: `changes.${i}.eyesUnseen`,
      may: FORM_NAMES.map((form) => ({
        chance: CHANCES.eyes[form],
        settle: (drawn) => ({
          ...drawn,
          changes: drawn.changes.map((c, j): DrawnChange => {
            if (j !== i || c.kind !== 'pack') return c;
            const { eyesUnseen: _settled, ...rest } = c;
            return { ...rest, eyeOffset: c.eyeOffset * FORMS[form] };
          }),
        }),
      })),
    });
  });
  return found;
}
