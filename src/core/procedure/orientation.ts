import { type Side } from '../vehicle/side';

/** A part that can be fitted the wrong way round, with what of the job's data its drawing is made from. Lengths mm, angles rad. */
export type OrientedPart =
  | { kind: 'leaf'; front: number; rear: number }
  /** Longest first, from the centre bolt. */
  | { kind: 'pack'; leaves: readonly { front: number; rear: number }[] }
  | { kind: 'wedge'; height: number; angle: number; thick: 'front' | 'rear' }
  | { kind: 'block'; height: number; pinDown: boolean }
  | { kind: 'shackle'; length: number }
  | { kind: 'coil'; wire: number; outside: number; free: number }
  | { kind: 'rocker'; front: number; rear: number }
  | { kind: 'slipper' }
  | { kind: 'shear'; thick: number; offset: number }
  /** Grooves up from where the seat was: not the same on both sides. */
  | { kind: 'perch'; left: number; right: number; pitch: number }
  /** An arm on its own side only. */
  | { kind: 'spindle'; left: number; right: number };

/** What each is called, which step puts it in (without its side), and what is easily wrong with it. Common practice. */
export const ORIENTED: Record<
  OrientedPart['kind'],
  { name: string; step: readonly string[]; says: string; own?: true }
> = {
  leaf: {
    name: 'Added leaf',
    step: ['leafWork'],
    says: 'Main leaf on top, then by length; its hole in line with the others',
  },
  pack: {
    name: 'Pack',
    step: ['compare', 'packIn'],
    says: 'Its front to the front; head of the centre bolt on the axle’s side',
  },
  wedge: { name: 'Wedge', step: ['stack'], says: 'Its pin in the hole; mark its front before it goes in' },
  block: { name: 'Block', step: ['stack'], says: 'Hole over the spring’s dowel, pin into the pad' },
  shackle: {
    name: 'Shackle',
    step: ['shackleOn', 'packIn'],
    says: 'Its open side to the spring; bolts from outside in',
  },
  coil: {
    name: 'Coil',
    step: ['coilOn', 'perchSet'],
    says: 'End of the wire against its step in the seat, above and below',
  },
  rocker: { name: 'Rocker', step: ['rockerOn'], says: 'Its planned arm to the front; it swings freely' },
  slipper: {
    name: 'Slipper box',
    step: ['rockerOn'],
    says: 'Label outward; eye end of the spring to the old hanger, its free end into the box',
  },
  shear: {
    name: 'Shear block',
    step: ['blockOn'],
    says: 'Its higher end to the frame’s side, rows of holes as planned',
  },
  perch: {
    name: 'Lower seat',
    step: ['perchSet'],
    says: 'Counted in grooves from where it sat; each side its own',
    own: true,
  },
  spindle: {
    name: 'Spindle',
    step: ['spindleOn'],
    says: 'Each side its own: arm and number of this side; thrust washer on top',
    own: true,
  },
};

/** A line or a filled shape, and a word, in units of a drawing 100 wide and as tall as it says; y down. */
export interface CardLine {
  d: string;
  ink: 'bold' | 'thin' | 'dash' | 'fill';
}
export interface CardWord {
  x: number;
  y: number;
  text: string;
  anchor: 'start' | 'middle' | 'end';
}
export interface Card {
  part: OrientedPart['kind'];
  side: Side;
  name: string;
  says: string;
  /** Names of the steps it belongs to, without their side. */
  step: readonly string[];
  /** Seen from its own side of the vehicle, so that the right one is the left one in a mirror; or a part of its own on each side. */
  mirrored: boolean;
  height: number;
  lines: CardLine[];
  words: CardWord[];
}

type Drawn = Pick<Card, 'height' | 'lines' | 'words'>;
const W = 100;
const n = (v: number): string => String(Number(v.toFixed(2)));
const box = (x: number, y: number, w: number, h: number): string => `M${n(x)} ${n(y)}h${n(w)}v${n(h)}h${n(-w)}Z`;
const ring = (x: number, y: number, r: number): string =>
  `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0`;
const FRONT: CardWord = { x: 2, y: 6, text: '← front', anchor: 'start' };
const word = (x: number, y: number, text: string, anchor: CardWord['anchor'] = 'middle'): CardWord => ({
  ...{ x, y, text, anchor },
});

/** Bars from a centre bolt, the longest on top, to one scale. */
function bars(leaves: readonly { front: number; rear: number }[], size: (mm: number) => string): Drawn {
  const k = 88 / Math.max(1, ...leaves.map((l) => l.front + l.rear));
  const longest = leaves.reduce((p, q) => (q.front + q.rear > p.front + p.rear ? q : p), { front: 0, rear: 0 });
  const x0 = 6 + longest.front * k;
  const [top, each] = [14, Math.min(7, 28 / Math.max(1, leaves.length))];
  const bottom = top + each * leaves.length;
  return {
    height: bottom + 12,
    lines: [
      ...leaves.map(({ front, rear }, i): CardLine => ({
        ...{ d: box(x0 - front * k, top + i * each, (front + rear) * k, each * 0.8), ink: 'bold' },
      })),
      { d: `M${n(x0)} ${top - 4}V${n(bottom + 3)}`, ink: 'dash' },
    ],
    words: [
      FRONT,
      word((6 + x0) / 2, bottom + 8, size(longest.front)),
      word(x0 + (longest.rear * k) / 2, bottom + 8, size(longest.rear)),
    ],
  };
}

