import fc from 'fast-check';
import { hubDrop, type HubTravel } from './hubTravel';
import { limitersOf, NO_FITTINGS, withStruck, type Fittings, type Struck, type TravelRead } from './limits';
import { mended, mendOf } from './mends';
import { dropAtLength, lengthAtDrop } from './shock';
import { heldByShocks, STOP_MARGIN, travelRowsOf, withMoreSlack, worseSide, type TravelItem } from './travelRows';
import { bestMount, rankShocks } from './shockChoice';
import { slackVerdicts } from './survey';

/** Upright shock with 80 in and 110 out, a stop with 60 of gap and 20 that can be squeezed. */
const READ: TravelRead = {
  ...{ stopGap: 60, stopHeight: 50, stopSolid: 30 },
  ...{ shockLength: 430, shockShut: 345, shockOpen: 540, shockLean: 0 },
  ...{ axleToFrame: 120, tyreToArch: 95 },
};
const row = (item: TravelItem, read = READ, lift = 0, fittings: Fittings = NO_FITTINGS) =>
  travelRowsOf('left', read, hubDrop(lift), fittings).find((r) => r.item === item)!;
const at = (read: TravelRead, fittings = NO_FITTINGS) =>
  Object.fromEntries(limitersOf('left', read, fittings).map((l) => [l.id, l.at]));

test('every limiter stands at its own place of the hub', () => {
  expect(at(READ)).toEqual({
    ...{ stopTouches: -60, stopSolid: -80, shockShut: -85, shockOpen: 110, axleToFrame: -120, tyreToArch: -95 },
  });
});

test('common practice: what a shock may still go in must be the bump or more, and the stop acts before it is shut', () => {
  // Shut 85 up, the stop solid at 80: five left where ten are asked for.
  expect(row('shockShut')).toMatchObject({ state: 'look', figure: { value: 5, margin: -5 } });
  expect(row('shockShut', { ...READ, shockShut: 355 })).toMatchObject({ state: 'does not fit', figure: { value: -5 } });
  expect(row('shockShut', { ...READ, shockShut: 330 }).state).toBe('fits');
  // A lift moves neither: both act where the hub stands against the frame.
  expect(row('shockShut', READ, 60).figure).toEqual(row('shockShut').figure);
});

test('a lift is travel won above and lost below; a lowering the other way round', () => {
  expect(row('stopGap', READ, 40).figure!.value).toBe(100);
  expect(row('shockLength', READ, 40).figure!.value).toBe(70);
  expect(row('shockLength', READ, 112)).toMatchObject({ state: 'does not fit', figure: { value: -2 } });
  // Common practice: a block of 1 1/4 in taken out takes as much bump travel.
  expect(row('stopGap', READ, -31.75).figure!.value).toBeCloseTo(28.25, 9);
  expect(row('stopGap', READ, -70).state).toBe('does not fit');
});

test('a leaning shock is told by its triangle, there and back', () => {
  // 3-4-5: 500 long across 300; shut to 340 its bolts are 160 apart in height.
  expect(dropAtLength(500, Math.asin(0.6), 340)).toBeCloseTo(160 - 400, 9);
  expect(dropAtLength(500, Math.asin(0.6), 290)).toBeNull();
  fc.assert(
    fc.property(
      fc.double({ min: 200, max: 800, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: -100, max: 300, noNaN: true }),
      (rest, lean, drop) => {
        fc.pre(rest * Math.cos(lean) + drop > 1);
        expect(dropAtLength(rest, lean, lengthAtDrop(rest, lean, drop))).toBeCloseTo(drop, 6);
      },
    ),
  );
});

