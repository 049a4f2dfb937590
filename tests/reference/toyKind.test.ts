import { type Estimate } from '@/core/estimate/estimate';
import { draw, type Drawn } from '@/core/estimate/tree';
import { finish } from '@/core/finish';
import { GRAVITY } from '@/core/material/steel';
import { predictBands } from '@/core/prediction/band';
import { predictCentral } from '@/core/prediction/central';
import { ledgerValue } from '@/core/prediction/ledger';
import { point } from '@/core/sheet/point';
import { extraAxleMass, readingAt, type AxleSheet } from '@/core/sheet/reading';
import { type AxleBase, type SideModel, type SpringFigures, type SuspensionKind } from '@/core/suspension/kind';
import { lengthRule } from '@/core/units/rules';
import { SIDES, type Side } from '@/core/vehicle/side';
import { uniformFrom } from '@/workers/random';

/*
 * A made-up kind: the body hangs on two ropes of rubber. It is written here alone, behind the narrow interface, and walked from
 * readings to a band; the house knows nothing of it.
 */
type RopeChange = { kind: 'knot'; shorter: Estimate } | { kind: 'rope'; rate: Estimate };
interface RopeInput extends AxleBase {
  kind: 'rubberRope';
  /** N/mm of one rope. */
  rate: Estimate;
  changes: RopeChange[];
}
type RopeDrawn = Drawn<RopeInput>;
interface RopeSheet extends AxleSheet {
  changes: RopeChange[];
}

class Rope implements SideModel<Drawn<RopeChange>, SpringFigures> {
  readonly hasSpring = true;
  constructor(
    private readonly drawn: RopeDrawn,
    private readonly side: Side,
  ) {}
  private rate(changes: readonly Drawn<RopeChange>[]): number {
    return changes.reduce((rate, c) => (c.kind === 'rope' ? c.rate : rate), this.drawn.rate);
  }
  private load(extra: number): number {
    return this.drawn.sides[this.side].spring!.load + extra;
  }
  rise(changes: readonly Drawn<RopeChange>[], extra: number): number {
    const knots = changes.reduce((sum, c) => (c.kind === 'knot' ? sum + c.shorter : sum), 0);
    return knots - this.load(extra) / this.rate(changes);
  }
  frictionHeight(): number {
    return 0;
  }
  figures(changes: readonly Drawn<RopeChange>[], extra: number): SpringFigures {
    return { load: this.load(extra), rate: this.rate(changes), frequency: null, frictionHeight: 0 };
  }
}

interface RopeTypes {
  sheet: RopeSheet;
  input: RopeInput;
  drawn: RopeDrawn;
  change: Drawn<RopeChange>;
  figures: SpringFigures;
  model: Rope;
  fit: object;
  beside: object;
  fasteners: object;
  line: 'knot' | 'rope';
  check: 'frayed';
  standing: { loads: number[] };
}
const ROPE: SuspensionKind<RopeTypes> = {
  id: 'rubberRope',
  name: 'rubber ropes',
  groups: [{ id: 'rope', place: 'under', title: 'Rope', buys: 'what it gives' }],
  rules: [],
  arranged: false,
  joints: [],
  label: (path) => path,
  points: { ropeGive: point('rope', 'Give under 100 kg', 'Tape.', lengthRule(1, 200, 20), 1) },
  assemble(sheet) {
    const at = (name: string, side: Side | null = null) =>
      readingAt(sheet, { point: name, side, stateId: side ? 'today' : null });
    const give = at('ropeGive');
    const weight = readingAt(sheet, { point: 'axleLoad', stateId: 'today' });
    const measured = (value: number, half90: number): Estimate => ({ value, half90, origin: 'measured' });
    const spring = give && weight ? { load: measured((weight.value / 2) * GRAVITY, 150) } : null;
    const side = (name: Side) => {
      const height = at('hubToLip', name);
      return { height: height ? measured(height.value, 2) : null, spring };
    };
    const rate = give ? (100 * GRAVITY) / give.value : 1;
    return {
      missing: give ? [] : [{ point: 'ropeGive', side: null, leafId: null }],
      refused: [],
      input: {
        ...{ kind: 'rubberRope', rolled: true, sides: { left: side('left'), right: side('right') }, afterReading: 2 },
        rate: measured(rate, give ? (rate * this.points.ropeGive!.half90) / give.value : 0),
        tyreRate: measured(250, 0),
        changes: sheet.changes,
        states: sheet.states.map((s) => ({ id: s.id, name: s.name, extraMass: measured(extraAxleMass(sheet, s), 0) })),
      },
    };
  },
  draw,
  changes: ({ changes }) => changes,
  taught: (input) => ({ input, fit: null, unfit: null }),
  bySizeAlone: (change) => change.kind === 'knot',
  solvable: (input, side) => input.sides[side].spring !== null,
  model: (drawn, side) => new Rope(drawn, side),
  lines: (drawn, model) =>
    drawn.changes.map((change) => ({
      kind: change.kind,
      label: change.kind,
      value: model.rise([change], 0) - model.rise([], 0),
    })),
  settling: () => 'usedPack',
  signed: /$^/,
  unseen: () => [],
  rubbing: () => 1,
  beside: () => ({}),
  fasteners: () => ({}),
  work: () => ({
    located: false,
    arrangement: null,
    own: (standing) => [{ item: 'frayed', state: standing ? 'fits' : 'not checked', text: '' }],
  }),
  standing: (states) => ({ loads: states.flatMap(({ built }) => (built ? [built.load] : [])) }),
};

