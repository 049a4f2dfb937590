import { arc, area, box, disc, leaves, line, note, type At, type Picture } from './picture';

/** A part of the trade by the one word this house uses, what it does, and the other words people say. */
export interface Term {
  name: string;
  does: string;
  /** Other words for it; wrong ones too, since they are asked for by them. */
  also: readonly string[];
  draw: Picture;
}

const picture = (says: string, shapes: Picture['shapes']): Picture => ({ bare: true, says, shapes });
const pack = () => leaves([300, 300], 4, 14, 60);
const eye = (x: number): At => [x, 74];
const eyes = [disc(eye(-300), 16, { fill: 'paper' }), disc(eye(300), 16, { fill: 'paper' })];
const NEW = { fill: 'new', ink: 'new' } as const;

/** Words of leaf springs and beam axles. Common practice, from memory. */
export const TERMS: readonly Term[] = [
  {
    name: 'pack',
    does: 'All leaves of one spring, held together by the centre bolt and clips.',
    also: ['leaf pack', 'spring pack', 'leaf spring', 'spring stack'],
    draw: picture('a leaf pack', [...pack(), ...eyes]),
  },
  {
    name: 'main leaf',
    does: 'The longest one, with the eyes: it alone locates the axle.',
    also: ['master leaf', 'first leaf', 'top leaf'],
    draw: picture('the main leaf in a pack', [...pack().slice(1), { ...pack()[0]!, ...NEW }, ...eyes]),
  },
  {
    name: 'eye',
    does: 'The rolled end of the main leaf, with a bush and a bolt in it.',
    also: ['spring eye', 'upturned eye', 'downturned eye', 'centred eye'],
    draw: picture('a spring eye with its bush', [
      line([[-120, -40], [-20, -32], ...arc([0, 0], 34, 250, -30)]),
      disc([0, 0], 26, NEW),
      disc([0, 0], 10, { fill: 'paper' }),
    ]),
  },
  {
    name: 'centre bolt',
    does: 'Holds the leaves on one another; its head is the dowel that sits in the axle’s hole.',
    also: ['center bolt', 'centre pin', 'dowel', 'peg', 'tie bolt'],
    draw: picture('the centre bolt through a pack', [
      ...pack(),
      box(-7, -90, 14, 110, NEW),
      box(-16, -104, 32, 18, NEW),
    ]),
  },
  {
    name: 'U-bolt',
    does: 'Clamps pack and axle together; friction carries, the dowel only locates.',
    also: ['u-joint', 'u-bracket', 'u bolt', 'spring clamp bolt'],
    draw: picture('a U-bolt', [
      area(
        [
          [-44, 150],
          [-44, 40],
          ...arc([0, 40], 44, 180, 360),
          [44, 150],
          [58, 150],
          [58, 40],
          ...arc([0, 40], 58, 360, 180),
          [-58, 40],
          [-58, 150],
        ],
        NEW,
      ),
      box(-72, 118, 44, 20, { fill: 'steel' }),
      box(28, 118, 44, 20, { fill: 'steel' }),
    ]),
  },
  {
    name: 'spring plate',
    does: 'The plate that the U-bolt’s legs go through and its nuts bear on.',
    also: ['fish plate', 'tie plate', 'u-bolt plate', 'axle plate', 'bottom plate'],
    draw: picture('a spring plate from above', [
      area(
        [
          [-90, -60],
          [90, -60],
          [100, 60],
          [-100, 60],
        ],
        NEW,
      ),
      ...[-64, 64].flatMap((x) => [-34, 34].map((y) => disc([x, y], 12, { fill: 'paper' }))),
      disc([0, 0], 10, { fill: 'paper' }),
    ]),
  },
  {
    name: 'perch',
    does: 'The pad on the axle that the pack sits on, with the hole for its dowel.',
    also: ['spring pad', 'spring seat', 'saddle'],
    draw: picture('a perch on its tube', [
      disc([0, 0], 60, { fill: 'steel' }),
      area(
        [
          [-52, 40],
          [52, 40],
          [80, 84],
          [-80, 84],
        ],
        NEW,
      ),
    ]),
  },
  {
    name: 'block',
    does: 'A spacer between pack and axle: raises the frame by its own height. Never on a steered axle, never two.',
    also: ['lift block', 'lowering block', 'riser', 'spacer'],
    draw: picture('a block on the axle', [
      disc([0, 0], 50, { fill: 'steel' }),
      box(-60, 52, 120, 44, NEW),
      box(-150, 96, 300, 14, { fill: 'steel' }),
    ]),
  },
  {
    name: 'wedge',
    does: 'A tapered plate under the pack that turns the axle’s nose.',
    also: ['shim', 'caster shim', 'degree shim', 'pinion shim', 'taper'],
    draw: picture('a wedge', [
      area(
        [
          [-120, 0],
          [120, 0],
          [120, 46],
          [-120, 12],
        ],
        NEW,
      ),
    ]),
  },
  {
    name: 'shackle',
    does: 'The link that lets the spring grow longer as it flattens.',
    also: ['spring shackle', 'swing link', 'hanger link'],
    draw: picture('a shackle between frame and eye', [
      box(-80, 110, 160, 30, { fill: 'steel' }),
      area(
        [
          [-14, 0],
          [14, 0],
          [34, 110],
          [6, 110],
        ],
        NEW,
      ),
      disc([0, 0], 14, { fill: 'paper' }),
      disc([20, 110], 12, { fill: 'paper' }),
    ]),
  },
  {
    name: 'hanger',
    does: 'The bracket on the frame that holds an eye or a shackle.',
    also: ['spring hanger', 'bracket', 'mount', 'dumb iron'],
    draw: picture('a hanger under the frame', [
      box(-120, 90, 240, 30, { fill: 'steel' }),
      area(
        [
          [-70, 90],
          [70, 90],
          [24, -20],
          [-24, -20],
        ],
        NEW,
      ),
      disc([0, 0], 14, { fill: 'paper' }),
    ]),
  },
  {
    name: 'clip',
    does: 'Keeps the leaves together on the way down, and carries load back over them on the rebound.',
    also: ['rebound clip', 'spring clip', 'band', 'alignment clip'],
    draw: picture('a clip round a pack', [
      ...leaves([200, 200], 3, 18, 20),
      box(112, -66, 26, 96, { fill: 'none', ink: 'new' }),
      line(
        [
          [104, 30],
          [146, 30],
        ],
        { ink: 'new' },
      ),
    ]),
  },
  {
    name: 'add-a-leaf',
    does: 'A leaf put into a pack for height or strength; longer ones ride better.',
    also: ['added leaf', 'helper leaf', 'booster', 'overload leaf'],
    draw: picture(
      'an added leaf in a pack',
      pack().map((shape, k) => (k === 2 ? { ...shape, ...NEW } : shape)),
    ),
  },
  {
    name: 'rocker',
    does: 'The arm between the springs of a tandem: shares the load between both axles.',
    also: ['equalizer', 'equaliser', 'walking beam', 'compensator'],
    draw: picture('a rocker between two springs', [
      area(
        [
          [-120, 0],
          [0, 46],
          [120, 0],
          [112, -16],
          [0, 18],
          [-112, -16],
        ],
        NEW,
      ),
      disc([0, 32], 12, { fill: 'paper' }),
      line([
        [-116, -8],
        [-190, -60],
      ]),
      line([
        [116, -8],
        [190, -60],
      ]),
    ]),
  },
  {
    name: 'slipper',
    does: 'A pad that a spring’s end slides under in place of a shackle.',
    also: ['slider', 'sliding pad', 'slipper box', 'roller box'],
    draw: picture('a slipper with the end of a spring', [
      area(
        [
          [-90, 60],
          [90, 60],
          [90, 34],
          [-90, 26],
        ],
        NEW,
      ),
      line([
        [-160, -30],
        [-60, 10],
        [120, 22],
      ]),
      line([
        [-160, -44],
        [-60, -4],
        [120, 8],
        [120, 22],
      ]),
    ]),
  },
  {
    name: 'bump stop',
    does: 'Rubber or foam that ends the travel up before metal does.',
    also: ['jounce bumper', 'snubber', 'buffer'],
    draw: picture('a bump stop', [
      box(-70, 80, 140, 22, { fill: 'steel' }),
      area(
        [
          [-40, 80],
          [40, 80],
          [22, 0],
          [-22, 0],
        ],
        NEW,
      ),
    ]),
  },
  {
    name: 'shock',
    does: 'Damps the travel; carries no load.',
    also: ['shock absorber', 'damper', 'strut'],
    draw: picture('a shock', [
      area(
        [
          [-18, 60],
          [18, 60],
          [18, 170],
          [-18, 170],
        ],
        NEW,
      ),
      line([
        [0, 60],
        [0, 0],
      ]),
      disc([0, 0], 12, { fill: 'paper' }),
      disc([0, 184], 12, { fill: 'paper' }),
    ]),
  },
  {
    name: 'bush',
    does: 'Rubber, nylon or bronze between an eye and its bolt.',
    also: ['bushing', 'bore', 'silent block', 'sleeve'],
    draw: picture('a bush cut open', [
      box(-60, -40, 120, 80, NEW),
      box(-70, -14, 140, 28, { fill: 'steel' }),
      box(-70, -6, 140, 12, { fill: 'paper' }),
    ]),
  },
  {
    name: 'stand',
    does: 'Holds a raised frame or axle. A jack lifts, a stand holds.',
    also: ['jack stand', 'axle stand', 'safety stand'],
    draw: picture('a stand', [
      area(
        [
          [-80, 0],
          [80, 0],
          [16, 120],
          [-16, 120],
        ],
        { fill: 'steel' },
      ),
      box(-8, 120, 16, 50, NEW),
      line(
        [
          [-34, 186],
          [-20, 170],
          [20, 170],
          [34, 186],
        ],
        { ink: 'new' },
      ),
      note([0, -16], 'never timber under it', 'quiet'),
    ]),
  },
];

/** Terms that every word of a search is found in, by their own or by other words. */
export function findTerms(search: string): Term[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return TERMS.filter((t) => {
    const text = `${t.name} ${t.also.join(' ')} ${t.does}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
