import { inchFraction } from '../units/format';
import {
  across,
  area,
  box,
  disc,
  ground,
  line,
  note,
  ray,
  tape,
  up,
  type At,
  type Picture,
  type Shape,
} from './picture';
import { n, type SumInput } from './sum';

const DEGREE = Math.PI / 180;

/** A hexagon across its flats. */
const hexagon = (at: At, flats: number): At[] =>
  Array.from({ length: 6 }, (_, k) => ray(at, flats / Math.sqrt(3), k * 60 * DEGREE));

/** A bolt lying, its head at the left, under the head at the origin; thread from the end. */
const bolt = (diameter: number, length: number, threaded: number, pitch: number): Shape[] => [
  box(-0.65 * diameter, -0.85 * diameter, 0.65 * diameter, 1.7 * diameter, { fill: 'steel' }),
  box(0, -diameter / 2, length, diameter, { fill: 'paper' }),
  ...Array.from({ length: Math.min(80, Math.floor(threaded / pitch)) }, (_, k) => {
    const x = length - k * pitch;
    return line(
      [
        [x, -diameter / 2],
        [x - pitch / 2, diameter / 2],
      ],
      { ink: 'quiet' },
    );
  }),
];

/** A bolt stretched between plates. @param words at its clamp */
export const drawClamped = (given: SumInput, words: string): Picture => {
  const { diameter: d, pitch } = given.thread('thread');
  const grip = 3 * d;
  return {
    bare: true,
    says: 'the bolt and what it clamps',
    shapes: [
      box(0, d / 2, grip / 2, 2.4 * d, { fill: 'tape' }),
      box(grip / 2, d / 2, grip / 2, 2.4 * d, { fill: 'steel' }),
      box(0, -2.9 * d, grip / 2, 2.4 * d, { fill: 'tape' }),
      box(grip / 2, -2.9 * d, grip / 2, 2.4 * d, { fill: 'steel' }),
      ...bolt(d, grip + 1.9 * d, 2 * d, pitch ?? d / 8),
      box(grip, -0.9 * d, 0.9 * d, 1.8 * d, { fill: 'steel' }),
      line(
        [
          [-1.1 * d, 1.6 * d],
          [-0.1 * d, 1.6 * d],
        ],
        { ink: 'new' },
      ),
      line(
        [
          [-0.4 * d, 1.8 * d],
          [-0.1 * d, 1.6 * d],
          [-0.4 * d, 1.4 * d],
        ],
        { ink: 'new' },
      ),
      line(
        [
          [grip + 1.1 * d, 1.6 * d],
          [grip + 0.1 * d, 1.6 * d],
        ],
        { ink: 'new' },
      ),
      line(
        [
          [grip + 0.4 * d, 1.8 * d],
          [grip + 0.1 * d, 1.6 * d],
          [grip + 0.4 * d, 1.4 * d],
        ],
        { ink: 'new' },
      ),
      note([grip / 2, 3.5 * d], words, 'new'),
      note([grip + 3.3 * d, -0.1 * d], given.thread('thread').name, 'quiet', 'start'),
      note([grip + 7 * d, 0], ''),
    ],
  };
};

export const drawRange = (given: SumInput): Picture => {
  const t = (id: string) => `${n(given.number(id) / 1000)} N·m`;
  return tape(given.number('low'), given.number('high'), given.number('value'), {
    ...{ from: t('low'), to: t('high'), value: t('value') },
  });
};

export const drawCrowfoot = (given: SumInput): Picture => {
  const [lever, offset] = [given.number('lever'), given.number('offset')];
  const h = lever * 0.03;
  return {
    says: 'the wrench from above: grip, drive, nut',
    shapes: [
      box(0, -h, lever, 2 * h, { fill: 'steel' }),
      box(-h, -1.6 * h, lever * 0.2, 3.2 * h, { fill: 'rubber' }),
      box(Math.min(lever, lever + offset), -0.7 * h, Math.abs(offset), 1.4 * h, { fill: 'new', ink: 'new' }),
      area(hexagon([lever + offset, 0], 3 * h), { fill: 'tape' }),
      disc([lever, 0], h, { fill: 'paper' }),
      across(0, lever, -4.5 * h),
      across(lever, lever + offset, 4.5 * h, 'new'),
    ],
  };
};

