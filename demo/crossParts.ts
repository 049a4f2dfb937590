// Parts for an axle on one spring across: makers and numbers are made up and plainly so.
import { steps, type Given } from './part';

/** Leaves, thickness, radius of the main leaf, free arch, price, pieces here. */
const springs: Given[] = (
  [
    [3, 6.4, 950, '74', 58, 2],
    [4, 6.4, 860, '84', 69, 1],
    [4, 7, 820, '86', 76, 0],
    [5, 6.4, 900, '80', 81, 0],
  ] as const
).map(([count, thickness, radius, arch, price, here], k): Given => ({
  kind: 'pack',
  name: `Cart spring across 756, ${count} leaves of ${thickness}`,
  maker: 'Brindle & Tarn',
  number: `BX-${count}${String(thickness).replace('.', '')}-${k + 1}`,
  ...(here > 0 && { stock: here, place: 'rack 6' }),
  price,
  days: here > 0 ? 0 : 12,
  rating: 180 + 40 * count,
  form: 'berlin',
  sizes: { width: '44', freeArch: arch, eyeBore: '16', boltFront: 'M12', boltRear: 'M12', centreHole: '9' },
  leaves: steps(378, 378, count, thickness, radius, 0.3),
}));

const spindles: Given[] = ['38', '65', '90'].map((drop, k): Given => ({
  kind: 'spindle',
  name: `Lifted spindles ${drop}, left and right`,
  maker: 'Brindle & Tarn',
  number: `BZ-${drop}`,
  ...(k === 0 && { stock: 2, place: 'drawer 14' }),
  price: 41 + 6 * k,
  days: k === 0 ? 0 : 12,
  form: 'pair',
  sizes: { drop, bore: '19' },
}));

const beams: Given[] = ['60', '95'].map((drop): Given => ({
  kind: 'dropAxle',
  name: `Drop axle ${drop}`,
  maker: 'Brindle & Tarn',
  number: `BA-${drop}`,
  price: 128,
  days: 12,
  sizes: { drop, length: '742', bore: '19' },
}));

export const crossParts: readonly Given[] = [...springs, ...spindles, ...beams];
