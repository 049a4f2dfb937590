import { jointsOf } from '@/core/suspension/registry';
import { JOINTS } from '@/core/fastener/joints';
import { about, arrivalOf, atLeast, atMost, type Arrival, type Called } from '@/core/prepare/arrival';
import { untilTheBay, type Task, type UntilTheBay } from '@/core/prepare/calendar';
import { hardwareOf, uboltCalled, type Needed } from '@/core/prepare/needed';
import { type SizedFastener } from '@/core/prepare/tools';
import { centreBoltLength } from '@/core/fastener/centreBolt';
import { threadNamed } from '@/core/thread/thread';
import { besidesOf } from './besides';
import { type AxleView } from './job';
import { type Bay, type DaysOff, type NeededPart } from './needed';
import { NO_BAY } from './noBay';
import { orderOfWork, schoolOf } from './orderOfWork';
import { type ChangeRow } from './plan';
import { takes } from './planKinds';
import { plannedPart } from './planParts';
import { NUT, uboltOrdersOf } from './ubolts';

/** What of a planned part is held against the plan when it arrives. */
function calledOf(change: ChangeRow): Called[] {
  switch (change.kind) {
    case 'addLeaf':
      return [
        about('thickness', change.thickness),
        about('front', change.front),
        about('rear', change.rear),
        about('camber', change.camber),
      ];
    case 'pack':
      return [about('width', change.width), ...(change.bore === null ? [] : [about('eyeBore', change.bore)])];
    case 'block':
    case 'spacer':
    case 'riser':
    case 'stopPad':
      return [about('height', change.height)];
    case 'wedge':
      return [about('angle', change.angle), about('height', change.height)];
    case 'shackle':
      return [about('betweenBolts', change.length)];
    case 'coil':
      return [about('wire', change.wire), about('outsideDiameter', change.outside), about('freeLength', change.free)];
    case 'springs':
      return [about('width', change.width), about('front', change.outer), about('rear', change.inner)];
    case 'rocker':
      return [about('frontArm', change.front), about('rearArm', change.rear)];
    case 'crossSpring':
      return [about('width', change.width), about('front', change.half), about('rear', change.half)];
    case 'shearBlock':
      return [about('offset', change.offset), about('rubber', change.thick)];
    case 'spindles':
      return change.left === change.right ? [about('drop', change.left)] : [];
    case 'dropAxle':
      return [about('drop', change.by)];
    case 'shocks':
      return [atMost('closedLength', change.shut), atLeast('openLength', change.open)];
    default:
      return [];
  }
}

/** The step of the order that takes a planned part, by its name without the side. */
const STEP_OF: Partial<Record<ChangeRow['kind'], readonly string[]>> = {
  ...{ addLeaf: ['leafWork'], pack: ['compare'], eyes: ['compare'], block: ['stack'], wedge: ['stack'] },
  ...{
    shackle: ['shackleOn', 'packIn'],
    overAxle: ['stack'],
    coil: ['coilOn', 'perchSet'],
    spacer: ['spacer', 'perchSet'],
  },
  ...{ springs: ['shackleOn'], rocker: ['rockerOn'], slipper: ['rockerOn'], riser: ['stack'] },
  ...{ pivotBush: ['bushIn'], eyeBush: ['bushIn'], perch: ['perchSet'] },
  ...{ crossSpring: ['packIn'], spindles: ['spindleOn'], dropAxle: ['beamIn'] },
  ...{ axleWidth: ['axleMade'] },
  ...{ helper: ['helperOn'], swayLinks: ['swayOn'], wrapBar: ['wrapBarOn'] },
  ...{ shearBlock: ['compare'], blockHoles: ['blockOn'] },
  ...{ stopPad: ['stop'], shocks: ['newShock'], ubolts: ['uboltsOn'], line: ['lines'] },
};

export const bayOf = (view: Pick<AxleView, 'bay'>): Bay => view.bay ?? NO_BAY;

const springs = ({ axle }: AxleView): number => (takes(axle.suspension, 'springs') ? 2 : 1);

/** Everything a job's plan takes, both sides, in the order the steps ask for it; lines of a person's own at the end. */
export function neededOf(view: AxleView): Needed[] {
  const order = orderOfWork(view)?.steps.map(({ operation }) => operation) ?? [];
  const orders = uboltOrdersOf(view);
  const ubolts = orders?.length === 1 ? orders[0]! : null;
  const thread = ubolts?.thread ? (threadNamed(ubolts.thread)?.diameter ?? null) : null;
  const depth = orders?.[0]?.working.find((line) => line.label === 'leaves as built')?.value;
  const kind = besidesOf(view).bushes?.kind ?? null;
  const used = new Map<string, number>();
  const planned = view.plan.changes.flatMap((change): Needed[] => {
    const part = plannedPart(view.axle.suspension, change);
    if (!part) return [];
    const nth = used.get(change.kind) ?? 0;
    used.set(change.kind, nth + 1);
    const set = change.kind === 'ubolts' ? orders?.find((o) => o.bend === change.bend) : undefined;
    return [
      {
        ...{ need: `plan:${change.kind}.${nth}`, kind: 'part', what: part.what, wanted: part.wanted, why: '' },
        step: order.find(({ id }) => STEP_OF[change.kind]?.includes(id.split('.')[0]!))?.id ?? null,
        called: set
          ? uboltCalled({ ...set, leg: change.kind === 'ubolts' ? change.leg : set.leg }, thread)
          : calledOf(change),
      },
    ];
  });
  const hardware =
    order.length === 0
      ? []
      : hardwareOf(order, {
          ...{ axles: springs(view), ubolts, uboltThread: thread },
          oldUbolts: schoolOf(view, 'newUbolts') === 'other',
          uboltsPlanned: view.plan.changes.some((c) => c.kind === 'ubolts'),
          centreBolt: depth === undefined ? null : centreBoltLength(depth, NUT.height, NUT.pitch),
          rusty: bayOf(view).rusty,
          greased: kind === null ? null : kind === 'turns',
        });
  const listed = [...planned, ...hardware];
  const own = view.needed.flatMap((n): Needed[] =>
    n.need.startsWith('own:') || n.need.startsWith('tool:')
      ? [
          {
            need: n.need,
            kind: n.need.startsWith('tool:') ? 'tool' : 'hardware',
            what: n.what,
            wanted: n.wanted,
            step: null,
            why: '',
            called: [],
          },
        ]
      : [],
  );
  const at = ({ step }: Needed) => {
    const place = order.findIndex(({ id }) => id === step);
    return place < 0 ? order.length : place;
  };
  return [...listed.toSorted((p, q) => at(p) - at(q)), ...own];
}

