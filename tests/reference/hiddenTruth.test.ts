import { printedBy } from './bundled';

/*
 * Seeded and small here; `npx tsx tests/reference/hiddenTruth.ts 0 40` and more tell the shares of docs/mechanics.md. With three trucks, which
 * all variants share, a share scatters widely, so its limits are wide (chosen); half-widths are held so that nobody widens a band to pass.
 */

interface Tried {
  inside: boolean;
  off: number;
  half: number;
}

/** Widest median half-width of a plan, mm, over all variants; a tenth more than measured on 40 trucks a variant. */
const WIDEST: Record<string, number> = {
  'leaf added': 7.4,
  'leaf out': 15.6,
  'other pack': 38,
  'longer shackle': 3.5,
  'longer leaf added': 4.2,
};
/** Scatter of a plan from truck to truck, mm, as measured on 40 of them; the variants share their trucks. */
const SCATTER: Record<string, number> = {
  'leaf added': 2.5,
  'leaf out': 4,
  'other pack': 12,
  'longer shackle': 1.5,
  'longer leaf added': 1.7,
};
const TRUCKS = 3;
/** Bias allowed of all variants of a plan together, mm, before three standard errors of so few trucks. */
const BIAS: Record<string, number> = {
  'leaf added': 1,
  'leaf out': 1,
  'longer shackle': 1,
  'longer leaf added': 1,
  'other pack': 4,
};

test('springs of a second model, measured and foretold: overload leaves, formed leaves, unseen seats and eyes, shackles above their pivot', async () => {
  const halves = await printedBy('hiddenTruth', ['3', '2'], ['5', '1']);
  const tried: Record<string, Tried[]> = {};
  for (const text of halves)
    for (const [name, found] of Object.entries(JSON.parse(text) as Record<string, Tried[]>))
      (tried[name] ??= []).push(...found);
  const names = Object.keys(tried);
  expect(names.filter((name) => name.includes('not solved'))).toEqual([]);
  expect(names.length).toBeGreaterThanOrEqual(30);
  const all = Object.values(tried).flat();
  const share = (some: readonly Tried[]) => some.filter((t) => t.inside).length / some.length;
  // 96 outcomes at 92 %: 83 to 99.
  expect(share(all)).toBeGreaterThan(0.83);
  expect(share(all)).toBeLessThan(0.99);
  for (const variant of new Set(names.map((name) => name.split(' | ')[0]!))) {
    const own = names.filter((name) => name.startsWith(`${variant} | `)).flatMap((name) => tried[name]!);
    expect([variant, share(own) > (own.length > 5 ? 0.6 : 0.3)]).toEqual([variant, true]);
  }
  for (const [plan, widest] of Object.entries(WIDEST)) {
    const of = names.filter((name) => name.endsWith(`| ${plan}`));
    const outcomes = of.flatMap((name) => tried[name]!);
    const mean = outcomes.reduce((sum, { off }) => sum + off, 0) / outcomes.length;
    const error = SCATTER[plan]! / Math.sqrt(TRUCKS);
    expect([plan, Math.abs(mean) < BIAS[plan]! + 3 * error]).toEqual([plan, true]);
    for (const name of of) {
      const sorted = tried[name]!.map(({ half }) => half).toSorted((p, q) => p - q);
      expect([name, sorted[Math.floor(sorted.length / 2)]! < 1.3 * widest]).toEqual([name, true]);
    }
  }
  console.log(
    names
      .map((name) => {
        const own = tried[name]!;
        const half = own.reduce((sum, t) => sum + t.half, 0) / own.length;
        return `${name}: ${own.filter((t) => t.inside).length} of ${own.length} inside, mean half-width ${half.toFixed(1)} mm`;
      })
      .join('\n'),
  );
}, 300_000);
