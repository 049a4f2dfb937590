import { type Way } from './generate';

/** What practitioners hold of a way. Common practice, no source; how long it lasts is an indication and never a distance to drive. */
export interface WayNotes {
  for: string;
  against: string;
  lasts: string;
}

export const WAY_NOTES: Record<Way, WayNotes> = {
  leafAdded: {
    for: 'height and some strength with no loose piece in the stack',
    against: 'rides firmer; a tired main leaf stays tired under it',
    lasts: 'long on a sound pack, a stopgap on a sagged one',
  },
  leafMade: {
    for: 'just the leaf that is wanted',
    against: 'waits for the maker; the first one may need another try',
    lasts: 'long on a sound pack',
  },
  leafOut: {
    for: 'softer and lower for nothing',
    against: 'the other leaves carry its share; the pack may carry less than before',
    lasts: 'as long as the remaining stress allows',
  },
  leafSwapped: {
    for: 'keeps the thickness near what it was',
    against: 'the pack is taken apart; old and new leaves together',
    lasts: 'long when the rest is sound',
  },
  block: {
    for: 'height without touching the spring, rate and ride stay',
    against: 'lengthens the lever that winds the spring up under braking; one joint more to come loose; never in front',
    lasts: 'long when located and tight; looked at again with the U-bolts',
  },
  blockOut: {
    for: 'lowers without touching the spring, one joint less',
    against: 'less way to the stop; nuts run further down the thread',
    lasts: 'for good',
  },
  shackle: {
    for: 'cheap, no leaf touched, undone in an hour',
    against: 'turns the axle, changes the shackle’s angle and with it the rate; sideways looser',
    lasts: 'as long as its bushes',
  },
  pack: {
    for: 'a sound spring of known strength',
    against: 'dear; settles in the first weeks; both sides together',
    lasts: 'longest of all ways',
  },
  donorPack: {
    for: 'a whole spring for little money',
    against: 'its past is not known: crack, sag, another width or bolt',
    lasts: 'unknown: it is as old as it is',
  },
  donorLeaf: {
    for: 'a leaf for little money',
    against: 'its past is not known; width, hole and curve have to suit',
    lasts: 'unknown',
  },
  eyes: {
    for: 'height with the same leaves and the same ride',
    against: 'a new main leaf has to be made; the bush stands elsewhere',
    lasts: 'long',
  },
  overAxle: {
    for: 'much height with the same spring',
    against:
      'perches are welded work; braking winds the axle up more; everything that hangs on the frame has to follow',
    lasts: 'for good when done right',
  },
  rearch: {
    for: 'the old leaves at their old height',
    against: 'only a specialist with a crack test; old steel sags again',
    lasts: 'one to a few seasons',
  },
  bushes: {
    for: 'takes slack and noise away; right when the springs are sound',
    against: 'gives no height: a sagged spring stays sagged',
    lasts: 'until the bushes are worn',
  },
};

/** A question the trade answers in two ways. */
export interface School {
  id: string;
  question: string;
  /** Asked of leaf springs only. */
  ofLeaves?: true;
  one: { name: string; reason: string };
  other: { name: string; reason: string };
}

/** Questions of choosing a spring on which practitioners differ, with both sides’ reasons. Common practice, no source. */
export const SCHOOLS: readonly School[] = [
  {
    id: 'gainHeight',
    ofLeaves: true,
    question: 'Height: leaves, or another piece?',
    one: { name: 'add leaves', reason: 'nothing loose in the stack, and some strength with it' },
    other: {
      name: 'block, or another pack',
      reason: 'the ride stays with a block; a sagged pack is better replaced than propped up',
    },
  },
  {
    id: 'packInPlace',
    ofLeaves: true,
    question: 'Add a leaf with the pack in the vehicle or out?',
    one: { name: 'in place', reason: 'eye bolts that have rusted in are left alone' },
    other: { name: 'pack out', reason: 'leaves are lined up, looked at and the bolt secured on the bench' },
  },
  {
    id: 'clampPack',
    ofLeaves: true,
    question: 'The pack while its centre bolt is out?',
    one: { name: 'clamped, let go evenly', reason: 'the leaves are loaded and can spring apart' },
    other: { name: 'let it spread', reason: 'leaf after leaf goes onto a long stud; only where nothing is under load' },
  },
  {
    id: 'overload',
    ofLeaves: true,
    question: 'The overload leaf on a vehicle that rarely carries?',
    one: { name: 'keep it', reason: 'it does nothing empty and helps the day it is needed' },
    other: { name: 'leave it out', reason: 'less weight and thickness when nothing is towed' },
  },
  {
    id: 'levelOrRake',
    question: 'Level, or nose down?',
    one: { name: 'keep it nose down', reason: 'a load or a tongue brings it level' },
    other: { name: 'level with full tanks', reason: 'it is driven without a load most days' },
  },
  {
    id: 'pairs',
    question: 'Both sides, or the broken one?',
    one: { name: 'in pairs', reason: 'an old and a new spring stand and ride differently' },
    other: { name: 'only the failed one', reason: 'at the roadside, to get home; the partner follows' },
  },
  {
    id: 'workSides',
    question: 'One side at a time, or both undone together?',
    one: { name: 'one side at a time', reason: 'the side that is still bolted keeps the axle where it is' },
    other: { name: 'both together', reason: 'nothing is wrung while bolts go in; the axle is moved as a whole' },
  },
  {
    id: 'seizedBolts',
    question: 'Bolts that have rusted in: heat, or cut?',
    one: { name: 'heat and a long bar', reason: 'the bolt comes out whole; only where nothing beside it burns' },
    other: { name: 'cut out', reason: 'no flame near rubber, hose or leaf; the new bolts lie ready' },
  },
  {
    id: 'newUbolts',
    ofLeaves: true,
    question: 'New U-bolts, or the old ones again?',
    one: { name: 'new every time', reason: 'they were stretched once, and a nut on a stretched thread tells no clamp' },
    other: {
      name: 'the old ones again',
      reason: 'thread sound over its whole length, no neck, gauge runs freely; noted and looked at sooner',
    },
  },
  {
    id: 'bushesOnly',
    question: 'Springs, or bushes only?',
    one: { name: 'springs too', reason: 'new bushes lift nothing once the pack has sagged' },
    other: { name: 'bushes only', reason: 'the pack stands where it should' },
  },
  {
    id: 'wornShackle',
    ofLeaves: true,
    question: 'A worn shackle bush, now?',
    one: { name: 'now, with the shackle', reason: 'the spring is out anyway and the hole wears next' },
    other: { name: 'later', reason: 'it is quiet and has little play' },
  },
  {
    id: 'rate',
    question: 'Which rate, when the load has changed?',
    one: { name: 'as for the load it carries now', reason: 'a spring for a load that is gone rides hard' },
    other: { name: 'as for the load that may come back', reason: 'it is needed the day the implement is on again' },
  },
];
