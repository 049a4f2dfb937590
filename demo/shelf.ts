// The shelf of the invented workshop: makers, part numbers and prices are made up and plainly so.
import { type PartEdit } from '@/contracts/shelf';
import { dimensionOf, type PartDimensionId } from '@/core/parts/kinds';
import { parseMeasured } from '@/core/units/parse';
import { unsurprised } from '@/core/units/rules';
import { crossParts } from './crossParts';
import { rubberParts } from './rubberParts';
import { pairParts } from './pairParts';
import { camberOf, leaf, steps, type Given, type PartTexts } from './part';

const FAMILIES = [
  {
    key: 'S',
    width: 60,
    front: 548,
    rear: 548,
    hole: '10',
    eye: '32',
    bolt: 'M14',
    maker: 'Vadsel',
    radius: 2050,
    what: 'trailer',
  },
  {
    key: 'M',
    width: 63,
    front: 613,
    rear: 654,
    hole: '10',
    eye: '36',
    bolt: 'M14',
    maker: 'Torrim & Kell',
    radius: 1980,
    what: 'four-by-four',
  },
  {
    key: 'L',
    width: 70,
    front: 676,
    rear: 718,
    hole: '12',
    eye: '41',
    bolt: 'M16',
    maker: 'Brenholt',
    radius: 1900,
    what: 'flatbed',
  },
] as const;
type Family = (typeof FAMILIES)[number];

const sizesOf = (f: Family): PartTexts => ({
  width: String(f.width),
  eyeBore: f.eye,
  boltFront: f.bolt,
  boltRear: f.bolt,
  centreHole: f.hole,
});

const DONORS = [
  'ferry luggage cart, north quay',
  'ice van of the old market',
  'quarry wagon, Hollin pit',
  'harbour pilot’s truck',
];

function packs(f: Family, at: number): Given[] {
  const made = [
    { count: 4, thickness: 8, price: 168, rating: 620 },
    { count: 5, thickness: 8, price: 204, rating: 780 },
    { count: 6, thickness: 8, price: 241, rating: 930 },
    { count: 5, thickness: 9, price: 229, rating: 960 },
    { count: 7, thickness: 7, price: 262, rating: 840 },
  ].map(({ count, thickness, price, rating }, k): Given => ({
    kind: 'pack',
    name: `Pack of ${count}, ${f.what}`,
    maker: f.maker,
    number: `${f.key}P-${count}${thickness}0`,
    ...(k === 1 && { stock: 2, place: 'rack 1' }),
    price: price + 18 * at,
    days: 6 + 3 * k,
    rating: rating + 140 * at,
    form: 'upturned',
    sizes: sizesOf(f),
    leaves: steps(f.front, f.rear, count, thickness, f.radius - 60 * k, 0.3),
  }));
  const used = [0, 1, 2].map((k): Given => {
    const count = 4 + k;
    const thickness = [7.5, 8.4, 9.2][k]!;
    const [front, rear] = [f.front + [0, 8, -12][k]!, f.rear + [0, -6, -12][k]!];
    return {
      kind: 'pack',
      name: `Donor pack of ${count}`,
      number: `D-${f.key}${k + 1}`,
      stock: k === 2 ? 1 : 2,
      used: { origin: DONORS[(at + k) % DONORS.length]!, age: 6 + 5 * k },
      price: 35 + 10 * k,
      days: 0,
      form: k === 1 ? 'berlin' : 'upturned',
      place: `yard row ${at + 1}`,
      note: k === 2 ? 'one of a pair; the other was scrapped' : '',
      sizes: { ...sizesOf(f), ...(k === 1 && { width: String(f.width + 7), centreHole: '12' }) },
      leaves: steps(front, rear, count, thickness, f.radius - 140 + 110 * k, 0.26),
    };
  });
  return [...made, ...used];
}

