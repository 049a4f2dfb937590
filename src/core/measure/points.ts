import { type FieldRule } from '../units/parse';
import { lengthRule, massRule, THREAD_RULE } from '../units/rules';

/** Where a person stands while reading: the order of walking round a vehicle. */
export const PLACES = [
  { id: 'ground', title: 'On the ground', note: 'wheels down, rolled, as it came in' },
  { id: 'under', title: 'Under it', note: 'weight still on the springs' },
  { id: 'bench', title: 'On the bench', note: 'pack out, or leaf edges cleaned where they sit' },
] as const;
export type PlaceId = (typeof PLACES)[number]['id'];

/** The groups of the measuring sheet in measuring order; each buys an answer. */
export const GROUPS = [
  { id: 'stance', place: 'ground', title: 'Heights', buys: 'block or riser change' },
  { id: 'weights', place: 'ground', title: 'Loads', buys: 'what the spring carries' },
  { id: 'square', place: 'ground', title: 'Level and square', buys: 'rake, and whether the axle stands square' },
  { id: 'road', place: 'ground', title: 'On the road', buys: 'whether ride and noise get better' },
  { id: 'arch', place: 'under', title: 'Arch and eyes', buys: 'what the spring does now' },
  { id: 'linkage', place: 'under', title: 'Shackle', buys: 'a narrower band' },
  { id: 'stack', place: 'under', title: 'Axle stack', buys: 'what stands between axle and spring' },
  { id: 'ubolts', place: 'under', title: 'U-bolt threads', buys: 'U-bolt verdict' },
  { id: 'leaves', place: 'bench', title: 'Leaf by leaf', buys: 'rate of the pack, lift of an added leaf' },
  { id: 'check', place: 'bench', title: 'Bench and a second load', buys: 'a spring that is checked, not assumed' },
] as const satisfies readonly { id: string; place: PlaceId; title: string; buys: string }[];
export type GroupId = (typeof GROUPS)[number]['id'];

export interface Point {
  group: GroupId;
  label: string;
  howTo: string;
  rule: FieldRule;
  /** Read on each side of the vehicle. */
  sided: boolean;
  /** Read on each leaf. */
  perLeaf: boolean;
  /** Only means something in a stated load state. */
  loaded: boolean;
  /** In the minimal set; everything else only narrows the band or is checked. */
  minimal: boolean;
  /** 90 % half-width of a reading with tape or caliper, core units. Common practice. */
  half90: number;
}

const point = (
  group: GroupId,
  label: string,
  howTo: string,
  rule: FieldRule,
  half90: number,
  more: Partial<Pick<Point, 'sided' | 'perLeaf' | 'loaded' | 'minimal'>> = {},
): Point => ({
  group,
  label,
  howTo,
  rule,
  half90,
  sided: false,
  perLeaf: false,
  loaded: false,
  minimal: false,
  ...more,
});

/** A mark out of ten. */
const SCORE: FieldRule = { dimension: 'count', unit: 'count', min: 0, max: 10 };

