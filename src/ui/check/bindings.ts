import { besidesOf } from '@/contracts/besides';
import { type FitRow } from '@/contracts/fit';
import { CHECK_NAMES } from '@/contracts/fitText';
import { takes } from '@/contracts/planKinds';
import { SURVEY_TEXT } from '@/contracts/surveyText';
import { uboltOrdersOf } from '@/contracts/ubolts';
import { drivelineState, UNEQUAL_HALF } from '@/core/driveline/pinion';
import { wedgeFor, wedgeTurn, type Wedge } from '@/core/driveline/wedgeMend';
import { LEAST_THREADS } from '@/core/fastener/ubolt';
import { type Bend } from '@/core/fastener/uboltOrder';
import { type TravelPoint } from '@/core/sheet/travel';
import { mended, mendOf, type Mend } from '@/core/travel/mends';
import { TRAVEL_ITEMS, type TravelItem, type TravelVerdict } from '@/core/travel/travelRows';
import { SPRING_ENDS } from '@/core/suspension/kind';
import { SLACK_ITEMS, type SlackItem, type SlackVerdict } from '@/core/travel/survey';
import { type Dimension } from '@/core/units/units';
import { BESIDE_ITEMS, type BesideItem } from '@/core/beside/besides';
import { worstFirst, type VerdictState } from '@/core/verdict';
import { travelOf, type Travel } from './useTravel';

/** A mend as the plan holds it: what ends the travel elsewhere, new U-bolts, a wedge. */
export type PlanMend = Mend | { kind: 'ubolts'; leg: number; bend: Bend } | { kind: 'wedge'; wedge: Wedge | null };

/** One line of what binds. */
export interface Binding {
  id: string;
  name: string;
  /** What is asked of it, in a few words. */
  limit: string;
  dimension: Dimension;
  was: number | null;
  will: number | null;
  half90: number | null;
  /** Less than this is too little. */
  least: number;
  state: VerdictState;
  text: string;
  mend: { mend: PlanMend; gives: number | null } | null;
  wants: TravelPoint[];
  /** Its figure is a state, not what is left: it has no bar. */
  barless?: true;
}

const LIMITS: Record<TravelItem | 'line', string> = {
  shockShut: 'stop solid first',
  axleToFrame: 'stop solid first',
  tyreToArch: 'stop solid first',
  tyreAtLock: 'stop solid first',
  packLimit: 'stop solid first',
  shackleFlat: 'stop solid first',
  coilBind: 'stop solid first',
  coilLoose: 'shock open first',
  shearTravel: 'stop solid first',
  stopGap: 'free travel up',
  shockLength: 'travel down',
  line: 'slack at full hang',
};

const NAMES: Record<TravelItem, string> = {
  shockShut: 'Shock shut',
  axleToFrame: 'Axle to frame',
  tyreToArch: 'Tyre to body',
  tyreAtLock: 'Tyre at full lock',
  stopGap: 'Bump stop',
  shockLength: 'Shock open',
  packLimit: 'Leaves at their limit',
  shackleFlat: 'Shackle lies flat',
  coilBind: 'Coil solid',
  coilLoose: 'Coil loose in its seats',
  shearTravel: 'Rubber sheared too far',
};

/** What is asked of the rest, in a few words. */
const BESIDE_LIMITS: Record<BesideItem, string> = {
  bushFront: 'in, on and between',
  bushRear: 'in, on and between',
  bushHanger: 'in, on and between',
  bushTwist: 'tightened with the weight on',
  joints: 'pin in its hole',
  clamped: 'against braking',
  shaftTravel: 'from hanging to the stop',
  padSpread: 'in line on each side',
  toe: 'as its maker asks',
  caster: 'as its maker asks',
  dragLink: 'as flat as may be',
  square: 'both sides alike',
  tyreToSpring: 'room sideways',
  headlamps: 'on 10 m',
  sideSlope: 'standing still',
  axleShafts: 'tried in its splines',
};

const OWN_NAMES: Readonly<Record<string, string>> = {
  threads: 'U-bolts',
  runOut: 'U-bolt nuts on their thread',
  driveline: 'Shaft joints',
};

export const isBeside = (item: string): item is BesideItem => (BESIDE_ITEMS as readonly string[]).includes(item);
const isTravel = (item: string): boolean => (TRAVEL_ITEMS as readonly string[]).includes(item);
const isLine = (item: string): boolean => (SLACK_ITEMS as readonly string[]).includes(item);
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const marginOf = (row: TravelVerdict | SlackVerdict | undefined): number | null => row?.figure?.value ?? null;