const leaves = (f: Family, at: number): Given[] =>
  [0.9, 0.8, 0.72, 0.6, 0.45].flatMap((share, i) =>
    [7, 8, 9].map((thickness, k): Given => {
      const [front, rear] = [Math.round(f.front * share), Math.round(f.rear * share)];
      const stocked = (i + k + at) % 3 === 0;
      return {
        kind: 'leaf',
        name: `Leaf ${front + rear} x ${thickness}`,
        maker: f.maker,
        number: `${f.key}L-${front + rear}/${thickness}`,
        ...(stocked && { stock: 2 + i, place: `rack 2, slot ${i + 1}` }),
        price: 24 + 5 * k - 3 * i + 4 * at,
        days: stocked ? 0 : 5,
        sizes: { width: String(f.width), centreHole: f.hole },
        leaves: [leaf(front, rear, thickness, camberOf(front + rear, f.radius - 320 - 60 * i))],
      };
    }),
  );

const sets = (f: Family, at: number): Given[] => [
  ...[0.78, 0.64].map((share, k): Given => ({
    kind: 'addLeafSet',
    name: `Add-a-leaf, ${k === 0 ? 'long' : 'short'}, ${f.what}`,
    maker: 'Oskelund',
    number: `OA-${f.width}${k === 0 ? 'L' : 'K'}`,
    ...(k === 0 && { stock: 2, place: 'rack 3' }),
    price: 58 + 9 * at - 12 * k,
    days: k === 0 ? 0 : 4,
    sizes: { width: String(f.width), centreHole: f.hole },
    leaves: [
      leaf(
        Math.round(f.front * share),
        Math.round(f.rear * share),
        8,
        camberOf((f.front + f.rear) * share, 1250 - 120 * k),
      ),
    ],
  })),
  {
    kind: 'addLeafSet',
    name: `Add-in set of 2, ${f.what}`,
    maker: 'Oskelund',
    number: `OA-${f.width}Z`,
    price: 104 + 9 * at,
    days: 8,
    sizes: { width: String(f.width), centreHole: f.hole },
    leaves: [0.76, 0.52].map((share) =>
      leaf(Math.round(f.front * share), Math.round(f.rear * share), 7, camberOf((f.front + f.rear) * share, 1350)),
    ),
  },
  {
    kind: 'overload',
    name: `Overload leaf, flat, ${f.what}`,
    maker: f.maker,
    number: `${f.key}V-1`,
    price: 66,
    days: 7,
    sizes: { width: String(f.width), centreHole: f.hole },
    leaves: [leaf(Math.round(f.front * 0.62), Math.round(f.rear * 0.62), 12, 6)],
  },
];

const blocks: Given[] = [60, 70].flatMap((width) =>
  ['19', '25', '35', '44', '52', '60', '76'].map((height, k): Given => ({
    kind: 'block',
    name: `Axle block ${height} mm`,
    maker: 'Hadle',
    number: `HB-${width}-${height}`,
    ...(k % 3 === 1 && { stock: 4, place: 'drawer 4' }),
    price: 16 + 3 * k,
    days: k % 3 === 1 ? 0 : 3,
    sizes: { height, width: String(width), length: String(width + 70), dowel: '15', dowelHole: '15.5' },
  })),
);

const wedges: Given[] = [60, 70].flatMap((width) =>
  ['2', '3', '4'].map((angle): Given => ({
    kind: 'wedge',
    name: `Wedge ${angle} degrees`,
    maker: 'Hadle',
    number: `HW-${width}-${angle}`,
    price: 11,
    days: 3,
    sizes: { angle: `${angle}°`, width: String(width), length: String(width + 60), centreHole: '12' },
  })),
);

const shackles: Given[] = ['92', '100', '108', '118', '128', '140'].flatMap((length, k) =>
  ['60', '72'].map((inside, j): Given => ({
    kind: 'shackle',
    name: `Shackle ${length} mm`,
    maker: 'Kellund Forge',
    number: `KS-${length}-${inside}`,
    ...((k + j) % 4 === 0 && { stock: 2, place: 'drawer 6' }),
    price: 31 + 2 * k,
    days: (k + j) % 4 === 0 ? 0 : 6,
    form: k % 2 === 0 ? 'plates' : 'welded',
    sizes: { betweenBolts: length, bolt: j === 0 ? 'M14' : 'M16', insideWidth: inside },
  })),
);