/** Every point that can be measured, in measuring order. Expected values are common practice for a pickup-size axle. */
export const POINTS = {
  hubToLip: point(
    'stance',
    'Hub to arch lip',
    'Hub centre straight up to the edge of the wheel arch. Roll the vehicle first.',
    lengthRule(100, 1600, 480),
    2,
    { sided: true, loaded: true, minimal: true },
  ),
  groundToHub: point(
    'stance',
    'Ground to hub',
    'Level ground up to the hub centre: the loaded radius of the tyre.',
    lengthRule(80, 900, 350),
    2,
    { sided: true, loaded: true },
  ),
  groundToLip: point(
    'stance',
    'Ground to arch lip',
    'Level ground straight up past the hub to the edge of the wheel arch.',
    lengthRule(200, 2400, 830),
    3,
    { sided: true, loaded: true },
  ),
  padLoad: point(
    'weights',
    'Wheel load',
    'Scale pad under each wheel of this axle, all wheels on one level.',
    massRule(50, 8000, 600),
    0,
    { sided: true, loaded: true },
  ),
  axleLoad: point(
    'weights',
    'Axle load, estimated',
    'Weigh ticket or estimate for this axle, when there are no pads.',
    massRule(100, 16000, 1200),
    0,
    { loaded: true, minimal: true },
  ),
  unsprungMass: point(
    'weights',
    'Unsprung mass of the axle',
    'Axle, wheels, brakes and half of springs and shocks.',
    massRule(10, 2500, 190),
    5,
  ),
  trackWidth: point(
    'weights',
    'Track width',
    'Tyre centre to tyre centre across the axle.',
    lengthRule(500, 2600, 1600),
    5,
  ),
  springBase: point(
    'weights',
    'Spring base',
    'Centre bolt to centre bolt across the axle.',
    lengthRule(300, 2000, 1050),
    5,
  ),
  tyreRate: point(
    'weights',
    'Tyre rate',
    'From the tyre maker at this pressure.',
    { dimension: 'rate', unit: 'N/mm', min: 50, max: 1500, expected: 250 },
    25,
  ),
  otherAxleLip: point(
    'square',
    'Ground to arch lip, other axle',
    'The same height at the other axle, so that rake is known before and after.',
    lengthRule(200, 2400, 830),
    3,
    { sided: true, loaded: true },
  ),
  hubToHub: point(
    'square',
    'Hub to hub, this side',
    'Front hub centre to rear hub centre along this side, wheels straight ahead.',
    lengthRule(500, 20_000),
    2,
    { sided: true },
  ),
  otherAxleLoad: point(
    'square',
    'Axle load, other axle',
    'Weigh ticket or estimate of the axle that is not worked on. Its springs are assumed from it while nothing better is read.',
    massRule(100, 16000, 900),
    0,
    { loaded: true },
  ),
  otherAxleRate: point(
    'square',
    'Spring rate, other axle',
    'One spring of the axle that is not worked on, from its maker or a press. Its lips read again with a load aboard tell it as well.',
    { dimension: 'rate', unit: 'N/mm', min: 5, max: 3000, expected: 45 },
    5,
  ),
  rideScore: point(
    'road',
    'Ride, 0 to 10',
    'The driver’s own mark on a route that is driven again afterwards: 0 unbearable, 10 like new.',
    SCORE,
    1,
    { loaded: true },
  ),
  noiseScore: point(
    'road',
    'Quiet, 0 to 10',
    'Squeaks and knocks on the same route: 0 all the time, 10 none.',
    SCORE,
    1,
    { loaded: true },
  ),
  loadedArch: point(
    'arch',
    'Loaded arch',
    'Line between the eye centres down to the top face of the main leaf at the centre bolt, weight on. Minus when the leaf stands above the line.',
    lengthRule(-250, 450, 60),
    2.5,
    { sided: true, loaded: true, minimal: true },
  ),
  eyeToPinFront: point(
    'arch',
    'Front eye to centre bolt',
    'Along the main leaf, eye centre to centre bolt.',
    lengthRule(150, 1500, 620),
    3,
    { minimal: true },
  ),
  eyeToPinRear: point(
    'arch',
    'Rear eye to centre bolt',
    'Along the main leaf, eye centre to centre bolt.',
    lengthRule(150, 1500, 660),
    3,
    { minimal: true },
  ),
  eyeToEye: point(
    'arch',
    'Eye to eye, straight',
    'Straight line between the two eye centres, weight on.',
    lengthRule(300, 3000, 1270),
    3,
    { loaded: true },
  ),
  eyeBore: point(
    'arch',
    'Eye inside diameter',
    'Bore of the rolled eye, bush out or by its shell.',
    lengthRule(10, 90, 38),
    0.5,
  ),
  shackleLength: point('linkage', 'Shackle length', 'Bolt centre to bolt centre.', lengthRule(30, 300, 105), 1),
  shackleAngle: point(
    'linkage',
    'Shackle angle',
    'Between the line through the eyes, towards the front, and the shackle; 90° is square.',
    { dimension: 'angle', unit: 'deg', min: 0.35, max: 2.8, expected: 1.7 },
    0.035,
    { loaded: true },
  ),
  blockHeight: point(
    'stack',
    'Block height',
    'Block between spring and axle perch; 0 when there is none.',
    lengthRule(0, 300, 50),
    0.5,
    { minimal: true },
  ),
  uboltSpacing: point(
    'stack',
    'U-bolt spacing',
    'Between the U-bolts along the spring, inside to inside.',
    lengthRule(40, 400, 130),
    3,
    { minimal: true },
  ),
  packThickness: point(
    'stack',
    'Pack thickness',
    'All leaves and liners together, beside the U-bolts.',
    lengthRule(4, 300, 45),
    0.5,
  ),
  tubeDiameter: point(
    'stack',
    'Axle tube diameter',
    'Caliper or string around the tube divided by 3.14.',
    lengthRule(25, 250, 80),
    1,
  ),
  perchHeight: point(
    'stack',
    'Perch height',
    'From the tube to the face the spring lies on.',
    lengthRule(0, 150, 20),
    1,
  ),
  dowelDiameter: point(
    'stack',
    'Dowel diameter',
    'Head of the centre bolt that drops into the perch.',
    lengthRule(5, 60, 18),
    0.2,
  ),
  padHole: point('stack', 'Perch hole', 'Hole in perch or block that takes the dowel.', lengthRule(5, 60, 18), 0.2),
  plateThickness: point(
    'stack',
    'Spring plate thickness',
    'Plate that the U-bolt legs pass through, at the nut’s own face.',
    lengthRule(2, 60, 9),
    0.5,
  ),
  uboltThread: point(
    'ubolts',
    'U-bolt thread',
    'Its name by thread gauge and caliper: M12 x 1.25, 1/2-20.',
    THREAD_RULE,
    0,
  ),
  uboltExposed: point(
    'ubolts',
    'Thread showing',
    'From the outer face of the nut to the end of the leg; the shortest leg counts.',
    lengthRule(0, 200, 15),
    0.5,
    { minimal: true },
  ),
  uboltPitch: point(
    'ubolts',
    'Thread pitch',
    'Pitch gauge. For threads per inch type 1/20 in.',
    { ...lengthRule(0.5, 4, 1.5), keepsUnit: true },
    0,
    { minimal: true },
  ),
  uboltThreaded: point('ubolts', 'Threaded length', 'Whole threaded part of one leg.', lengthRule(10, 300, 60), 1, {
    minimal: true,
  }),
  uboltNut: point('ubolts', 'Nut height', 'Height of one U-bolt nut.', lengthRule(4, 50, 14), 0.3, { minimal: true }),
  leafWidth: point('leaves', 'Leaf width', 'Once, across the main leaf.', lengthRule(20, 180, 64), 0.5, {
    minimal: true,
  }),
  leafThickness: point('leaves', 'Thickness', 'On a cleaned edge beside the seat.', lengthRule(3, 40, 8), 0.15, {
    perLeaf: true,
    minimal: true,
  }),
  leafFront: point(
    'leaves',
    'Pin to front tip',
    'Along the leaf from the centre bolt to its front tip.',
    lengthRule(40, 1500, 420),
    3,
    { perLeaf: true, minimal: true },
  ),
  leafRear: point(
    'leaves',
    'Pin to rear tip',
    'Along the leaf from the centre bolt to its rear tip.',
    lengthRule(40, 1500, 460),
    3,
    { perLeaf: true, minimal: true },
  ),
  freeArch: point(
    'check',
    'Free arch on the bench',
    'Pack out of the vehicle, centre bolt tight, nothing else: line between the eye centres down to the top face of the main leaf at the centre bolt.',
    lengthRule(-250, 500, 130),
    2.5,
    { sided: true },
  ),
} as const satisfies Record<string, Point>;