/** A line of the list with how it stands. */
export interface PartLine extends Needed {
  part: NeededPart | null;
  state: NeededPart['state'];
  arrival: Arrival;
  /** The plan asks for something else now than what was ordered. */
  changed: boolean;
  /** Its step's place in the order, from 1. */
  stepNumber: number | null;
}

export function partLines(view: AxleView, needed = neededOf(view)): PartLine[] {
  const order = orderOfWork(view)?.steps ?? [];
  return needed.map((line) => {
    const part = view.needed.find((n) => n.need === line.need) ?? null;
    const place = order.findIndex(({ operation }) => operation.id === line.step);
    return {
      ...line,
      part,
      state: part?.state ?? 'toOrder',
      arrival: arrivalOf(
        line.wanted,
        line.called,
        view.arrivals.filter((a) => a.need === line.need),
      ),
      changed: part !== null && part.state !== 'notWanted' && (part.what !== line.what || part.wanted !== line.wanted),
      stepNumber: place < 0 ? null : place + 1,
    };
  });
}

/** What keeps the work from being begun or gone through with: not ordered, not here, wrong. Consumables are asked for as the rest. */
export const notHere = (lines: readonly PartLine[]): PartLine[] =>
  lines.filter(({ state }) => state === 'toOrder' || state === 'ordered');
export const wrongParts = (lines: readonly PartLine[]): PartLine[] =>
  lines.filter(({ arrival, state }) => arrival.misfits.length > 0 && state !== 'notWanted');

const DAY = 864e5;
export const dayNumber = (date: string): number => Math.round(Date.parse(date) / DAY);
/** Whether the shop does not work on a day. */
export const isDayOff = (day: number, { week, on }: DaysOff): boolean =>
  week.includes(new Date(day * DAY).getUTCDay()) || on.includes(dateOf(day));
export const dateOf = (day: number): string => new Date(day * DAY).toISOString().slice(0, 10);

/** What must be done with before the vehicle goes into the bay, as tasks of the calendar. */
export function tasksOf(view: AxleView, lines: readonly PartLine[]): Task[] {
  const bay = bayOf(view);
  const comes = lines.flatMap(({ need, what, part, state }): Task[] =>
    state === 'ordered' && part?.dueOn ? [{ id: need, name: what, days: 0, arrives: dayNumber(part.dueOn) }] : [],
  );
  const waits = view.waits
    .filter((w) => !w.done)
    .map((w): Task => ({ id: w.id, name: w.what, days: w.days, after: w.afterWait ? [w.afterWait] : [] }));
  const soak: Task[] =
    bay.soakDays > 0 ? [{ id: 'soak', name: 'penetrant soaks', days: bay.soakDays, late: true }] : [];
  return [...comes, ...waits, ...soak];
}

export function calendarOf(view: AxleView, lines = partLines(view)): UntilTheBay {
  const { bayOn } = bayOf(view);
  return untilTheBay(tasksOf(view, lines), dayNumber(view.today), bayOn === null ? null : dayNumber(bayOn), (day) =>
    isDayOff(day, view.daysOff),
  );
}

/** Fasteners of the axle of which somebody found out the size. */
export const sizedFasteners = (view: AxleView): SizedFastener[] =>
  jointsOf(view.axle.suspension, view.pack).flatMap((joint) => {
    const size = view.fastenerSizes.find((f) => f.joint === joint);
    return size ? [{ name: JOINTS[joint].name, across: size.across }] : [];
  });

/** Bore and shell of the widest bush that a plan presses, mm; null where none is, or nobody measured them. */
export function pressingOf(view: AxleView): { bore: number; shell: number } | null {
  const at = (point: string) => view.readings.find((r) => r.point === point && r.phase === 'before')?.value ?? null;
  const known = (
    [
      ['eyeBore', 'frontShell'],
      ['eyeBoreRear', 'rearShell'],
      ['hangerBore', 'hangerShell'],
    ] as const
  ).flatMap(([hole, outside]) => {
    const [bore, shell] = [at(hole), at(outside)];
    return bore === null || shell === null ? [] : [{ bore, shell }];
  });
  return known.toSorted((p, q) => q.shell - p.shell)[0] ?? null;
}