/** The left one, or one of a pair that is no mirror, seen from its own side with the front to the left. @param size a length as this shop reads it */
function drawn(part: OrientedPart, side: Side, size: (mm: number) => string): Drawn {
  switch (part.kind) {
    case 'leaf':
      return bars([part], size);
    case 'pack':
      return bars(part.leaves, size);
    case 'wedge': {
      // Its taper is drawn as it is over this much of it, mm.
      const long = 120;
      const k = 80 / long;
      const half = (Math.tan(part.angle) * long) / 2;
      const [a, b] = part.thick === 'front' ? [half, -half] : [-half, half];
      const [left, right] = [(part.height + a) * k, (part.height + b) * k];
      const base = 14 + Math.max(left, right, 6);
      return {
        height: base + 12,
        lines: [
          {
            d: `M10 ${n(base)}H90V${n(base - Math.max(0.4, right))}L10 ${n(base - Math.max(0.4, left))}Z`,
            ink: 'fill',
          },
          { d: `M50 ${n(base + 4)}V10`, ink: 'dash' },
        ],
        words: [
          FRONT,
          word(part.thick === 'front' ? 10 : 90, base + 9, 'thick end', part.thick === 'front' ? 'start' : 'end'),
        ],
      };
    }
    case 'block': {
      const k = Math.min(0.5, 34 / Math.max(20, part.height));
      const h = part.height * k;
      const pin = part.pinDown ? 14 + h : 14;
      return {
        height: h + 28,
        lines: [
          { d: box(26, 14, 48, h), ink: 'fill' },
          { d: box(46, part.pinDown ? pin : pin - 4, 8, 4), ink: 'bold' },
          { d: `M45 ${n(part.pinDown ? 14 : 14 + h)}h10`, ink: 'dash' },
        ],
        words: [
          FRONT,
          word(76, 14 + h / 2 + 1.5, size(part.height), 'start'),
          word(
            50,
            h + 25,
            part.pinDown ? 'pin down into the pad, hole over the dowel' : 'pin up into the pad, hole under the dowel',
          ),
        ],
      };
    }
    case 'shackle': {
      const long = 30;
      return {
        height: long + 30,
        lines: [
          { d: `M44 16a6 6 0 0 1 12 0v${long}a6 6 0 0 1 -12 0Z`, ink: 'fill' },
          { d: ring(50, 16, 2.6), ink: 'bold' },
          { d: ring(50, 16 + long, 2.6), ink: 'bold' },
          { d: `M8 ${16 + long}h36`, ink: 'bold' },
        ],
        words: [FRONT, word(60, 18 + long / 2, size(part.length), 'start'), word(8, 12 + long, 'spring', 'start')],
      };
    }
    case 'coil': {
      const k = Math.min(60 / part.outside, 44 / part.free);
      const [w, h, turns] = [part.outside * k, Math.min(44, part.free * k), 6];
      const wire = Math.max(1, part.wire * k);
      const pitch = (h - wire) / turns;
      return {
        height: h + 30,
        lines: [
          ...Array.from({ length: turns }, (_, i): CardLine => ({
            ...{
              d: `M${n(50 - w / 2)} ${n(14 + i * pitch + wire / 2)}L${n(50 + w / 2)} ${n(14 + (i + 0.5) * pitch + wire / 2)}`,
              ink: 'bold',
            },
          })),
          { d: `M${n(50 - w / 2)} ${n(14 + h)}h${n(w)}`, ink: 'bold' },
          { d: box(50 + w / 2, 14 + h - 4, 4, 4), ink: 'fill' },
        ],
        words: [
          FRONT,
          word(50 + w / 2 + 6, 14 + h, 'step', 'start'),
          word(50, h + 24, 'its end stands against the step'),
        ],
      };
    }
    case 'rocker': {
      const k = 80 / (part.front + part.rear);
      const x = 10 + part.front * k;
      return {
        height: 40,
        lines: [
          { d: `M10 24L${n(x)} 16L90 24L${n(x)} 30Z`, ink: 'fill' },
          ...[10, x, 90].map((at, i): CardLine => ({ d: ring(at, i === 1 ? 22 : 24, 2.4), ink: 'bold' })),
        ],
        words: [FRONT, word((10 + x) / 2, 38, size(part.front)), word((x + 90) / 2, 38, size(part.rear))],
      };
    }
    case 'slipper':
      return {
        height: 42,
        lines: [
          { d: box(54, 12, 26, 18), ink: 'fill' },
          { d: 'M8 30Q30 40 66 24', ink: 'bold' },
          { d: ring(8, 30, 2.6), ink: 'bold' },
          { d: box(60, 15, 14, 6), ink: 'thin' },
        ],
        words: [
          FRONT,
          word(67, 19.6, 'label'),
          word(8, 41, 'eye to its hanger', 'start'),
          word(84, 24, 'outward', 'start'),
        ],
      };
    case 'shear': {
      const by = Math.max(-10, Math.min(10, (part.offset / Math.max(1, part.thick)) * 10));
      return {
        height: 46,
        lines: [
          { d: `M24 ${n(18 + by)}L76 ${n(18 - by)}V${n(34 - by)}L24 ${n(34 + by)}Z`, ink: 'fill' },
          { d: `M24 10V42M76 10V42`, ink: 'bold' },
        ],
        words: [word(22, 26, 'frame', 'end'), word(78, 26, 'carrier', 'start')],
      };
    }
    case 'perch': {
      const up = part[side];
      const rows = [3, 2, 1, 0, -1, -2, -3];
      return {
        height: 48,
        lines: [
          { d: box(38, 8, 24, 36), ink: 'thin' },
          ...rows.map((row, i): CardLine => ({
            ...{ d: `M38 ${11 + i * 5}h24`, ink: row === Math.max(-3, Math.min(3, up)) ? 'bold' : 'thin' },
          })),
          { d: `M30 26h8`, ink: 'dash' },
        ],
        words: [
          word(28, 27.5, 'was', 'end'),
          word(66, 12 + (3 - Math.max(-3, Math.min(3, up))) * 5, `${Math.abs(up)} ${up < 0 ? 'down' : 'up'}`, 'start'),
          word(50, 47, `${size(part.pitch)} from groove to groove`),
        ],
      };
    }
    case 'spindle':
      return {
        height: 42,
        lines: [
          { d: 'M50 8V34', ink: 'bold' },
          { d: box(46, 14, 8, 14), ink: 'fill' },
          { d: side === 'left' ? 'M46 21H18' : 'M54 21H82', ink: 'bold' },
          { d: side === 'left' ? 'M54 26l18 8' : 'M46 26l-18 8', ink: 'bold' },
        ],
        words: [
          word(side === 'left' ? 16 : 84, 18, 'hub', 'middle'),
          word(side === 'left' ? 74 : 26, 40, `arm, ${side} only`, 'middle'),
        ],
      };
  }
}

