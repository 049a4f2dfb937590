import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { finish } from '@/core/finish';
import { predictAxle } from '@/core/suspension/solvers';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { DEMO, expect, test } from './shop';

test('drawn eyes, seat and hub equal the solution within half a pixel', async ({ page, request }) => {
  const view = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  await page.goto(`${DEMO.planned}/choose`);
  const svg = page.locator('svg.drawing[data-per-mm]');
  await expect(svg.locator('[data-part=seat-new]')).toBeVisible();
  // The page opens on the load state the goal is meant in.
  const wanted = view.states.findIndex((s) => s.wanted);
  const state = finish(predictAxle(assemble(sheetOf(view)).input)).sides.left!.states[wanted]!;
  const box = (await svg.boundingBox())!;
  const perMm = Number(await svg.getAttribute('data-per-mm'));
  const originX = box.x + Number(await svg.getAttribute('data-origin-x'));
  const originY = box.y + Number(await svg.getAttribute('data-origin-y'));
  const pairs = [
    ['old', state.old!.elevation],
    ['new', state.built!.elevation],
  ] as const;
  for (const [look, elevation] of pairs) {
    const parts = {
      'front-eye': elevation.frontEye,
      'rear-eye': elevation.rearEye,
      seat: elevation.seat,
      hub: elevation.hub,
    };
    for (const [part, point] of Object.entries(parts)) {
      const drawn = (await svg.locator(`[data-part=${part}-${look}]`).boundingBox())!;
      expect(Math.abs(drawn.x + drawn.width / 2 - (originX + point.x * perMm))).toBeLessThan(0.5);
      expect(Math.abs(drawn.y + drawn.height / 2 - (originY - point.y * perMm))).toBeLessThan(0.5);
    }
  }
  // Equal scales in x and y, seen from outside: the same part of the solution in both directions.
  const { frontEye, rearEye, pivot } = state.built!.elevation;
  const at = async (part: string) => {
    const drawn = (await svg.locator(`[data-part=${part}-new]`).boundingBox())!;
    return { x: drawn.x + drawn.width / 2, y: drawn.y + drawn.height / 2 };
  };
  const [front, rear, top] = [await at('front-eye'), await at('rear-eye'), await at('pivot')];
  const across = (rear.x - front.x) / (rearEye.x - frontEye.x);
  const upwards = (rear.y - top.y) / (pivot!.y - rearEye.y);
  expect(upwards / across).toBeCloseTo(1, 1);
});

test('a stored prediction says what the page showed: same change, solved anew on the server', async ({ page }) => {
  await page.goto(`${DEMO.planned}/choose`);
  const shown = page.getByText('The work changes it by').locator('.figure').first();
  await expect(shown).toContainText('mm');
  const change = await shown.innerText();
  await page.getByRole('button', { name: 'Store this prediction' }).click();
  const stored = page.getByRole('region', { name: 'Stored predictions' }).getByRole('listitem').first();
  await expect(stored).toContainText(change.replace(' mm', ''));
});