export const drawLength = (given: SumInput): Picture => {
  const { diameter: d, pitch } = given.thread('thread');
  const [clamped, washers, nut, length, threaded] = ['clamped', 'washers', 'nut', 'bolt', 'threaded'].map((id) =>
    given.number(id),
  );
  const half = washers! / 2;
  const face = half + clamped! + half;
  return {
    says: 'the bolt at hand in what it clamps',
    shapes: [
      box(half, -1.6 * d, clamped!, 3.2 * d, { fill: 'tape' }),
      ...bolt(d, length!, threaded!, pitch ?? d / 8),
      box(0, -1.1 * d, half, 2.2 * d, { fill: 'steel' }),
      box(half + clamped!, -1.1 * d, half, 2.2 * d, { fill: 'steel' }),
      box(face, -0.85 * d, nut!, 1.7 * d, { fill: 'steel' }),
      across(0, length!, -2.3 * d, length! < face + nut! ? 'stop' : 'new'),
      across(length! - threaded!, length!, 2 * d),
    ],
  };
};

/** An inch magnified, with its sixteenths and where the length lies on it. */
export const drawInch = (given: SumInput): Picture => {
  const mm = given.number('length');
  const inch = Math.floor(mm / 25.4);
  const { top, bottom } = inchFraction(mm, 16);
  return {
    bare: true,
    says: 'the inch it ends in, by sixteenths',
    shapes: [
      box(0, 0, 160, 26, { fill: 'tape' }),
      ...Array.from({ length: 17 }, (_, k) =>
        line([
          [10 * k, 0],
          [10 * k, k % 16 === 0 ? 20 : k % 8 === 0 ? 16 : k % 4 === 0 ? 12 : k % 2 === 0 ? 8 : 5],
        ]),
      ),
      note([0, -9], `${inch} in`),
      note([160, -9], `${inch + 1} in`),
      line(
        [
          [160 * (mm / 25.4 - inch), -2],
          [160 * (mm / 25.4 - inch), 32],
        ],
        { ink: 'new' },
      ),
      note([160 * (mm / 25.4 - inch), 35], bottom ? `${top}/${bottom}` : 'even', 'new'),
    ],
  };
};

export const drawHole = (given: SumInput): Picture => {
  const [size, hole, edge, apart] = ['bolt', 'hole', 'edge', 'apart'].map((id) => given.number(id));
  const tight = hole! < size!;
  return {
    says: 'the bolt in its hole, and the edge of the part',
    shapes: [
      box(-apart! - hole! * 1.5, -edge!, apart! + hole! * 4, edge! + hole! * 1.8, { fill: 'steel' }),
      ...[0, -apart!].flatMap((x) => [
        disc([x, 0], hole! / 2, { fill: 'paper', ink: tight ? 'stop' : 'ink' }),
        disc([x, (hole! - size!) / -2], size! / 2, { fill: 'none', ink: 'new' }),
      ]),
      up(-edge!, 0, hole! * 1.8),
      across(-apart!, 0, hole! * 1.1),
    ],
  };
};

export const drawPilot = (given: SumInput): Picture => {
  const { diameter: d, pitch } = given.thread('thread');
  const p = pitch ?? d / 8;
  const drill = given.number('drill');
  const cut = Math.min(0.61 * p, Math.max(0, (d - drill) / 2));
  const wave = (side: 1 | -1) =>
    Array.from({ length: 13 }, (_, k) => [(k * p) / 2, side * (d / 2 - (k % 2 === 0 ? cut : 0))] as const);
  return {
    says: 'thread cut into the hole',
    shapes: [
      area([...wave(1), [6 * p, d / 2 + 2 * p], [0, d / 2 + 2 * p]], { fill: 'steel' }),
      area([...wave(-1), [6 * p, -d / 2 - 2 * p], [0, -d / 2 - 2 * p]], { fill: 'steel' }),
      up(-drill / 2, drill / 2, 6 * p + 3, 'new'),
      up(-d / 2, d / 2, -3),
    ],
  };
};

