// Rubber shear blocks, helper springs, links: makers and numbers are made up and plainly so.
import { type Given } from './part';

/** Mark, rate, free offset, rubber, rows apart, price, pieces here. */
const blocks: readonly Given[] = (
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

/** Stroke, and what one carries at even shares of it, kg. */
const helpers: readonly Given[] = (
  [
    ['rubber', 'Rubber helper 60', 64, [0, 55, 150, 320, 690], 41, 2],
    ['rubber', 'Rubber helper 90, firm', 92, [0, 90, 240, 520, 1100], 52, 0],
    ['air', 'Air helper at 350 kPa', 130, [120, 230, 350, 520, 860], 96, 0],
    ['clampOn', 'Clamp-on overload', 70, [0, 120, 240, 360, 480], 63, 0],
    ['leaf', 'Helper leaf on pads', 55, [0, 150, 300, 450, 600], 71, 0],
  ] as const
).map(([form, name, stroke, carries, price, here], k): Given => ({
  ...{
    kind: 'helperSpring',
    name,
    maker: 'Tessaly Works',
    number: `TH-${form.slice(0, 2).toUpperCase()}-${k + 1}`,
    form,
  },
  ...(here > 0 && { stock: here, place: 'shelf 9' }),
  ...{ price, days: here > 0 ? 0 : 8 },
  sizes: {
    stroke: String(stroke),
    carriesOpen: String(carries[0]),
    carriesQuarter: String(carries[1]),
    carriesHalf: String(carries[2]),
    carriesThree: String(carries[3]),
    carriesWhole: String(carries[4]),
  },
}));

const links: readonly Given[] = [
  ...['170', '215'].map((length): Given => ({
    ...{
      kind: 'swayLink',
      name: `Sway link ${length}, with bushes`,
      maker: 'Pellworth & Sons',
      number: `PL-${length}`,
    },
    ...{ price: 19, days: 6, sizes: { length, bolt: 'M10' } },
  })),
  {
    ...{ kind: 'wrapBar', name: 'Anti-wrap bar with its shackle', maker: 'Tessaly Works', number: 'TW-910' },
    ...{ price: 155, days: 14, sizes: { length: '910' } },
  },
];

export const rubberParts: readonly Given[] = [...blocks, ...helpers, ...links];
