/** Where a height that came out otherwise than foretold may come from, as far as a mechanic can go and look. */
export const CAUSE_IDS = [
  'load',
  'loadAside',
  'newPart',
  'oldSpring',
  'unseen',
  'settled',
  'side',
  'before',
  'misread',
  'friction',
] as const;
export type CauseId = (typeof CAUSE_IDS)[number];

interface Cause {
  name: string;
  /** What it would mean, and where it shows. */
  means: string;
  /** How often a job's height is off for this, before anything is known of it. Assumed, as the sizes below: no survey of it is known here. */
  chance: number;
}

export const CAUSES: Record<CauseId, Cause> = {
  load: {
    name: 'load, not what was said',
    means: 'Both sides are off alike in one load state and right in the other.',
    chance: 0.05,
  },
  loadAside: {
    name: 'load, to one side',
    means: 'One side low and the other high, only with the load on.',
    chance: 0.03,
  },
  newPart: {
    name: 'new part, not its size',
    means: 'Both sides are off alike in every load state.',
    chance: 0.05,
  },
  oldSpring: {
    name: 'old spring, not as it was measured',
    means: 'Both sides are off, more under one load than under another.',
    chance: 0.03,
  },
  unseen: {
    name: 'what nobody saw lies otherwise',
    means: 'A form or seat that was not looked at is not the likeliest one.',
    chance: 0.02,
  },
  settled: { name: 'settled already', means: 'Both sides lower by a little in every load state.', chance: 0.03 },
  side: {
    name: 'seat not home, or another part on that side',
    means: 'One side is off in every load state: pin beside its hole, block on its edge, leaf out of order.',
    chance: 0.025,
  },
  before: {
    name: 'height before, misread',
    means: 'One side is off by the same in every load state.',
    chance: 0.03,
  },
  misread: { name: 'height after, misread', means: 'One reading alone is off.', chance: 0.03 },
  friction: {
    name: 'friction, not rolled out',
    means: 'One reading alone is off, by no more than the pack rubs.',
    chance: 0.05,
  },
};

/** What is done to tell causes apart, and which of them it tells. */
export const TELLING_IDS = [
  'rollAgain',
  'weigh',
  'partAgain',
  'seatLook',
  'otherMark',
  'otherState',
  'driveOn',
] as const;
export type TellingId = (typeof TELLING_IDS)[number];

export const TELLINGS: Record<TellingId, { act: string; tells: readonly CauseId[]; says: string }> = {
  rollAgain: {
    act: 'Roll it a length, bounce it, read that height again',
    tells: ['friction', 'misread'],
    says: 'Back where it was foretold: friction or the tape. As before: something else.',
  },
  weigh: {
    act: 'Weigh it as it stands, left and right',
    tells: ['load', 'loadAside'],
    says: 'Other than was said: the load. As said: something else.',
  },
  partAgain: {
    act: 'Measure the new part once more, or its twin',
    tells: ['newPart'],
    says: 'Another size than planned: the part. As planned: something else.',
  },
  seatLook: {
    act: 'Look along pad, block and pin with a lamp and a feeler, both ends',
    tells: ['side'],
    says: 'A gap or a tilted plate: it is not home, and it must not drive. Tight all round: something else.',
  },
  otherMark: {
    act: 'Look for another mark of the height before: a picture with the tape, ground to lip',
    tells: ['before'],
    says: 'Another height before: the first reading. The same: something else.',
  },
  otherState: {
    act: 'Read the heights in the other load state too',
    tells: ['load', 'loadAside', 'oldSpring'],
    says: 'Right there: the load. Off there too: part, seat or spring.',
  },
  driveOn: {
    act: 'Read it again after the first drive',
    tells: ['settled'],
    says: 'No lower: it had settled already. Lower again: something else.',
  },
};

/** What is looked at when nothing on the list explains a height. */
export const LOOK_AGAIN: readonly string[] = [
  'pin in its hole at pad, block and plate, both sides',
  'leaves in their order, the right way round, none missing',
  'shackle off its stop and not laid over',
  'stop, hose or strap holding the axle up or down',
  'tyres of one size and pressure, level ground',
];
