import fc from 'fast-check';
import { frictionHold } from '@/core/fastener/clamp';
import { findByFigure, findSums, SUMS } from '@/core/handbook/sums';
import { SumInput } from '@/core/handbook/sum';
import { stepped } from '@/core/handbook/step';
import { findTerms } from '@/core/handbook/terms';
import { sparesFor } from '@/core/inspection/spares';
import { coilRate } from '@/core/mechanics/coil/coil';
import { countBack } from '@/core/procedure/countBack';
import { liftHeight } from '@/core/procedure/lift';
import { identifyThread } from '@/core/thread/identify';
import { criticalShare, dampingChange } from '@/core/travel/damping';
import { STOP_LAWS, STOP_MATERIALS, stopEnergy, stopForce, stopLength } from '@/core/travel/bumpStop';
import { parseMeasured } from '@/core/units/parse';
import { freeRadius, tyreChange } from '@/core/vehicle/tyreSize';

/* Outside values: tyre diameters of size tables and worked sums by hand, from memory; common practice is marked. */

test('tyre tables: 225/75 R 16 is 744 mm across, 31 in tyres go by their own name', () => {
  expect(2 * freeRadius({ width: 225, aspect: 0.75, rim: 16 })).toBeCloseTo(744, 0);
  expect((2 * freeRadius({ width: 265, aspect: 0.7, rim: 17 })) / 25.4).toBeCloseTo(31.6, 1);
  const same = { width: 215, aspect: 0.75, rim: 16 };
  expect(tyreChange(same, same)).toMatchObject({ rise: 0, faster: 0 });
  // Both are pressed in by 3 ± 1.2 % of some 365 mm.
  expect(tyreChange(same, same).half90).toBeCloseTo(0.012 * 365 * Math.SQRT2, 0);
});

test('common practice: wire of 22 mm for 18 mm is 2.23 times as stiff, all else alike', () => {
  const coil = (wire: number) => coilRate({ wire, mean: 130, turns: 8, ends: 'closed' });
  expect(coil(22) / coil(18)).toBeCloseTo(2.23, 2);
});

test('common practice: an inch bolt of 9/16-18 and an M14 x 1.5 are taken for one another', () => {
  const metric = identifyThread(13.85, 1.5);
  expect(metric[0]!.thread.name).toBe('M14 x 1.5');
  expect(metric.filter((g) => g.near).map((g) => g.thread.name)).toContain('9/16-18 UNF');
  expect(identifyThread(14.15, 25.4 / 18)[0]!.thread.name).toBe('9/16-18 UNF');
  expect(identifyThread(40, 1.1)).toEqual([]);
});

test('property: energy of a stop is the area under its force, and force never falls', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...STOP_MATERIALS),
      fc.double({ min: 20, max: 200, noNaN: true }),
      fc.double({ min: 0.05, max: 1, noNaN: true }),
      (material, height, share) => {
        const squeeze = share * (1 - STOP_LAWS[material].solid) * height;
        const steps = 200;
        let rises = true;
        let area = 0;
        let last = 0;
        for (let k = 1; k <= steps; k++) {
          const force = stopForce(material, height, 20_000, (squeeze * k) / steps);
          rises &&= force > last;
          area += ((last + force) / 2) * (squeeze / steps);
          last = force;
        }
        expect(rises).toBe(true);
        expect(area / stopEnergy(material, height, 20_000, squeeze)).toBeCloseTo(1, 3);
      },
    ),
  );
  expect(stopForce('rubber', 60, 20_000, 30)).toBeCloseTo(20_000, 6);
});

test('a stop is cut at the first mark that leaves its free travel, never below what must be solid first', () => {
  const of = { gap: 130, hard: 100, margin: 10, free: 45, marks: 10, uncut: 95 };
  // Solid at 40 left: 80 high at least; 85 at most: one mark off 95.
  expect(stopLength('rubber', of)).toEqual({ least: 80, most: 85, cutMarks: 1 });
  expect(stopLength('rubber', { ...of, free: 55 }).cutMarks).toBeNull();
});