export type PointId = keyof typeof POINTS;
export const POINT_IDS = Object.keys(POINTS) as PointId[];
/** Heights of the body: friction holds them until the vehicle is rolled. */
export const HEIGHT_POINTS: readonly PointId[] = ['hubToLip', 'groundToLip', 'otherAxleLip'];

export const pointOf = (id: PointId): Point => POINTS[id];

/** Defaults that stand in for a missing reading, always shown as assumed. Common practice; 90 % half-widths. */
export const ASSUMED = {
  inactive: { value: 0.67, half90: 0.25 },
  departure: { value: 0, half90: 0.1 },
  friction: { value: 0.3, half90: 0.15 },
  shackleLength: { value: 105, half90: 15 },
  /** Covers the usual 105 ± 10° empty and 92 ± 8° laden, since the state of the day may be either. */
  shackleAngle: { value: (99 * Math.PI) / 180, half90: (13 * Math.PI) / 180 },
  eyeBore: { value: 38, half90: 8 },
  tubeDiameter: { value: 80, half90: 15 },
  perchHeight: { value: 20, half90: 10 },
  tyreRate: { value: 250, half90: 80 },
  trackOverBase: { value: 1.5, half90: 0.1 },
  unsprungShare: 0.2,
  padShare: 0.02,
  loadShare: 0.15,
  /** A weigh ticket is good to a few per cent of the axle; how it parts to left and right is not on it. */
  ticketShare: 0.05,
  payloadShare: 0.1,
  leafThicknessWorn: 0.3,
  uboltNut: 14,
  /** Spring plate and washer, where nobody measured them: only for the size of a U-bolt to order. */
  plate: { value: 10, half90: 4 },
  washer: { value: 3, half90: 1 },
  centreBolt: { nutHeight: 8, pitch: 1.5 },
  camberCatalogue: 15,
  /** A specialist’s re-arching comes out at the wanted camber within this, mm. Assumed. */
  rearched: 8,
  camberString: 4,
} as const;

/** Unsprung mass per axle to start from, kg, by use. Common practice, ±20 %. */
export const AXLE_CLASSES = {
  cartFront: { label: 'cart, front', unsprung: 25, driven: false },
  cartRear: { label: 'cart, rear with motor', unsprung: 90, driven: true },
  trailer1t: { label: 'trailer axle, 1 t', unsprung: 70, driven: false },
  trailer3t: { label: 'trailer axle, 3 t', unsprung: 135, driven: false },
  pickupRear: { label: 'pickup, rear', unsprung: 190, driven: true },
  oneTonRear: { label: 'one-ton, rear', unsprung: 265, driven: true },
  dualWheel: { label: 'dual-wheel rear', unsprung: 380, driven: true },
  fourByFourFront: { label: 'four-by-four, front', unsprung: 245, driven: true },
  truck6t: { label: 'truck axle, 6 t', unsprung: 600, driven: true },
  heavyDrive: { label: 'heavy drive axle', unsprung: 1050, driven: true },
} as const;
export type AxleClass = keyof typeof AXLE_CLASSES;
