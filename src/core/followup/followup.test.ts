import { functionsFor, type Touched } from './functions';
import { readInterval } from './interval';
import { rechecksOf } from './rechecks';

const REAR: Touched = { wheelsOff: true, height: true, position: 'rear', towed: false, has: () => null };

test('what is tried follows from what was touched; what nobody looked at is asked, what is not there is not', () => {
  expect(functionsFor(REAR)).toEqual(
    expect.arrayContaining(['brakes', 'parkingBrake', 'shaft', 'lamps', 'wheelNuts', 'roadTest']),
  );
  expect(functionsFor(REAR)).not.toContain('lock');
  expect(functionsFor({ ...REAR, position: 'front' })).toEqual(expect.arrayContaining(['lock', 'steering']));
  const trailer = functionsFor({ ...REAR, towed: true, has: () => false });
  expect(trailer).toContain('hitch');
  expect(trailer).not.toContain('brakes');
  expect(trailer).not.toContain('shaft');
  expect(functionsFor({ ...REAR, has: (item) => item === 'loadValve' })).toContain('loadValve');
  expect(functionsFor(REAR)).not.toContain('loadValve');
});

test('checks are those of the joints that were undone: no U-bolt is named on an axle that has none', () => {
  const coil = rechecksOf(['armAxle', 'coilRetainer', 'wheelNuts']).map(({ what }) => what);
  expect(coil.join()).not.toMatch(/U-bolt/);
  expect(coil[0]).toMatch(/Wheel nuts/);
  expect(coil.at(-1)).toBe('Heights after settling');
  const leaf = rechecksOf(['uBolts', 'centreBolt', 'wheelNuts'], 16_093);
  expect(leaf.filter(({ what }) => what.startsWith('U-bolts'))).toHaveLength(2);
  expect(leaf.at(-1)).toMatchObject({ reads: 'heights', afterKm: 16_093 });
  expect(rechecksOf([]).map(({ reads }) => reads)).toEqual(['heights']);
});

test.each<[text: string, km: number[]]>([
  ['500 km', [500]],
  ['500 then 1,000 km', [500, 1000]],
  ['800 km; 1600 km', [800, 1600]],
  ['1.500 km', [1500]],
])('“%s” is read as it is', (text, km) => {
  expect(readInterval(text)).toEqual({ kind: 'ok', km });
});

test('what can be meant two ways is asked: 500, then 1,000 or 10,000 (common practice)', () => {
  const read = readInterval('500 mi, then 1,000 or 10,000');
  expect(read.kind === 'ask' && read.options.map(({ km }) => km.map(Math.round))).toEqual([
    [805, 1609],
    [805, 16_093],
  ]);
  const bare = readInterval('500');
  expect(bare.kind === 'ask' && bare.options.map(({ label }) => label)).toEqual(['500 km', '500 mi']);
});

test.each(['', 'soon', '500 1000 km', '1000 km then 500 km', '1 km', 'x'.repeat(100), '9'.repeat(60)])(
  'nonsense is refused with a reason: “%s”',
  (text) => {
    const read = readInterval(text);
    expect(read.kind).toBe('refused');
  },
);