test('a frame goes up by droop, tyre and clearance; the stand to the notch above', () => {
  // Common practice: an inch under the tyre is enough while the wheel stays on.
  const stand = { lowest: 400, highest: 640, notch: 20 };
  expect(liftHeight(460, 110, 25.4, 18, stand)).toMatchObject({ raise: 153.4, least: 613.4, set: 620 });
  expect(liftHeight(560, 110, 25.4, 18, stand).set).toBeNull();
});

test('the longest chain of waits, worked by hand', () => {
  const waits = [
    { id: 'order', days: 5 },
    { id: 'strip', days: 2 },
    { id: 'coat', days: 4, after: 'strip' },
    { id: 'soak', days: 1 },
  ];
  const { longest, chain, each } = countBack(waits);
  expect([longest, chain]).toEqual([6, ['strip', 'coat']]);
  expect(each.find((w) => w.id === 'order')).toEqual({ id: 'order', begins: 5, spare: 1 });
  expect(() =>
    countBack([
      { id: 'a', days: 1, after: 'b' },
      { id: 'b', days: 1, after: 'a' },
    ]),
  ).toThrow();
});

test('spares: without a failure the chance of none is a square root, with many it is near Poisson', () => {
  // Gamma of a half over the same distance again: P(0) = √(1/2).
  expect(sparesFor(0, 1000, 1000, 0.7)).toMatchObject({ spares: 0, coverage: Math.sqrt(0.5) });
  // Poisson of 10 is covered 19 of 20 times by 15; the doubt of the rate adds a little.
  expect(Math.abs(sparesFor(190, 19_000, 1000).spares - 15)).toBeLessThanOrEqual(1);
  expect(sparesFor(70, 7000, 1000).spares).toBeGreaterThanOrEqual(15);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 100, max: 50_000 }), (failures, trip) => {
      expect(sparesFor(failures, 40_000, trip).coverage).toBeGreaterThanOrEqual(0.95);
      expect(sparesFor(failures + 1, 40_000, trip).spares).toBeGreaterThanOrEqual(
        sparesFor(failures, 40_000, trip).spares,
      );
    }),
  );
});

test('four legs of a torque hold by friction what they clamp', () => {
  // 4 × 40 kN × 0.16 = 25.6 kN.
  expect(frictionHold(40_000, 4).force).toBeCloseTo(25_600, 6);
  expect(frictionHold(40_000, 4).least).toBeLessThan(frictionHold(40_000, 4).force);
});

/** A sum with its own examples, some of them replaced; what is chosen is given by id. */
const sumNamed = (id: string) => SUMS.find((s) => s.id === id)!;
function given(id: string, texts: Record<string, string>, choices: Record<string, string> = {}) {
  const values = Object.fromEntries(
    sumNamed(id).fields.map(({ id: field, example, rule }) => {
      const read = parseMeasured(texts[field] ?? example, rule);
      // What is asked about is meant here.
      return [field, read.kind === 'ok' ? read.value : read.kind === 'ask' ? read.options[0]!.value : NaN];
    }),
  );
  const { fields, choices: asked = [] } = sumNamed(id);
  const chosen = Object.fromEntries(asked.map((c) => [c.id, choices[c.id] ?? c.options[0]!.id]));
  return new SumInput(values, { ...Object.fromEntries(fields.map((f) => [f.id, f.example])), ...texts }, chosen);
}
const answered = (...[id, texts, choices]: Parameters<typeof given>) =>
  sumNamed(id)
    .answer(given(id, texts, choices))
    .figures.map((f) => f.value);

test('an eye rolled down in place of one rolled up lowers by bore and leaf; back it comes back', () => {
  const size = { bore: '38 mm', thickness: '8 mm' };
  const [down] = answered('eyes', size, { was: 'upturned', will: 'downturned' });
  expect(down).toBe(46);
  expect(answered('eyes', size, { was: 'berlin', will: 'upturned' })[0]).toBe(23);
  expect(answered('eyes', size, { was: 'berlin', will: 'berlin' })[0]).toBe(0);
});

