import { openedTo } from '@/core/fastener/hole';
import { workTime, type StepTime, type WorkTime } from '@/core/prepare/minutes';
import { TOOL_KINDS, type ToolKind } from '@/core/prepare/toolKinds';
import { crewOf, type Way } from '@/core/procedure/common';
import { compose } from '@/core/procedure/compose';
import { type Composed, type Step } from '@/core/procedure/operation';
import { type Planned, type Procedure } from '@/core/procedure/procedure';
import { progressOf, type Progress } from '@/core/procedure/progress';
import { removalOf, type Removal } from '@/core/procedure/removal';
import { procedureOf } from '@/core/suspension/registry';
import { threadNamed } from '@/core/thread/thread';
import { besidesOf } from './besides';
import { type AxleView } from './job';
import { NO_BAY } from './noBay';
import { assembledOf } from './sheet';
import { boltTailOf } from './ubolts';

/** Which of a question's two answers counts: this job's, else the shop's. */
export const schoolOf = (view: Pick<AxleView, 'schools'>, question: string): 'one' | 'other' | null => {
  const of = (ofShop: boolean) => view.schools.find((c) => c.question === question && c.ofShop === ofShop)?.school;
  return of(false) ?? of(true) ?? null;
};

/** A plan's order, and where the work stands in it. */
export type OrderOfWork = Composed & {
  progress: Progress;
  done: ReadonlySet<string>;
  /** How little comes off for it. */
  removal: Removal;
  /** Two are at work at once, each on a side. */
  atOnce: boolean;
};

/** Kinds of tools at hand for a job: the shop's, and what was hired or borrowed for it; undefined where nobody wrote one down. */
export function toolsOf(view: AxleView): ReadonlySet<ToolKind> | undefined {
  const hired = view.needed.flatMap(({ need, state }) => {
    const kind = need.split(':')[1];
    return need.startsWith('tool:') && state === 'here' && isTool(kind) ? [kind] : [];
  });
  return view.toolsHere === null && hired.length === 0 ? undefined : new Set([...(view.toolsHere ?? []), ...hired]);
}
const isTool = (kind: string | undefined): kind is ToolKind => kind !== undefined && Object.hasOwn(TOOL_KINDS, kind);

/** What of a job decides its order besides its plan. */
export function wayOf(view: AxleView): Way {
  const kind = besidesOf(view).bushes?.kind ?? null;
  const bay = view.bay ?? NO_BAY;
  const seized = bay.rusty ? schoolOf(view, 'seizedBolts') : null;
  const at = (point: string) => view.readings.find((r) => r.point === point && r.phase === 'before');
  const hole = at('plateHole')?.value ?? null;
  const thread = threadNamed(at('uboltThread')?.typed ?? '')?.diameter ?? null;
  const opened = hole === null || hole === 0 || thread === null ? null : openedTo(hole, thread);
  const bolts = view.arrivals.filter((a) => a.need === 'centreBolts' && a.size === 'underHead').map((a) => a.value);
  const tail = bolts.length === 0 ? null : boltTailOf(view, Math.max(...bolts));
  const tools = toolsOf(view);
  return {
    sides: schoolOf(view, 'workSides') === 'other' ? 'both' : 'one',
    packInPlace: schoolOf(view, 'packInPlace') === 'one',
    bonded: kind === null ? null : kind === 'bonded',
    driveUnit: view.axle.axleClass === 'cartRear',
    metalBushes: bay.metalBushes,
    hoist: bay.onHoist,
    ...(tools && { tools }),
    ...(bay.people !== null && { people: bay.people }),
    ...(seized !== null && { seized: seized === 'one' ? 'heat' : 'cut' }),
    ...(opened !== null && { drillPlate: opened }),
    ...(tail !== null && tail > 0 && { boltTail: tail }),
  };
}