const read = (name: string, value: number, side: Side | null = null, stateId: string | null = null) => ({
  ...{ point: name, phase: 'before' as const, side, leafId: null, stateId, value, rolled: null },
});
const sheet: RopeSheet = {
  axle: { position: 'rear' },
  wheelbase: 2000,
  readings: [
    ...SIDES.map((side) => read('hubToLip', 300, side, 'today')),
    read('axleLoad', 400, null, 'today'),
    read('ropeGive', 20),
  ],
  states: [
    { id: 'today', name: 'today', addedMass: 0, station: 0 },
    { id: 'sacks', name: 'two sacks', addedMass: 100, station: 1600 },
  ],
  changes: [
    { kind: 'knot', shorter: { value: 25, half90: 1, origin: 'measured' } },
    { kind: 'rope', rate: { value: 70, half90: 5, origin: 'catalogue' } },
  ],
};

test('a kind that only a test knows is walked from its readings to a ledger, a laden height and a band', () => {
  const { input, missing } = ROPE.assemble(sheet);
  expect(missing).toEqual([]);
  // 20 mm under 100 kg.
  const rate = (100 * GRAVITY) / 20;
  const prediction = finish(predictCentral(ROPE, input));
  const [today, laden] = prediction.sides.left!.states;
  const load = 200 * GRAVITY;
  const stiffer = load / rate - load / 70;
  expect(ledgerValue(today!.ledger, 'knot')).toBeCloseTo(25, 9);
  expect(ledgerValue(today!.ledger, 'rope')).toBeCloseTo(stiffer, 9);
  expect(today!.after).toBeCloseTo(300 + 25 + stiffer, 9);
  // 80 of the 100 kg come to this axle, 40 on each rope.
  expect(laden!.after).toBeCloseTo(today!.after! - (40 * GRAVITY) / 70, 6);
  const printed = laden!.ledger.filter((l) => l.kind !== 'total' && l.kind !== 'settling');
  expect(printed.reduce((sum, l) => sum + l.value, 0)).toBeCloseTo(ledgerValue(laden!.ledger, 'total'), 9);
  expect(today!.contributions.map((c) => c.path)).toContain('changes.1.rate');
  const bands = finish(predictBands(ROPE, input, prediction, uniformFrom(7), 400));
  expect(bands.left![0]!.half / today!.firstOrder).toBeGreaterThan(0.85);
  expect(bands.left![0]!.half / today!.firstOrder).toBeLessThan(1.15);
  // What is missing is said, and a knot is answered from the height alone.
  const bare = {
    ...sheet,
    readings: sheet.readings.filter((r) => r.point !== 'ropeGive'),
    changes: [sheet.changes[0]!],
  };
  const short = ROPE.assemble(bare);
  expect(short.missing).toHaveLength(1);
});
