import { compose } from '@/core/procedure/compose';
import { type Composed, type Step } from '@/core/procedure/operation';
import { progressOf, type Progress } from '@/core/procedure/progress';
import { procedureOf } from '@/core/suspension/registry';
import { besidesOf } from './besides';
import { type AxleView } from './job';
import { assembledOf } from './sheet';

/** Which of a question's two answers counts: this job's, else the shop's. */
export const schoolOf = (view: Pick<AxleView, 'schools'>, question: string): 'one' | 'other' | null => {
  const of = (ofShop: boolean) => view.schools.find((c) => c.question === question && c.ofShop === ofShop)?.school;
  return of(false) ?? of(true) ?? null;
};

/** A plan's order, and where the work stands in it. */
export type OrderOfWork = Composed & { progress: Progress; done: ReadonlySet<string> };

/** The order in which a job's plan is done; null where its kind has none written, or nothing is planned. */
export function orderOfWork(view: AxleView): OrderOfWork | null {
  // What is broken is mended first, whatever was planned.
  const mended = assembledOf(view).input.changes.filter(({ kind }) => kind === 'mendLeaf');
  const planned = [
    // A helper that was there is left alone, or comes off.
    ...view.plan.changes.flatMap((change) =>
      change.kind !== 'helper' || !change.fitted ? [change] : change.fitted === 'off' ? [{ kind: 'helperOff' }] : [],
    ),
    ...mended,
  ];
  const kind = besidesOf(view).bushes?.kind ?? null;
  const procedure =
    planned.length === 0
      ? null
      : procedureOf(view.axle.suspension, planned, {
          sides: schoolOf(view, 'workSides') === 'other' ? 'both' : 'one',
          packInPlace: schoolOf(view, 'packInPlace') === 'one',
          bonded: kind === null ? null : kind === 'bonded',
          driveUnit: view.axle.axleClass === 'cartRear',
        });
  if (!procedure) return null;
  const { start, operations, hazards } = procedure;
  const composed = compose(start, operations, hazards);
  const done = new Set(view.ticks.filter((t) => t.done && !t.disputed).map((t) => t.step));
  const order = composed.steps.map(({ operation }) => operation);
  return { ...composed, done, progress: progressOf(start, order, done, hazards) };
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
