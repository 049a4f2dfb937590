// Parts for two axles that stand as one: makers and numbers are made up and plainly so.
import { steps, type Given } from './part';

/** Leaves, thickness, radius of the main leaf, free arch, price, pieces here, eye at both ends or at the hanger's only. */
const springs: Given[] = (
  [
    [5, 6.4, 760, '78', 44, 4, 'both'],
    [6, 6.4, 740, '80', 52, 0, 'both'],
    [6, 7, 700, '84', 58, 4, 'both'],
    [7, 7, 690, '82', 66, 0, 'both'],
    [6, 7, 720, '80', 61, 4, 'front'],
  ] as const
).map(([count, thickness, radius, arch, price, here, eyes], k): Given => {
  const leaves = steps(340, 340, count, thickness, radius, 0.3);
  return {
    kind: 'pack',
    name: `Trailer spring 680, ${count} leaves of ${thickness}${eyes === 'both' ? '' : ', one eye'}`,
    maker: 'Kellund Forge',
    number: `KT-${count}${String(thickness).replace('.', '')}-${k + 1}`,
    ...(here > 0 && { stock: here, place: 'rack 5' }),
    price,
    days: here > 0 ? 0 : 9,
    rating: 560 + 40 * count,
    form: 'upturned',
    sizes: { width: '50', freeArch: arch, eyeBore: '27', boltFront: 'M14', boltRear: 'M14', centreHole: '10' },
    leaves: leaves.map((one, at) => (at === 0 ? { ...one, eyes } : one)),
  };
});

const rockers: Given[] = (
  [
    ['100', '100'],
    ['115', '115'],
    ['108', '122'],
    ['130', '130'],
  ] as const
).map(([front, rear], k): Given => ({
  kind: 'rocker',
  name: `Rocker ${front} : ${rear}`,
  maker: 'Kellund Forge',
  number: `KQ-${front}-${rear}`,
  ...(k === 1 && { stock: 2, place: 'rack 5' }),
  price: 37,
  days: k === 1 ? 0 : 9,
  sizes: { frontArm: front, rearArm: rear, pinsBelow: '6', bore: '20' },
}));

const shackles: Given[] = ['62', '75', '90'].map((length, k): Given => ({
  kind: 'shackle',
  name: `Trailer shackle ${length} mm`,
  maker: 'Kellund Forge',
  number: `KTS-${length}`,
  ...(k === 0 && { stock: 8, place: 'drawer 6' }),
  price: 7 + k,
  days: k === 0 ? 0 : 9,
  form: 'plates',
  sizes: { betweenBolts: length, bolt: 'M14', insideWidth: '52' },
}));

const slippers: Given[] = ['96', '116', '136'].map((height): Given => ({
  kind: 'hanger',
  name: `Slipper box, face ${height} below the frame`,
  maker: 'Kellund Forge',
  number: `KTB-${height}`,
  price: 33,
  days: 9,
  form: 'slipper',
  sizes: { height, bolt: 'M14', insideWidth: '54' },
}));

export const pairParts: readonly Given[] = [...springs, ...rockers, ...shackles, ...slippers];