/** Everything that binds, tightest first: stops before everything, then what is to be looked at, then what fits. */
export function bindingsOf(travel: Travel, fit: readonly FitRow[]): Binding[] {
  const { known, sits, fittings, after, before } = travel;
  const tried = (item: TravelItem | SlackItem, mend: Mend | null): Binding['mend'] => {
    if (!mend) return null;
    const { ends, lines } = travelOf(known, sits.will, travel.travel, mended(fittings, mend, item));
    const row = [...ends, ...lines].find((r) => r.item === item);
    // A stop that makes something else a misfit is no mend: padded it would press at rest, cut it would let metal meet.
    const misfits = (rows: readonly TravelVerdict[]) =>
      rows.filter((r) => r.state === 'does not fit').map((r) => r.item);
    const had = misfits(after.ends);
    const harms = misfits(ends).some((item) => !had.includes(item));
    return harms && (mend.kind === 'stopPad' || mend.kind === 'stopCut') ? null : { mend, gives: marginOf(row) };
  };
  const read = (row: TravelVerdict) => known.travel!.read[row.side];
  // Where the stop was not read, what the kind says by itself of its spring's ends still stands.
  const ownEnd = (subject: string): boolean =>
    (SPRING_ENDS as readonly string[]).includes(subject) &&
    after.ends.every((row) => row.item !== subject || row.state === 'not checked') &&
    fit.some((row) => row.subject === subject && row.state !== 'not checked');
  const endRows = after.ends.filter((row) => !ownEnd(row.item));
  const ends = endRows.map((told): Binding => {
    // Told for today's place it would be wrong for the planned one.
    const placed = !(travel.unplaced && (told.item === 'stopGap' || told.item === 'shockLength'));
    const row: TravelVerdict = placed ? told : { ...told, state: 'not checked', half90: null };

    const open = row.state === 'look' || row.state === 'does not fit';
    return {
      ...{ id: row.item, name: NAMES[row.item], limit: LIMITS[row.item], dimension: 'length', state: row.state },
      ...{ text: row.text, wants: row.wants, least: row.figure?.limit ?? 0 },
      // Where the axle sits is foretold, with a band of its own.
      half90:
        row.half90 !== null && (row.item === 'stopGap' || row.item === 'shockLength')
          ? Math.hypot(row.half90, sits.half90)
          : row.half90,
      was: marginOf(before.ends.find((r) => r.item === row.item)),
      will: placed ? marginOf(row) : null,
      mend:
        open && row.figure
          ? tried(row.item, mendOf(row.item, row.figure.margin, row.half90 ?? 0, read(row), fittings))
          : null,
    };
  });
  const lines = after.lines.map((row): Binding => {
    const item = row.item;
    return {
      ...{ id: item, name: capital(SURVEY_TEXT[item]), limit: LIMITS.line, dimension: 'length', state: row.state },
      ...{ text: row.text, wants: [], half90: null, least: row.figure?.limit ?? 0 },
      was: marginOf(before.lines.find((r) => r.item === item)),
      will: marginOf(row),
      mend:
        row.state === 'does not fit' && row.figure
          ? tried(item, mendOf(item, row.figure.margin, 0, {}, fittings))
          : null,
    };
  });
  const orders = uboltOrdersOf(travel.planned);
  const own = (row: FitRow): Pick<Binding, 'limit' | 'was' | 'will' | 'least' | 'mend' | 'barless'> => {
    const figure = row.figure;
    if (isBeside(row.subject)) return besideOwn(row.subject, row, travel);
    const none = { limit: '', was: null, will: null, least: 0, mend: null };
    switch (row.subject) {
      case 'threads': {
        const order = orders?.length === 1 ? orders[0]! : null;
        return {
          limit: `${LEAST_THREADS} threads beyond the nut`,
          was: travel.planned.readings.find((r) => r.point === 'uboltExposed' && r.phase === 'before')?.value ?? null,
          will: figure?.value ?? null,
          least: figure?.limit ?? 0,
          mend:
            row.state === 'does not fit' && order
              ? { mend: { kind: 'ubolts', leg: order.leg, bend: order.bend }, gives: null }
              : null,
        };
      }
      case 'driveline':
        return {
          limit: 'joints equal within 1°',
          was: wasUnequal(travel),
          will: figure?.value ?? null,
          least: 0,
          // In front it would turn the caster.
          mend: row.state === 'look' && figure && known.position === 'rear' ? wedgeMend(travel, figure.value) : null,
        };
      default:
        return figure?.dimension === 'length' ? { ...none, will: figure.margin } : none;
    }
  };
  const rest = fit
    // What the inspection found is mended there.
    .filter(
      (row) =>
        (!isTravel(row.subject) || ownEnd(row.subject)) &&
        !isLine(row.subject) &&
        !row.subject.startsWith('inspect:') &&
        !(row.toldOnly && row.figure === null) &&
        // A nut that has no thread left is told once.
        !(row.subject === 'runOut' && fit.some((r) => r.subject === 'threads' && r.state === 'does not fit')) &&
        row.state !== 'not checked',
    )
    .map((row): Binding => ({
      ...{ id: row.subject, name: OWN_NAMES[row.subject] ?? row.name, state: row.state, text: row.reason, wants: [] },
      ...{ dimension: row.figure?.dimension ?? 'length', half90: halfOf(row.subject, travel) },
      ...own(row),
    }));
  // A figure that is no length stands behind those that are.
  const tight = (row: Binding): number =>
    row.will === null || row.barless || row.dimension !== 'length' ? Infinity : row.will - row.least;
  return [...ends, ...lines, ...rest].toSorted((p, q) => worstFirst(p, q) || tight(p) - tight(q));
}