test('what nobody read is asked for, and what stands in for a reading makes the band wide', () => {
  expect(row('shockShut', { stopGap: 60 })).toMatchObject({
    state: 'not checked',
    wants: ['shockLength', 'shockShut', 'stopHeight'],
  });
  const { stopSolid: _solid, ...guessed } = READ;
  expect(row('axleToFrame', guessed).assumed).toEqual(['stopSolid']);
  expect(row('axleToFrame', guessed).half90!).toBeGreaterThan(row('axleToFrame').half90!);
  // A margin that its own band reaches over is looked at, not passed.
  expect(row('axleToFrame', { ...guessed, axleToFrame: 98 })).toMatchObject({ state: 'look' });
});

test('every mend gives the row its margin, and is no larger than a step more than it must be', () => {
  const short: TravelRead = { ...READ, shockShut: 362, axleToFrame: 70, tyreToArch: 78 };
  for (const item of ['shockShut', 'axleToFrame', 'tyreToArch'] as const) {
    const bad = row(item, short);
    const mend = mendOf(item, bad.figure!.margin, bad.half90!, short, NO_FITTINGS)!;
    const made = mended(NO_FITTINGS, mend, item);
    expect(row(item, short, 0, made).state).toBe('fits');
    expect(row(item, short, 0, { ...made, stopPad: made.stopPad - 5.01 }).figure!.value).toBeLessThan(STOP_MARGIN);
  }
  const hung = row('shockLength', READ, 100);
  const longer = mendOf('shockLength', hung.figure!.margin, hung.half90!, READ, NO_FITTINGS)!;
  expect(row('shockLength', READ, 100, mended(NO_FITTINGS, longer, 'shockLength')).state).toBe('fits');
  // 25 mm of free travel asked for; of less than half a stop nothing is left.
  expect(mendOf('stopGap', -20, 3, READ, NO_FITTINGS)).toBeNull();
  expect(mendOf('stopGap', 14, 3, READ, NO_FITTINGS)).toEqual({ kind: 'stopCut', by: 15, marks: null });
  const cut = mendOf('stopGap', 14, 3, { ...READ, stopMarks: 9 }, NO_FITTINGS)!;
  expect(cut).toEqual({ kind: 'stopCut', by: 18, marks: 2 });
  // Cut it touches that much later, and is solid later only by the cut's own solid share: 18 · 30 / 50.
  const at = (made: Fittings, id: string) => limitersOf('left', READ, made).find((l) => l.id === id)!.at;
  const made = mended(NO_FITTINGS, cut, 'stopGap');
  expect(at(made, 'stopTouches')).toBe(at(NO_FITTINGS, 'stopTouches') - 18);
  expect(at(made, 'stopSolid')).toBeCloseTo(at(NO_FITTINGS, 'stopSolid') - 10.8, 9);
});

test('a shock that opens before the springs hang holds the axle up, and a longer line has its slack', () => {
  const travel = {
    ...{ today: hubDrop(0), planned: hubDrop(40), droopToday: hubDrop(150), droopPlanned: hubDrop(190) },
  } satisfies HubTravel;
  const both = [...limitersOf('left', READ, NO_FITTINGS), ...limitersOf('right', READ, NO_FITTINGS)];
  const held = heldByShocks(travel, both)!;
  expect(held.droopPlanned!).toBeGreaterThan(110);
  expect(held.droopPlanned!).toBeLessThan(116);
  // One side alone holds nothing, and nothing is held above where it sits.
  expect(heldByShocks(travel, both.slice(0, 6))).toEqual(travel);
  expect(heldByShocks({ ...travel, planned: hubDrop(130) }, both)!.droopPlanned).toBe(130);
  const hose = [{ item: 'brakeHose' as const, answer: 'ok' as const, slack: 100 }];
  const lines = withMoreSlack(hose, { ...NO_FITTINGS, lines: { brakeHose: 40 } });
  const left = (answers: typeof hose) => slackVerdicts(answers, held)[0]!.left!;
  expect(left(lines as typeof hose) - left(hose)).toBe(40);
});

