import { frontShare } from '../mechanics/equalizer/equalizer';
import { freeRadius, loadedRadius, tyreChange, type TyreSize } from '../vehicle/tyreSize';
import { independentLoads } from '../vehicle/tandem';
import { axleShares } from '../vehicle/load';
import { countRule, lengthRule, massRule } from '../units/rules';
import { across, box, disc, ground, line, note, up } from './picture';
import { n, type Sum, type SumInput } from './sum';

const size = (given: SumInput, k: '' | '2'): TyreSize => ({
  width: given.number(`width${k}`),
  aspect: given.number(`aspect${k}`) / 100,
  rim: given.number(`rim${k}`),
});

/** What goes from one axle to the other for so much more height of the coupling, kg. */
function shiftOf(front: number, apart: number, rate: number, up: number): number {
  const none = { hitch: 0, front: 0, rear: 0 };
  const moved = independentLoads({ axles: { front, rear: front + apart } }, none, rate, up);
  return Math.abs(moved.rear - moved.front) / 2;
}

export const WHEEL_SUMS: readonly Sum[] = [
  {
    id: 'tyre',
    group: 'axle and wheels',
    title: 'Other tyres',
    words: 'tire size radius diameter speedometer gearing taller lift wheel rim aspect',
    fields: [
      { id: 'width', label: 'Width now', rule: lengthRule(60, 500, 225), example: '215 mm' },
      { id: 'aspect', label: 'Height over width, %', rule: countRule(20, 100), example: '75' },
      { id: 'rim', label: 'Rim now, inches', rule: countRule(4, 30), example: '16' },
      { id: 'width2', label: 'Width of the others', rule: lengthRule(60, 500, 225), example: '235 mm' },
      { id: 'aspect2', label: 'Theirs, %', rule: countRule(20, 100), example: '85' },
      { id: 'rim2', label: 'Their rim, inches', rule: countRule(4, 30), example: '16' },
    ],
    source: 'arithmetic of the size; pressed in by 3 % ± 1.2 under its load, from memory',
    silent: 'Room at full lock and full bump, load index, and whether the rim is wide enough: look at each.',
    answer: (given) => {
      const [was, now] = [size(given, ''), size(given, '2')];
      const { rise, half90, faster } = tyreChange(was, now);
      return {
        figures: [
          {
            label: rise < 0 ? 'axle goes down by' : 'axle goes up by',
            value: Math.abs(rise),
            dimension: 'length',
            between: [Math.abs(rise) - half90, Math.abs(rise) + half90],
          },
          { label: 'hub over the ground after', value: loadedRadius(now), dimension: 'length' },
          { label: 'diameter after', value: 2 * freeRadius(now), dimension: 'length' },
          {
            label: faster < 0 ? 'really slower than told by' : 'really faster than told by',
            value: Math.abs(faster),
            dimension: 'share',
          },
        ],
        words: [
          faster > 0 ? 'It pulls as with a longer axle ratio.' : 'It pulls as with a shorter axle ratio.',
          ...(rise > 15 ? ['look: as much less to the arch over the tyre, twice in the wheel’s height'] : []),
        ],
        working: [
          `${n(now.width, 0)} × ${n(now.aspect, 2)} + ${n(now.rim, 0)} × 25.4 / 2 = ${n(freeRadius(now))} mm; before ${n(freeRadius(was))} mm`,
        ],
      };
    },
    draw: (given) => {
      const [was, now] = [size(given, ''), size(given, '2')];
      const [r1, r2] = [freeRadius(was), freeRadius(now)];
      const [h1, h2] = [loadedRadius(was), loadedRadius(now)];
      return {
        says: 'both tyres on the ground, the old one dashed',
        shapes: [
          ground(-1.4 * r2, 1.4 * r2),
          disc([0, h2], r2, { fill: 'none', ink: 'new' }),
          disc([0, h2], (now.rim * 25.4) / 2, { fill: 'steel', ink: 'new' }),
          disc([0, h1], r1, { fill: 'none', ink: 'quiet', dashed: true }),
          up(0, h1, -1.15 * Math.max(r1, r2)),
          up(0, h2, 1.15 * Math.max(r1, r2), 'new'),
        ],
      };
    },
  },
  {
    id: 'slipper',
    group: 'axle and wheels',
    title: 'Two axles without a rocker',
    words:
      'tandem slipper no equalizer independent coupling height hitch nose up level overload one axle share trailer',
    fields: [
      { id: 'front', label: 'Coupling to front axle', rule: lengthRule(500, 15_000, 4000), example: '4150 mm' },
      { id: 'apart', label: 'Axle to axle', rule: lengthRule(200, 3000, 860), example: '880 mm' },
      { id: 'load', label: 'On both axles together', rule: massRule(20, 40_000, 2500), example: '2350 kg' },
      {
        id: 'rate',
        label: 'Rate of one spring',
        rule: { dimension: 'rate', unit: 'N/mm', min: 5, max: 3000, expected: 120 },
        example: '110 N/mm',
      },
      {
        id: 'tyre',
        label: 'Rate of one tyre',
        rule: { dimension: 'rate', unit: 'N/mm', min: 20, max: 3000, expected: 250 },
        example: '240 N/mm',
      },
      {
        id: 'up',
        label: 'Coupling higher by',
        rule: lengthRule(-600, 600),
        example: '60 mm',
        hint: 'than where it stands level; lower: minus',
      },
    ],
    source: 'a stiff frame on three places by moments; spring and tyre one after the other',
    silent: 'Friction, a frame that twists, springs unlike one another. Weigh each axle: that tells more than any sum.',
    answer: (given) => {
      const [front, apart, load] = [given.number('front'), given.number('apart'), given.number('load')];
      const rate = 2 / (1 / given.number('rate') + 1 / given.number('tyre'));
      const level = { hitch: 0, front: load / 2, rear: load / 2 };
      const at = independentLoads({ axles: { front, rear: front + apart } }, level, rate, given.number('up'));
      const more = Math.max(at.front, at.rear);
      return {
        figures: [
          { label: 'on the front one of the two', value: at.front, dimension: 'mass' },
          { label: 'on the rear one', value: at.rear, dimension: 'mass' },
          { label: 'more on the coupling', value: at.hitch, dimension: 'mass' },
          { label: 'moves from one to the other for 10 mm', value: shiftOf(front, apart, rate, 10), dimension: 'mass' },
        ],
        words: [
          Math.min(at.front, at.rear) < 0
            ? 'STOP: one axle would lift off the ground'
            : more > 0.55 * load
              ? `look: one axle carries ${n((100 * more) / load, 0)} % of both: its tyres and springs must bear that, or the coupling goes back to level`
              : 'As good as equal.',
        ],
        working: [
          `an axle: 2 / (1/${n(given.number('rate'), 0)} + 1/${n(given.number('tyre'), 0)}) = ${n(rate)} N/mm; frame settles on coupling, ${n(front, 0)} and ${n(front + apart, 0)} mm behind it`,
        ],
      };
    },
    draw: (given) => {
      const [front, apart] = [given.number('front'), given.number('apart')];
      const slope = given.number('up') / (front + apart / 2);
      const radius = Math.min(360, 0.42 * apart);
      const at = (x: number): [number, number] => [x, radius + 260 + slope * (front + apart / 2 - x)];
      return {
        says: 'the trailer from the side on both axles, its nose up or down',
        front: true,
        shapes: [
          line([at(0), at(front + apart + 900)]),
          disc(at(0), 60, { fill: 'paper' }),
          ...[front, front + apart].flatMap((x) => [
            disc([x, radius], radius, { fill: 'paper' }),
            line([[x, radius], at(x)], { ink: 'quiet', dashed: true }),
          ]),
          ground(-200, front + apart + 1000),
        ],
      };
    },
  },
  {
    id: 'tandem',
    group: 'axle and wheels',
    title: 'Shares of a tandem on a rocker',
    words: 'equalizer rocker trailer two axles load share camper walking beam',
    fields: [
      { id: 'armFront', label: 'Rocker, front arm', rule: lengthRule(20, 1000, 90), example: '88 mm' },
      { id: 'armRear', label: 'Rocker, rear arm', rule: lengthRule(20, 1000, 90), example: '88 mm' },
      { id: 'outerFront', label: 'Front: hanger to bolt', rule: lengthRule(100, 2000, 320), example: '315 mm' },
      { id: 'innerFront', label: 'Front: bolt to rocker', rule: lengthRule(100, 2000, 320), example: '335 mm' },
      { id: 'outerRear', label: 'Rear: hanger to bolt', rule: lengthRule(100, 2000, 320), example: '315 mm' },
      { id: 'innerRear', label: 'Rear: bolt to rocker', rule: lengthRule(100, 2000, 320), example: '315 mm' },
      { id: 'load', label: 'On both axles together', rule: massRule(20, 40_000, 2500), example: '2350 kg' },
    ],
    source: 'moments about rocker and hangers; pins level, shackles upright',
    silent: 'What leaning shackles, brakes and a rocker at its stop change: then the shares are others.',
    answer: (given) => {
      const spring = (end: 'Front' | 'Rear') => ({
        outer: given.number(`outer${end}`),
        inner: given.number(`inner${end}`),
      });
      const share = frontShare({
        arms: { front: given.number('armFront'), rear: given.number('armRear') },
        springs: { front: spring('Front'), rear: spring('Rear') },
      });
      const load = given.number('load');
      return {
        figures: [
          { label: 'on the front one of the two', value: share * load, dimension: 'mass' },
          { label: 'on the rear one', value: (1 - share) * load, dimension: 'mass' },
          { label: 'front share', value: share, dimension: 'share' },
        ],
        words: [
          Math.abs(share - 0.5) > 0.05
            ? 'look: unequal; see that rocker and springs are the right way round'
            : 'As good as equal.',
        ],
        working: [
          `front axle = eye force × ${n(spring('Front').outer + spring('Front').inner, 0)} / ${n(spring('Front').outer, 0)}; eye forces as ${n(given.number('armRear'), 0)} to ${n(given.number('armFront'), 0)}`,
        ],
      };
    },
    draw: (given) => {
      const [af, ar] = [given.number('armFront'), given.number('armRear')];
      const [of, inf, inr, or] = ['outerFront', 'innerFront', 'innerRear', 'outerRear'].map((id) => given.number(id));
      const [front, rear] = [-af - inf!, ar + inr!];
      const bow = (from: number, bolt: number, to: number) =>
        line(
          [
            [from, 0],
            [bolt, -70],
            [to, 0],
          ],
          { fill: 'none' },
        );
      return {
        says: 'both springs on their rocker from the side',
        front: true,
        shapes: [
          bow(front - of!, front, -af),
          bow(ar, rear, rear + or!),
          line(
            [
              [-af, 0],
              [0, 50],
              [ar, 0],
            ],
            { ink: 'new' },
          ),
          disc([0, 50], 16, { fill: 'new', ink: 'new' }),
          ...[front - of!, rear + or!, -af, ar].map((x) => disc([x, 0], 11, { fill: 'paper' })),
          ...[front, rear].map((x) => disc([x, -96], 26, { fill: 'steel' })),
          across(-af, 0, 100, 'new'),
          across(0, ar, 190, 'new'),
          across(front - of!, front, -160),
          across(front, -af, -260),
          across(ar, rear, -260),
          across(rear, rear + or!, -160),
        ],
      };
    },
  },
  {
    id: 'tongue',
    group: 'axle and wheels',
    title: 'Load on the coupling',
    words: 'tongue weight nose weight hitch ball drawbar trailer jockey',
    fields: [
      { id: 'mass', label: 'Trailer, laden', rule: massRule(20, 40_000, 1500), example: '1420 kg' },
      {
        id: 'cog',
        label: 'Middle of mass behind it',
        rule: lengthRule(200, 20_000, 3400),
        example: '3150 mm',
      },
      {
        id: 'axle',
        label: 'Axle behind it',
        rule: lengthRule(500, 20_000, 3700),
        example: '3480 mm',
        hint: 'two axles: their middle',
      },
    ],
    source: 'statics about the axle; a tenth to a seventh of the trailer’s mass is usual (common practice)',
    silent:
      'What coupling, drawbar and the towing vehicle’s rear axle may carry: their plates decide, and local rules.',
    answer: (given) => {
      const [mass, wheelbase] = [given.number('mass'), given.number('axle')];
      const { front, rear } = axleShares({ mass, station: given.number('cog') }, wheelbase);
      const share = front / mass;
      return {
        figures: [
          { label: 'on the coupling', value: front, dimension: 'mass' },
          { label: 'of the trailer', value: share, dimension: 'share' },
          { label: 'on its axle or axles', value: rear, dimension: 'mass' },
        ],
        words: [
          share < 0
            ? 'STOP: it lifts the coupling; load further forward'
            : share < 0.07
              ? 'look: little; a trailer that is light in front sways'
              : share > 0.16
                ? 'look: much for most couplings and rear axles'
                : 'Within what is usual.',
        ],
        working: [`${n(mass, 0)} × (1 − ${n(given.number('cog'), 0)} / ${n(wheelbase, 0)}) = ${n(front, 0)} kg`],
      };
    },
    draw: (given) => {
      const [axle, cog] = [given.number('axle'), given.number('cog')];
      const r = 300;
      return {
        says: 'the trailer from the side, its middle of mass marked',
        front: true,
        shapes: [
          ground(-200, axle + 1500),
          disc([axle, r], r, { fill: 'none' }),
          box(1100, 520, axle + 300, 760, { fill: 'tape' }),
          line([
            [0, 470],
            [1100, 540],
          ]),
          disc([0, 470], 40, { fill: 'steel' }),
          disc([cog, 820], 60, { fill: 'new', ink: 'new' }),
          across(0, cog, 1420, 'new'),
          across(0, axle, -160),
          note([cog, 920], 'middle of mass', 'new'),
        ],
      };
    },
  },
];