const bushes: Given[] = ['32', '36', '41'].flatMap((outside, k) =>
  (['bondedRubber', 'polyurethane', 'nylon', 'bronze'] as const).map((form, j): Given => ({
    kind: 'bush',
    name: `Eye bush ${outside} mm`,
    maker: j === 1 ? 'Pellavin' : 'Sundry Rubber Works',
    number: `SB-${outside}-${form.slice(0, 2).toUpperCase()}`,
    ...(j < 2 && { stock: 8 - k, place: 'drawer 1' }),
    price: [7.5, 12, 4.2, 19][j]!,
    days: j < 2 ? 0 : 9,
    form,
    sizes: { outside, bore: ['14', '14', '16'][k]!, length: ['60', '63', '70'][k]! },
  })),
);

const stops: Given[] = ['52', '64', '78', '96'].flatMap((free, k) =>
  (['rubber', 'urethane', 'foam'] as const).map((form, j): Given => ({
    kind: 'stop',
    name: `Bump stop ${free} mm`,
    maker: j === 1 ? 'Pellavin' : 'Sundry Rubber Works',
    number: `ST-${free}${form[0]!.toUpperCase()}`,
    ...((k + j) % 3 === 0 && { stock: 4, place: 'drawer 2' }),
    price: 14 + 4 * j + 2 * k,
    days: (k + j) % 3 === 0 ? 0 : 5,
    form,
    sizes: { freeLength: free, width: '54', bolt: 'M10' },
  })),
);

const shocks: Given[] = [
  ['285', '440'],
  ['310', '492'],
  ['335', '540'],
  ['362', '598'],
  ['390', '650'],
  ['418', '706'],
].flatMap(([closed, open], k) =>
  (['eyes', 'stemAndEye'] as const).map((form): Given => ({
    kind: 'shock',
    name: `Shock, ${closed} to ${open} mm`,
    maker: 'Larkvik Hydraulics',
    number: `LH-${closed}${form === 'eyes' ? 'E' : 'S'}`,
    ...(k === 2 && { stock: 2, place: 'rack 5' }),
    price: 62 + 8 * k,
    days: k === 2 ? 0 : 10,
    form,
    sizes: { closedLength: closed!, openLength: open!, bolt: 'M12' },
  })),
);

const ubolts: Given[] = (
  [
    ['12', '1.25', '64'],
    ['14', '1.5', '78'],
    ['16', '1.5', '72'],
  ] as const
).flatMap(([thread, pitch, inside], k) =>
  ['150', '170', '190', '210', '235', '260'].map((leg, j): Given => ({
    kind: 'ubolt',
    name: `U-bolt M${thread} x ${pitch}, ${inside} wide, leg ${leg}`,
    maker: 'Kellund Forge',
    number: `KU-${thread}-${inside}-${leg}`,
    ...(j === 2 + (k % 2) && { stock: 4, place: 'drawer 8' }),
    price: 9.5 + 1.5 * k + 0.5 * j,
    days: j === 2 + (k % 2) ? 0 : 3,
    form: k === 2 ? 'square' : 'round',
    sizes: { thread: `M${thread} x ${pitch}`, insideWidth: inside, legLength: leg, threadLength: '65' },
  })),
);

const centreBolts: Given[] = (
  [
    ['10', '15'],
    ['12', '18'],
  ] as const
).flatMap(([thread, head]) =>
  ['60', '75', '90', '110', '130'].map((length): Given => ({
    kind: 'centreBolt',
    name: `Centre bolt M${thread} x ${length}`,
    maker: 'Kellund Forge',
    number: `KC-${thread}-${length}`,
    stock: 6,
    price: 3.4,
    days: 0,
    place: 'drawer 9',
    sizes: { thread: `M${thread}`, length, threadLength: '40', headWidth: head, headHeight: '9' },
  })),
);