test('shocks of a shelf: the one with most left at its tighter end comes first, one that hits before the stop last', () => {
  const parts = [
    { name: 'too long', shut: 352, open: 600 },
    { name: 'even', shut: 325, open: 560 },
    { name: 'too short', shut: 280, open: 425 },
    { name: 'near', shut: 332, open: 590 },
  ];
  const both = { left: READ, right: READ };
  const ranked = rankShocks(parts, both, { left: hubDrop(10), right: hubDrop(10) }, NO_FITTINGS);
  expect(ranked.map((r) => r.part.name)).toEqual(['even', 'near', 'too long', 'too short']);
  expect(ranked[0]).toMatchObject({ above: 25, below: 120, fits: true });
  expect(ranked.slice(2).map((r) => r.fits)).toEqual([false, false]);
});

test('property: mirrored axles mirror, more lift never adds slack below, a longer stop never touches later', () => {
  const some = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const read = fc.record({
    ...{ stopGap: some(0, 150), stopHeight: some(20, 90), shockLength: some(300, 500) },
    ...{ shockShut: some(200, 420), shockOpen: some(380, 700), axleToFrame: some(10, 200), tyreToArch: some(10, 200) },
  });
  fc.assert(
    fc.property(read, read, some(-60, 120), some(0, 60), (one, other, lift, more) => {
      const sits = hubDrop(lift);
      const rows = worseSide(
        travelRowsOf('left', one, sits, NO_FITTINGS),
        travelRowsOf('right', other, sits, NO_FITTINGS),
      );
      const turned = worseSide(
        travelRowsOf('left', other, sits, NO_FITTINGS),
        travelRowsOf('right', one, sits, NO_FITTINGS),
      );
      expect(turned.map((r) => r.figure?.value)).toEqual(rows.map((r) => r.figure?.value));
      const low = row('shockLength', one, lift).figure?.value;
      const high = row('shockLength', one, lift + more).figure?.value;
      if (low !== undefined && high !== undefined) expect(high).toBeLessThanOrEqual(low);
      const padded = at(one, { ...NO_FITTINGS, stopPad: more });
      expect(padded.stopTouches!).toBeGreaterThanOrEqual(at(one).stopTouches!);
      expect(padded.stopSolid!).toBeGreaterThanOrEqual(at(one).stopSolid!);
    }),
  );
});

test('a block under a plate that the stop strikes gives no travel up; where nobody said what it strikes both may be', () => {
  // 40 of block lift the frame by 40 and the plate by as much: the gap to the plate stays.
  const gap = (struck: Struck) => row('stopGap', READ, 40, withStruck(NO_FITTINGS, struck, 40));
  expect(gap('plate').figure!.value).toBe(60);
  expect(gap('axle').figure!.value).toBe(100);
  expect(gap(null).figure!.value).toBe(80);
  expect(gap(null).half90).toBeGreaterThanOrEqual(20);
  expect(gap(null).text).toContain('Say whether it strikes');
  expect(gap('axle').text).not.toContain('Say');
  // It acts sooner before what is hard.
  expect(row('shockShut', READ, 40, withStruck(NO_FITTINGS, 'plate', 40)).figure!.value).toBe(45);
});

test('a mount is moved until both ends of a shock have as much over what is asked', () => {
  // 5 above where 10 are asked, 110 down where 25 are: 90 too many below are shared.
  const both = { left: READ, right: READ };
  const sits = { left: hubDrop(0), right: hubDrop(0) };
  const best = bestMount(both, sits, NO_FITTINGS)!;
  expect(best.by).toBeGreaterThan(40);
  expect(Math.abs(best.above - STOP_MARGIN - (best.below - 25))).toBeLessThanOrEqual(4);
  expect(best.gain).toBeGreaterThan(40);
  // What is best already is left alone; what was not read is not told.
  const settled = { ...READ, shockLength: READ.shockLength! + best.by };
  expect(bestMount({ left: settled, right: settled }, sits, NO_FITTINGS)).toBeNull();
  expect(bestMount({ left: {}, right: {} }, sits, NO_FITTINGS)).toBeNull();
});