const halfOf = (subject: string, { beside }: Travel): number | null =>
  subject === 'driveline' ? UNEQUAL_HALF : (beside.find((row) => row.item === subject)?.half90 ?? null);

/** Bushes, joints and wheels: what they stood at and will, and a wedge where the plan turns the caster out of what is asked for. */
function besideOwn(
  item: BesideItem,
  { state, figure }: FitRow,
  travel: Travel,
): Pick<Binding, 'limit' | 'was' | 'will' | 'least' | 'mend' | 'barless'> {
  const { read } = besidesOf(travel.planned);
  const told = { limit: BESIDE_LIMITS[item], was: null, will: null, least: 0, mend: null } as const;
  if (!figure) return told;
  switch (item) {
    case 'tyreToSpring':
      return { ...told, was: read.tyreToSpring ?? null, will: figure.value, least: figure.limit };
    case 'shaftTravel':
      return { ...told, will: figure.value, least: figure.limit };
    case 'padSpread':
    case 'toe':
    case 'square':
    case 'headlamps':
      return { ...told, will: figure.value, barless: true };
    case 'dragLink':
      return { ...told, was: read.dragLinkSlope ?? null, will: figure.value, barless: true };
    case 'sideSlope':
      return { ...told, was: figure.limit, will: figure.value, barless: true };
    case 'caster': {
      const middle = ((read.casterLeast ?? 0) + (read.casterMost ?? 0)) / 2;
      const mend = state === 'look' ? wedgeMend(travel, figure.value - middle, middle) : null;
      return { ...told, was: read.caster ?? null, will: figure.value, mend, barless: true };
    }
    default:
      return told;
  }
}

/** How far from parallel the pinion was as it came in, rad. */
const wasUnequal = ({ known }: Travel): number | null => {
  const state = known.driveline && drivelineState(known.driveline, 0, 0, known.position);
  return state ? state.angles.unequal : null;
};

/** A wedge in place of the planned one that turns the axle's nose down by so much, rad. @param to what it leads to, when all of it is turned away */
function wedgeMend({ planned }: Travel, unequal: number, to = 0): Binding['mend'] {
  const { arrangement } = planned.axle;
  if (!takes(planned.axle.suspension, 'wedge') || arrangement === null) return null;
  const over = planned.plan.changes.some((c) => c.kind === 'overAxle') ? 'over' : arrangement;
  const now = planned.plan.changes.findLast((c) => c.kind === 'wedge') ?? null;
  const seat = planned.readings.find((r) => r.point === 'uboltSpacing' && r.phase === 'before')?.value ?? USUAL_SEAT;
  const wedge = wedgeFor(unequal, now, over, seat);
  const turned = (w: typeof now | typeof wedge) => (w ? wedgeTurn(w, over) : 0);
  return { mend: { kind: 'wedge', wedge }, gives: to + unequal + turned(wedge) - turned(now) };
}
/** Length of a wedge along its spring where nobody read the U-bolts' spacing, mm. */
const USUAL_SEAT = 130;

/** What nobody looked at yet, by name. */
export const unreadOf = (
  rows: readonly Binding[],
  fit: readonly FitRow[],
  { beside }: Pick<Travel, 'beside'>,
): string[] => [
  ...rows.filter((row) => row.state === 'not checked').map((row) => row.name.toLowerCase()),
  ...fit
    .filter((row) => row.state === 'not checked' && !isTravel(row.subject) && !isLine(row.subject))
    .map((row) => row.name.charAt(0).toLowerCase() + row.name.slice(1)),
  ...beside
    // What waits for no reading waits for the plan to be solved.
    .filter((row) => row.state === 'not checked' && row.wants.length > 0)
    .map((row) => CHECK_NAMES[row.item].charAt(0).toLowerCase() + CHECK_NAMES[row.item].slice(1)),
];