/** A drawing in a mirror: lines turned over, words where they then belong, still to be read. */
function mirrored({ height, lines, words }: Drawn): Drawn {
  const other = { start: 'end', middle: 'middle', end: 'start' } as const;
  const turn = (d: string): string =>
    d.replaceAll(/([MLHVhvaQlZ])([^MLHVhvaQlZ]*)/g, (_, c: string, rest: string) => {
      const v = rest.match(/-?[\d.]+/g)?.map(Number) ?? [];
      const x = (k: number) => n(W - v[k]!);
      switch (c) {
        case 'M':
        case 'L':
        case 'Q':
          return `${c}${v.map((value, k) => (k % 2 === 0 ? x(k) : n(value))).join(' ')}`;
        case 'H':
          return `H${x(0)}`;
        case 'h':
          return `h${n(-v[0]!)}`;
        case 'l':
          return `l${n(-v[0]!)} ${n(v[1]!)}`;
        case 'a': {
          const arcs = Array.from({ length: v.length / 7 }, (_, k) => v.slice(7 * k, 7 * k + 7));
          return arcs
            .map(
              ([rx, ry, tilt, large, sweep, dx, dy]) =>
                `a${[n(rx!), n(ry!), tilt, large, 1 - sweep!, n(-dx!), n(dy!)].join(' ')}`,
            )
            .join('');
        }
        default:
          return `${c}${rest}`;
      }
    });
  return {
    height,
    lines: lines.map(({ d, ink }) => ({ d: turn(d), ink })),
    words: words.map(({ x, y, text, anchor }) => ({
      ...{ x: W - x, y, anchor: other[anchor], text: text === FRONT.text ? 'front →' : text },
    })),
  };
}

/**
 * Which way round a part goes in, seen from its own side of the vehicle: the right one is the left one in a mirror, but for parts that are made
 * for one side. @param size a length as it is read here
 */
export function cardOf(part: OrientedPart, side: Side, size: (mm: number) => string): Card {
  const { name, step, says, own = false } = ORIENTED[part.kind];
  const left = drawn(part, own ? side : 'left', size);
  return {
    part: part.kind,
    side,
    name,
    says,
    step,
    mirrored: !own,
    ...(own || side === 'left' ? left : mirrored(left)),
  };
}
