// Rubber shear blocks: makers and numbers are made up and plainly so.
import { type Given } from './part';

/** Mark, rate, free offset, rubber, rows apart, price, pieces here. */
export const rubberParts: readonly Given[] = (
  [
    ['soft', '82', '-62', '92', '38', 88, 0],
    ['standard', '104', '-57', '84', '38', 84, 2],
    ['firm', '138', '-51', '78', '38', 96, 0],
    ['standard, wide rows', '104', '-57', '84', '52', 91, 0],
  ] as const
).map(([mark, rate, offset, rubber, rows, price, here], k): Given => ({
  kind: 'shearBlock',
  name: `Shear block 152, ${mark}`,
  maker: 'Pellworth & Sons',
  number: `PR-152-${k + 1}`,
  ...(here > 0 && { stock: here, place: 'shelf 9' }),
  price,
  days: here > 0 ? 0 : 10,
  rating: 900 + 150 * k,
  sizes: { rate, offset, rubber, rows },
}));