test('rate of a pack: the contact model beside the rule; one leaf alone is a beam to both', async () => {
  const one = {
    count: '1',
    front: '600 mm',
    rear: '600 mm',
    width: '60 mm',
    thickness: '10 mm',
    seat: '0 mm',
    load: '0.7 kN',
  };
  const modelled = async (texts: Record<string, string>) => (await sumNamed('pack').model!(given('pack', texts)))[0]!;
  const [rule] = answered('pack', one);
  // 6·E·I/L³ of two cantilevers of 600 mm each, E 206 GPa, I 5,000 mm⁴.
  expect(rule! / ((6 * 206_000 * 5000) / 600 ** 3)).toBeCloseTo(1, 2);
  expect((await modelled(one)).value / rule!).toBeCloseTo(1, 2);
  const [stepped] = answered('pack', {});
  expect(Math.abs((await modelled({})).value / stepped! - 1)).toBeLessThan(0.08);
});

// By hand: the frame turns by 60 / ((4000² + 4900²) / 8900) = 0.01335 about the coupling’s 60 mm; the axles are pressed by rate times
// what that lifts: 150 N/mm · 0.01335 · 900 mm = 1,802 N between them.
test('a coupling held high moves load between two axles that no rocker joins', () => {
  const [front, rear, , shift] = answered('slipper', {
    ...{ front: '4000 mm', apart: '900 mm', load: '2000 kg', rate: '120 N/mm', tyre: '200 N/mm', up: '60 mm' },
  });
  expect(rear! - front!).toBeCloseTo(1802 / 9.80665, 0);
  expect(6 * 2 * shift!).toBeCloseTo(rear! - front!, 6);
});

// By hand: 140 N·m / (0.2 · 14 mm) = 50 kN; 6 · 50 kN · 0.16 · 69.5 mm = 3,336 N·m; 0.8 · 720 kg · 9.80665 · 355 mm = 2,005 N·m.
test('wheel nuts hold by friction, a lock nut’s own torque comes on top or out of the figure', () => {
  expect(answered('wheelnuts', {}, { condition: 'dry' })[0]).toBeCloseTo(3336 / 2005.3, 3);
  expect(answered('wheelnuts', { torque: '70 N·m' }, { condition: 'dry' })[0]).toBeCloseTo(3336 / 2005.3 / 2, 3);
  expect(answered('locknut', {}, { means: 'seat' }).slice(0, 2)).toEqual([94_000, 85_000]);
  expect(answered('locknut', {}, { means: 'whole' }).slice(0, 2)).toEqual([85_000, 76_000]);
});

test('damping goes by the root of the rate', () => {
  expect(dampingChange(40, 40)).toBe(0);
  expect(dampingChange(25, 100)).toBe(-0.5);
  // 400 kg on 40 N/mm: critical is 8 N·s/mm.
  expect(criticalShare(2, 40, 400 * 9.80665)).toBeCloseTo(0.25, 6);
});

test('one step more and one less leads back, for every field of every sum', () => {
  for (const sum of SUMS)
    for (const { example, rule, id } of sum.fields) {
      const there = stepped(example, rule, 1);
      if (there === null) continue;
      const back = stepped(there, rule, -1);
      const value = (text: string | null) => {
        const read = text === null ? null : parseMeasured(text, rule);
        return read?.kind === 'ok' ? read.value : null;
      };
      expect([sum.id, id, value(there)]).not.toEqual([sum.id, id, null]);
      expect(value(there)!).toBeGreaterThan(0.999 * value(example)!);
      // To the step, where the example lies between two.
      expect(Math.abs(value(back)! - value(example)!)).toBeLessThanOrEqual(
        Math.abs(value(there)! - value(example)!) + 1e-6,
      );
    }
});

test('found by a figure, by a wrong word, by the part’s other names', () => {
  expect(findByFigure('9/16-18').map((f) => [f.sum.id, f.texts])).toContainEqual(['ubolt', { thread: '9/16-18' }]);
  expect(findByFigure('3-7/16 in')[0]).toMatchObject({ sum: { id: 'inch' }, texts: { length: '3-7/16 in' } });
  expect(findByFigure('74 ft-lb').map((f) => f.sum.id)).toContain('range');
  expect(findByFigure('fish plate')).toEqual([]);
  expect(findTerms('fish plate').map((t) => t.name)).toEqual(['spring plate']);
  expect(findTerms('u-joint').map((t) => t.name)).toContain('U-bolt');
  expect(findSums('u-joint').map((s) => s.id)).toContain('ubolt');
  expect(findTerms('equalizer').map((t) => t.name)).toEqual(['rocker']);
});