export const drawSpanner = (given: SumInput): Picture => {
  const across_ = given.number('across');
  return {
    says: 'the nut in its spanner',
    shapes: [
      area(
        [
          [-across_ * 0.9, across_ / 2],
          [across_ * 0.5, across_ / 2],
          [across_ * 0.62, across_],
          [-across_ * 1.2, across_ * 0.95],
          [-across_ * 2.6, across_ * 0.35],
          [-across_ * 2.6, -across_ * 0.35],
          [-across_ * 1.2, -across_ * 0.95],
          [across_ * 0.62, -across_],
          [across_ * 0.5, -across_ / 2],
          [-across_ * 0.9, -across_ / 2],
        ],
        { fill: 'steel' },
      ),
      // Flats level: pointed to the sides.
      area(hexagon([0, 0], across_), { fill: 'tape', ink: 'new' }),
      up(-across_ / 2, across_ / 2, across_ * 0.95, 'new'),
    ],
  };
};

export const drawCoil = (given: SumInput): Picture => {
  const [wire, out, turns, free, length] = ['wire', 'outside', 'turns', 'free', 'length'].map((id) => given.number(id));
  const steps = 2 * Math.round(turns!);
  const at = (i: number): At => [((i % 2 === 0 ? -1 : 1) * (out! - wire!)) / 2, (i * length!) / steps];
  return {
    says: 'the coil as it stands',
    shapes: [
      ...Array.from({ length: steps }, (_, i) => line([at(i), at(i + 1)])),
      ...Array.from({ length: steps + 1 }, (_, i) => disc(at(i), wire! / 2, { fill: 'steel' })),
      line([
        [-out! / 2 - 20, 0],
        [out! / 2 + 20, 0],
      ]),
      line([
        [-out! / 2 - 20, length!],
        [out! / 2 + 20, length!],
      ]),
      line(
        [
          [-out! / 2 - 20, free!],
          [out! / 2 + 20, free!],
        ],
        { dashed: true, ink: 'quiet' },
      ),
      up(0, length!, out! / 2 + 50, 'new'),
      up(0, free!, -out! / 2 - 50),
    ],
  };
};

export const drawBush = (given: SumInput): Picture => {
  const [inner, outer] = [given.number('inner') / 2, given.number('outer') / 2];
  const turn = Math.atan(given.number('drop') / given.number('half'));
  // A spoke that was straight when it was tightened.
  const twist = Array.from({ length: 9 }, (_, k) => {
    const r = inner + ((outer - inner) * k) / 8;
    const share = (1 / inner ** 2 - 1 / r ** 2) / (1 / inner ** 2 - 1 / outer ** 2);
    return ray([0, 0], r, Math.PI / 2 - turn * share);
  });
  return {
    says: 'the bush in its eye, a spoke of its rubber wound up',
    shapes: [
      disc([0, 0], outer * 1.22, { fill: 'steel' }),
      disc([0, 0], outer, { fill: 'tape' }),
      disc([0, 0], inner, { fill: 'steel' }),
      disc([0, 0], inner * 0.6, { fill: 'paper' }),
      line([ray([0, 0], inner, Math.PI / 2), ray([0, 0], outer, Math.PI / 2)], { dashed: true, ink: 'quiet' }),
      line(twist, { ink: 'new' }),
      note([outer * 1.45, outer * 0.5], `turns ${n(turn / DEGREE)}°`, 'new', 'start'),
      note([outer * 3.4, 0], ''),
    ],
  };
};