/** What a way of working makes of a job's plan; null where its kind has no order written, or nothing is planned. */
export function composedBy(view: AxleView, way: Way): (Composed & { procedure: Procedure }) | null {
  // What is broken is mended first, whatever was planned.
  const mended = assembledOf(view).input.changes.filter(({ kind }) => kind === 'mendLeaf');
  const planned: Planned[] = [
    // A helper that was there is left alone, or comes off.
    ...view.plan.changes.flatMap((change): Planned[] =>
      change.kind !== 'helper' || !change.fitted
        ? [
            {
              kind: change.kind,
              ...('bush' in change && { bush: change.bush }),
              ...('ends' in change && { ends: change.ends }),
            },
          ]
        : change.fitted === 'off'
          ? [{ kind: 'helperOff' }]
          : [],
    ),
    ...mended,
  ];
  const procedure = planned.length === 0 ? null : procedureOf(view.axle.suspension, planned, way);
  if (!procedure) return null;
  const { start, operations, hazards } = procedure;
  return { ...compose(start, operations, hazards, crewOf(way)), procedure };
}

/** The order in which a job's plan is done; null where its kind has none written, or nothing is planned. */
export function orderOfWork(view: AxleView): OrderOfWork | null {
  const way = wayOf(view);
  const made = composedBy(view, way);
  if (!made) return null;
  const { procedure, ...composed } = made;
  const done = new Set(view.ticks.filter((t) => t.done && !t.disputed).map((t) => t.step));
  const order = composed.steps.map(({ operation }) => operation);
  const progress = progressOf(procedure.start, order, done, procedure.hazards);
  return { ...composed, done, progress, removal: removalOf(procedure), atOnce: crewOf(way).atOnce };
}

/** One way to go about a plan, with what it costs. */
export interface OtherWay {
  sides: Way['sides'];
  /** Only where leaves are changed. */
  packInPlace: boolean | null;
  people: 1 | 2;
  /** As the job stands now. */
  chosen: boolean;
  steps: number;
  time: WorkTime;
}

/** The ways a plan can be gone about, each with its steps and its minutes by the shop's own ticks. */
export function waysOf(view: AxleView, seen: readonly StepTime[]): OtherWay[] {
  const way = wayOf(view);
  const now = composedBy(view, way);
  if (!now) return [];
  const places = now.steps.some(({ operation }) => operation.id === 'leafWork.left') ? [true, false] : [null];
  return places.flatMap((packInPlace) =>
    (['one', 'both'] as const).flatMap((sides) =>
      ([1, 2] as const).flatMap((people): OtherWay[] => {
        const other: Way = { ...way, sides, people, packInPlace: packInPlace ?? way.packInPlace };
        const made = composedBy(view, other);
        if (!made || made.refused) return [];
        const order = made.steps.map(({ operation }) => operation);
        return [
          {
            ...{ sides, packInPlace, people, steps: order.length },
            time: workTime(order, seen, crewOf(other).atOnce),
            chosen:
              sides === way.sides &&
              people === (way.people ?? 1) &&
              (packInPlace ?? way.packInPlace) === way.packInPlace,
          },
        ];
      }),
    ),
  );
}

/** Whether the plan asks for steps in which it stands in the air. */
export const takesSteps = (view: AxleView): boolean =>
  orderOfWork(view)?.steps.some(({ operation }) => operation.id === 'lift') ?? view.plan.changes.length > 0;

export type Stand = 'ground' | 'air' | 'weight';

/** One line of the order: a step, or the same one on both sides, one after the other. */
export interface OrderLine {
  number: number;
  steps: Step[];
}

const lines = (steps: readonly Step[], first: number): OrderLine[] =>
  steps.reduce<OrderLine[]>((all, step, k) => {
    const last = all.at(-1)?.steps[0]?.operation;
    if (last?.side && step.operation.side && last.act === step.operation.act) all.at(-1)!.steps.push(step);
    else all.push({ number: first + k, steps: [step] });
    return all;
  }, []);

/** The order by how the vehicle stands while a step is done: driven in, held in the air, on its wheels again. */
export function standsBy(steps: readonly Step[]): { stand: Stand; lines: OrderLine[] }[] {
  const up = steps.findIndex(({ after }) => after.frame === 'on stands');
  const down = steps.findLastIndex(({ after }) => after.frame === 'on stands') + 1;
  return [
    { stand: 'ground', lines: lines(steps.slice(0, up), 1) },
    { stand: 'air', lines: lines(steps.slice(up, down), up + 1) },
    { stand: 'weight', lines: lines(steps.slice(down), down + 1) },
  ];
}
