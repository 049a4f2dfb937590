/** A place of a picture, mm, x to the right and y up. */
export type At = readonly [x: number, y: number];
export type Ink = 'ink' | 'new' | 'quiet' | 'stop';
export type Fill = 'none' | 'steel' | 'tape' | 'new' | 'paper' | 'rubber';

/** What a picture is made of; sizes in mm, drawn to one scale. */
export type Shape =
  | { kind: 'path'; points: readonly At[]; closed?: boolean; fill?: Fill; ink?: Ink; dashed?: boolean }
  | { kind: 'circle'; at: At; r: number; fill?: Fill; ink?: Ink; dashed?: boolean }
  /** Lies along x or stands along y, with its figure. @see Picture.bare */
  | { kind: 'across'; from: number; to: number; at: number; ink?: Ink; text?: string }
  | { kind: 'up'; from: number; to: number; at: number; ink?: Ink; text?: string }
  | { kind: 'note'; at: At; text: string; ink?: Ink; anchor?: 'start' | 'middle' | 'end' };

/** The drawing that goes with a sum: it moves with what is typed. */
export interface Picture {
  /** What it shows, in words. */
  says: string;
  shapes: readonly Shape[];
  /** No lengths in it: without a scale bar, and its dimension lines carry their own text. */
  bare?: boolean;
  /** The front of the vehicle is at the left. */
  front?: boolean;
}

type Look = { fill?: Fill; ink?: Ink; dashed?: boolean };

/** A box by its lower left corner. */
export const box = (x: number, y: number, wide: number, high: number, look: Look = {}): Shape => ({
  kind: 'path',
  points: [
    [x, y],
    [x + wide, y],
    [x + wide, y + high],
    [x, y + high],
  ],
  closed: true,
  ...look,
});
export const line = (points: readonly At[], look: Look = {}): Shape => ({ kind: 'path', points, ...look });
/** A closed figure. */
export const area = (points: readonly At[], look: Look = {}): Shape => ({
  kind: 'path',
  points,
  closed: true,
  ...look,
});
export const disc = (at: At, r: number, look: Look = {}): Shape => ({ kind: 'circle', at, r, ...look });
export const ground = (from: number, to: number, y = 0): Shape =>
  line([
    [from, y],
    [to, y],
  ]);
export const across = (from: number, to: number, at: number, ink: Ink = 'ink', text?: string): Shape => ({
  ...{ kind: 'across', from, to, at, ink },
  ...(text !== undefined && { text }),
});
export const up = (from: number, to: number, at: number, ink: Ink = 'ink', text?: string): Shape => ({
  ...{ kind: 'up', from, to, at, ink },
  ...(text !== undefined && { text }),
});
export const note = (at: At, text: string, ink: Ink = 'ink', anchor: 'start' | 'middle' | 'end' = 'middle'): Shape => ({
  kind: 'note',
  at,
  text,
  ink,
  anchor,
});

/** Points of an arc, degrees counted from the right, turning left. */
export const arc = (at: At, r: number, from: number, to: number, steps = 24): At[] =>
  Array.from({ length: steps + 1 }, (_, k) => {
    const turn = ((from + ((to - from) * k) / steps) * Math.PI) / 180;
    return [at[0] + r * Math.cos(turn), at[1] + r * Math.sin(turn)] as const;
  });

/** A line that turns about a place, rad counted from the right, turning left. */
export const ray = (at: At, length: number, turn: number): At => [
  at[0] + length * Math.cos(turn),
  at[1] + length * Math.sin(turn),
];

/** A figure along a stretch, as a tape: what it may be, and where it lies. */
export function tape(
  from: number,
  to: number,
  value: number,
  names: { from: string; to: string; value: string },
): Picture {
  // Drawn a hundred long, whatever it counts.
  const reach = to - from || 1;
  const at = (v: number) => (100 * (v - from)) / reach;
  const there = Math.min(125, Math.max(-25, at(value)));
  return {
    bare: true,
    says: `${names.value} between ${names.from} and ${names.to}`,
    shapes: [
      box(-30, 0, 160, 10, { fill: 'paper', ink: 'quiet' }),
      box(0, 0, 100, 10, { fill: 'tape' }),
      ...Array.from({ length: 11 }, (_, k) =>
        line(
          [
            [10 * k, 0],
            [10 * k, k % 5 === 0 ? 6 : 3],
          ],
          { ink: 'quiet' },
        ),
      ),
      note([0, -9], names.from),
      note([100, -9], names.to),
      line(
        [
          [there, -3],
          [there, 16],
        ],
        { ink: at(value) < 0 || at(value) > 100 ? 'stop' : 'new' },
      ),
      note([there, 19], names.value, at(value) < 0 || at(value) > 100 ? 'stop' : 'new'),
    ],
  };
}

/** A leaf pack from the side, the top of its main leaf's seat at a place: leaves nested on one curve, in steps of length. */
export function leaves(
  [front, rear]: readonly [number, number],
  count: number,
  thickness: number,
  arch: number,
  at: At = [0, 0],
): Shape[] {
  const curve = (4 * arch) / (front + rear) ** 2;
  return Array.from({ length: count }, (_, k) => {
    const share = 1 - k / (count + 0.5);
    const y = (x: number, t: number) => at[1] + curve * x ** 2 - k * thickness - t;
    const xs = Array.from({ length: 21 }, (_, i) => share * (-front + ((front + rear) * i) / 20));
    return area(
      [
        ...xs.map((x) => [at[0] + x, y(x, 0)] as const),
        ...xs.toReversed().map((x) => [at[0] + x, y(x, thickness)] as const),
      ],
      { fill: 'steel' },
    );
  });
}