export const drawBushFit = (given: SumInput): Picture => {
  const [eye, shell, sleeve, size, width, hanger] = ['eye', 'shell', 'sleeve', 'bolt', 'width', 'hanger'].map((id) =>
    given.number(id),
  );
  return {
    says: 'bush, sleeve and bolt between the hanger’s cheeks, cut open',
    shapes: [
      box(-width! / 2, -eye! / 2 - 8, width!, 8, { fill: 'steel' }),
      box(-width! / 2, eye! / 2, width!, 8, { fill: 'steel' }),
      box(-width! / 2, -shell! / 2, width!, shell!, { fill: 'rubber' }),
      box(-width! / 2, -sleeve! / 2 - 3, width!, sleeve! + 6, { fill: 'steel' }),
      box(-hanger! / 2 - 10, -size! / 2, hanger! + 20, size!, { fill: 'paper', ink: 'new' }),
      box(-hanger! / 2 - 8, -eye!, 8, 2 * eye!, { fill: 'tape' }),
      box(hanger! / 2, -eye!, 8, 2 * eye!, { fill: 'tape' }),
      across(-width! / 2, width! / 2, eye! * 0.9),
      across(-hanger! / 2, hanger! / 2, -eye! * 1.1, hanger! < width! ? 'stop' : 'ink'),
    ],
  };
};

export const drawShock = (given: SumInput): Picture => {
  const [rest, lean, shut, open] = ['rest', 'lean', 'shut', 'open'].map((id) => given.number(id));
  const along = (r: number, aside = 0): At => {
    const [x, y] = ray([0, 0], r, -Math.PI / 2 + lean!);
    return [x + aside * Math.cos(lean!), y + aside * Math.sin(lean!)];
  };
  const tube = rest! * 0.07;
  return {
    says: 'the shock as it stands, shut and open',
    shapes: [
      box(-90, 16, 180, 24, { fill: 'steel' }),
      area([along(20, -tube), along(20, tube), along(shut! * 0.62, tube), along(shut! * 0.62, -tube)], {
        fill: 'tape',
      }),
      line([along(shut! * 0.62), along(rest!)]),
      disc([0, 0], 14, { fill: 'paper' }),
      disc(along(rest!), 14, { fill: 'new', ink: 'new' }),
      disc(along(shut!), 10, { fill: 'none', dashed: true }),
      disc(along(open!), 10, { fill: 'none', dashed: true }),
      note([along(shut!)[0] + 26, along(shut!)[1]], 'shut', 'quiet', 'start'),
      note([along(rest!)[0] + 26, along(rest!)[1]], 'stands', 'new', 'start'),
      note([along(open!)[0] + 26, along(open!)[1]], 'open', 'quiet', 'start'),
    ],
  };
};

/** Two wheels from above; their toe drawn ten times too large. */
export const drawToe = (given: SumInput): Picture => {
  const [front, rear, d] = [given.number('front'), given.number('rear'), given.number('diameter')];
  const off = 10 * (rear - front);
  const wheel = (side: 1 | -1) =>
    area(
      [
        [side * (rear / 2 + 90), -d / 2],
        [side * (rear / 2 - 90), -d / 2],
        [side * (rear / 2 - 90 - off / 2), d / 2],
        [side * (rear / 2 + 90 - off / 2), d / 2],
      ],
      { fill: 'tape' },
    );
  return {
    says: 'both wheels from above, the front at the top; toe drawn ten times too large',
    shapes: [
      wheel(1),
      wheel(-1),
      line(
        [
          [-rear / 2, 0],
          [rear / 2, 0],
        ],
        { ink: 'quiet' },
      ),
      across(-rear / 2 + off / 2, rear / 2 - off / 2, d / 2 + 70, 'new', `${n(front)} mm`),
      across(-rear / 2, rear / 2, -d / 2 - 70, 'ink', `${n(rear)} mm`),
      note([0, d * 0.12], 'toe drawn ten times', 'quiet'),
    ],
  };
};