const clips: Given[] = ['60', '63', '70'].flatMap((width) =>
  (['bolted', 'bent'] as const).map((form): Given => ({
    kind: 'clip',
    name: `Leaf clip for ${width} mm`,
    maker: 'Kellund Forge',
    number: `KK-${width}${form === 'bolted' ? 'B' : 'U'}`,
    stock: 8,
    price: 5.2,
    days: 0,
    form,
    place: 'drawer 9',
    sizes: { insideWidth: width, insideHeight: '38', ...(form === 'bolted' && { bolt: 'M8' }) },
  })),
);

const hangers: Given[] = (['fixedEnd', 'shackleEnd', 'slipper'] as const).flatMap((form) =>
  ['62', '72'].map((inside): Given => ({
    kind: 'hanger',
    name: `Weld-on hanger, ${inside} wide`,
    maker: 'Kellund Forge',
    number: `KH-${inside}-${form.slice(0, 2).toUpperCase()}`,
    price: 27,
    days: 6,
    form,
    sizes: { height: '85', bolt: inside === '62' ? 'M14' : 'M16', insideWidth: inside },
  })),
);

/** Wire, outside, turns, free length, price, pieces here. */
const coils: Given[] = (
  [
    ['16', '145', '8.5', '438', 66, 4],
    ['16.6', '146', '8.75', '424', 71, 2],
    ['17', '146', '9', '418', 74, 2],
    ['15.2', '144', '8.5', '452', 58, 0],
    ['16', '168', '8', '430', 69, 2],
  ] as const
).map(([wire, outside, turns, free, price, here]): Given => ({
  kind: 'coil',
  name: `Coil ${wire} x ${outside}, ${free} free`,
  maker: 'Kellund Forge',
  number: `KW-${wire.replace('.', '')}-${free}`,
  stock: here,
  price,
  days: here > 0 ? 0 : 12,
  form: 'closedGround',
  place: 'rack 3',
  sizes: { wire, outsideDiameter: outside, turns, freeLength: free },
}));

const coilSpacers: Given[] = ['10', '15', '20', '30'].map((height) => ({
  kind: 'coilSpacer',
  name: `Coil spacer ${height}`,
  maker: 'Kellund Forge',
  number: `KR-${height}`,
  stock: 4,
  price: 11 + Number(height) / 5,
  days: 0,
  place: 'drawer 11',
  sizes: { height },
}));

function part(given: Given, id: string): PartEdit {
  const { sizes = {}, used, stock } = given;
  const dimensions = (Object.entries(sizes) as [PartDimensionId, string][]).map(([dimension, typed]) => {
    const read = parseMeasured(typed, unsurprised(dimensionOf(dimension).rule));
    if (read.kind !== 'ok') throw new Error(`demo part ${given.name}: ${dimension} “${typed}” is not accepted`);
    return { dimension, value: read.value, typed };
  });
  return {
    id,
    version: 0,
    kind: given.kind,
    name: given.name,
    maker: given.maker ?? '',
    number: given.number ?? '',
    holding: stock === undefined ? 'catalogue' : 'stock',
    condition: used ? 'used' : 'new',
    origin: used?.origin ?? '',
    ageYears: used?.age ?? null,
    quantity: stock ?? null,
    price: given.price ?? null,
    leadDays: given.days ?? null,
    rating: given.rating ?? null,
    ratingTyped: given.rating === undefined ? null : `${given.rating} kg`,
    form: given.form ?? null,
    place: given.place ?? '',
    note: given.note ?? '',
    retired: false,
    dimensions,
    leaves: given.leaves ?? [],
  };
}

/** All demo parts, with ids that are the same every time. */
export const demoParts = (idOf: (n: number) => string): PartEdit[] =>
  [
    ...FAMILIES.flatMap((f, at) => [...packs(f, at), ...leaves(f, at), ...sets(f, at)]),
    ...blocks,
    ...wedges,
    ...shackles,
    ...hangers,
    ...bushes,
    ...stops,
    ...shocks,
    ...ubolts,
    ...centreBolts,
    ...clips,
    ...coils,
    ...coilSpacers,
    ...pairParts,
    ...crossParts,
    ...rubberParts,
  ].map((given, k) => part(given, idOf(k + 1)));