export const drawSquare = (given: SumInput): Picture => {
  const [left, right, track] = [given.number('left'), given.number('right'), given.number('track')];
  const rear = (x: number) => -(left + right) / 2 - ((right - left) * 10 * x) / track;
  const wheel = (x: number, y: number) => box(x - 90, y - 320, 180, 640, { fill: 'tape' });
  return {
    says: 'the vehicle from above, its front at the top; askew drawn ten times too large',
    shapes: [
      line([
        [-track / 2, 0],
        [track / 2, 0],
      ]),
      line(
        [
          [-track / 2, rear(-track / 2)],
          [track / 2, rear(track / 2)],
        ],
        { ink: 'new' },
      ),
      ...[-track / 2, track / 2].flatMap((x) => [wheel(x, 0), wheel(x, rear(x))]),
      up(rear(-track / 2), 0, -track / 2 - 320, 'ink', `${n(left, 0)} mm`),
      up(rear(track / 2), 0, track / 2 + 320, 'ink', `${n(right, 0)} mm`),
    ],
  };
};

export const drawJoints = (given: SumInput): Picture => {
  const [output, shaft, pinion] = ['output', 'shaft', 'pinion'].map((id) => given.number(id));
  const long = 1200;
  const first: At = [0, 0];
  const second = ray(first, long, -shaft!);
  return {
    says: 'output, shaft and pinion from the side',
    front: true,
    shapes: [
      line([ray(first, -320, -output!), first]),
      line([first, second], { ink: 'new' }),
      line([second, ray(second, 320, -pinion!)]),
      box(-520, -80 + 320 * Math.sin(output!), 200, 160, { fill: 'steel' }),
      disc(ray(second, 400, -pinion!), 110, { fill: 'steel' }),
      disc(first, 26, { fill: 'paper' }),
      disc(second, 26, { fill: 'paper' }),
      note([0, 90], `${n(Math.abs(shaft! - output!) / DEGREE)}°`, 'new'),
      note([second[0], second[1] + 90], `${n(Math.abs(pinion! - shaft!) / DEGREE)}°`, 'new'),
    ],
  };
};

export const drawShares = (given: SumInput): Picture => {
  const [station, wheelbase] = [given.number('station'), given.number('wheelbase')];
  const ends = [Math.min(-500, station - 300), Math.max(wheelbase + 500, station + 300)] as const;
  return {
    says: 'the load where it sits',
    front: true,
    shapes: [
      ground(ends[0], ends[1]),
      disc([0, 330], 330, { fill: 'none' }),
      disc([wheelbase, 330], 330, { fill: 'none' }),
      line([
        [ends[0], 600],
        [ends[1], 600],
      ]),
      box(station - 200, 600, 400, 300, { fill: 'new', ink: 'new' }),
      across(0, station, 1020, 'new'),
      across(0, wheelbase, -140),
    ],
  };
};

export const drawTilt = (given: SumInput): Picture => {
  const track = given.number('track');
  const height = given.number('height') + given.number('lift');
  const slope = Math.atan(track / 2 / height);
  // On the slope at which it tips: its middle of mass over the lower wheel.
  const turn = ([x, y]: At): At => [
    x * Math.cos(slope) - y * Math.sin(slope),
    x * Math.sin(slope) + y * Math.cos(slope),
  ];
  const lower: At = [0, 0];
  const mass = turn([track / 2, height]);
  return {
    says: 'from behind, on the slope at which it tips',
    shapes: [
      line([ray(lower, -track * 0.4, slope), ray(lower, track * 1.7, slope)]),
      line([ray(lower, -track * 0.4, slope), [track * 1.5, -track * 0.4 * Math.sin(slope)]], { ink: 'quiet' }),
      area([turn([0, 0]), turn([track, 0]), turn([track, height * 1.2]), turn([0, height * 1.2])], { fill: 'tape' }),
      line([lower, mass], { dashed: true, ink: 'new' }),
      disc(mass, track * 0.05, { fill: 'new', ink: 'new' }),
      note([track * 0.9, -track * 0.16], `${n(slope / DEGREE)}°`, 'new'),
    ],
  };
};
