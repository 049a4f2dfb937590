import { JOINTS, notFinal, settledStage } from '@/core/fastener/joints';
import { ruleOf } from '@/core/inspection/rules';
import { jointsOf, rulesOf } from '@/core/suspension/registry';
import { SIDES } from '@/core/vehicle/side';
import { TRAVEL_ITEMS } from '@/core/travel/travelRows';
import { judgeGoal } from '@/core/height/goals';
import { SUPPORT_ITEMS } from '@/core/procedure/safety';
import { CHECK_NAMES } from './fitText';
import { blocking, fitRows, isOfPrepare, storedFacts, unchecked, unsettled, type FitRow } from './fit';
import { missingBeforeHeights } from './gates';
import { type AxleView, type JobView } from './job';
import { bayOf, notHere, partLines } from './preparation';
import { FUNCTIONS } from '@/core/followup/functions';
import { dueNow } from './dueNow';
import { orderOfWork } from './orderOfWork';
import { functionsOf } from './proving';
import { readingsAround } from './sheet';
import { type StationId } from './stationNames';
import { travelUnread } from './travel';

/** Something still to be done at a station. */
export interface OpenItem {
  text: string;
  /** The job may not be closed on it. */
  stop: boolean;
}

/** Findings after which an axle counts as inspected: six in ten of the places its kind asks for. */
const lookedAt = ({ axle, pack }: AxleView): number =>
  Math.ceil(0.6 * rulesOf(axle.suspension, pack).reduce((sum, rule) => sum + (ruleOf(rule).once ? 1 : 2), 0));

const isTravel = (subject: string): boolean => (TRAVEL_ITEMS as readonly string[]).includes(subject);

const open = (text: string): OpenItem => ({ text, stop: false });
const stop = (text: string): OpenItem => ({ text, stop: true });

/** Joints that are not final, in words: what the wrench has still to do. */
export function looseJoints(view: AxleView): string[] {
  return jointsOf(view.axle.suspension, view.pack).flatMap((joint) => {
    const entry = view.torques.find((t) => t.joint === joint);
    if (!settledStage(entry?.stage)) return [`${JOINTS[joint].name}: not final`];
    if (entry?.stage === 'notTouched') return [];
    const read = view.torqueReadings.filter((r) => r.joint === joint);
    // Entries of earlier releases told one reading for the whole joint.
    return entry && read.length > 0 && notFinal(joint, entry, read)
      ? [`${JOINTS[joint].name}: a bolt is not read`]
      : [];
  });
}

/** What a station still asks for; a station is done when its list is empty. */
export function openList(
  view: AxleView,
  rows: readonly FitRow[] = fitRows(view, storedFacts(view)),
): Record<StationId, OpenItem[]> {
  const heights = missingBeforeHeights(view);
  const foretold = view.predictions.some((p) => p.planId === view.plan.id && p.planVersion === view.plan.version);
  const loose = looseJoints(view);
  const found = view.findings.filter((f) => f.verdict === 'stop' || f.verdict === 'replace');
  const inspection = rows.filter((row) => row.subject.startsWith('inspect:'));
  const plan = rows.filter((row) => !row.subject.startsWith('inspect:') && !isOfPrepare(row));
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0];
  const unread = SIDES.filter((side) => !view.outcomes.some((o) => o.side === side));
  const goals = view.goals.filter(
    (goal) => judgeGoal(goal, readingsAround(view), wanted?.id ?? '', view.axle.position).met === null,
  );
  return {
    ask: [],
    measure: heights.map((side) => open(`before height, ${side}`)),
    inspect: [
      ...unsettled(inspection).map((row) => (row.blocks ? stop(row.name) : open(`to be replaced: ${row.name}`))),
      ...(found.length === 0 && view.findings.length < lookedAt(view)
        ? [open(`${lookedAt(view) - view.findings.length} places not looked at`)]
        : []),
    ],
    choose: [
      ...(view.plan.changes.length === 0 ? [open('no change planned')] : []),
      ...(view.plan.changes.length > 0 && !foretold ? [open('no prediction of this plan stored')] : []),
      ...blocking(plan)
        .filter((row) => !isTravel(row.subject))
        .map((row) => stop(row.name)),
    ],
    check: [
      ...blocking(plan).map((row) => stop(row.name)),
      ...travelUnread(view).map((row) => open(`not read: ${CHECK_NAMES[row.item]}`)),
    ],
    prepare: toPrepare(view, rows),
    build: [
      ...(view.build ? [] : [open('not started')]),
      ...SUPPORT_ITEMS.filter((item) => view.safety.find((s) => s.item === item)?.answer !== 'ok').map((item) =>
        open(CHECK_NAMES[item]),
      ),
      ...unsettled(rows).map((row) => (row.blocks ? stop(row.name) : open(`to be replaced: ${row.name}`))),
      ...unchecked(rows).map((row) => open(`not checked: ${row.name}`)),
      // While the work is going on they are what is still to do; once it was measured afterwards they stop it.
      ...loose.map(view.build && view.outcomes.length > 0 ? stop : open),
    ],
    prove: [
      ...unread.map((side) => open(`height after the work, ${side}`)),
      ...goals.map((goal) => open(`goal not judged: ${goal.kind}`)),
      ...unsettled(rows).map((row) => (row.blocks ? stop(row.name) : open(`to be replaced: ${row.name}`))),
      ...unchecked(rows).map((row) => open(`not checked: ${row.name}`)),
      ...(view.build ? loose.map(stop) : []),
      ...(view.build && view.outcomes.length > 0 ? untried(view) : []),
      ...(view.closing?.closed ? [] : [open('job not closed')]),
    ],
    follow: [
      ...view.due
        .filter((d) => d.doneAt === null && dueNow(d, view.today, view.odometer?.km ?? null).word === 'overdue')
        .map((d) => open(`overdue: ${d.what}`)),
      ...(view.closing?.closed ? openDefects(view).map((d) => open(`open defect until ${d.dueOn}: ${d.what}`)) : []),
    ],
  };
}

/** What was not tried before the vehicle leaves, or was not in order then. */
function untried(view: AxleView): OpenItem[] {
  const items = functionsOf(view).map((id) => ({
    ...FUNCTIONS[id],
    said: view.functionChecks.find((c) => c.item === id),
  }));
  const wrong = items.filter(({ said }) => said?.answer === 'notOk');
  const left = items.filter(({ said }) => said === undefined || said.answer === 'notDone');
  return [
    ...wrong.map(({ name, stops, said }) =>
      stops ? stop(`${name} not in order: ${said!.note}`) : open(`${name} not in order: ${said!.note}`),
    ),
    ...(left.length > 0 ? [open(`not tried: ${left.map(({ name }) => name).join(', ')}`)] : []),
  ];
}

/** What must still be ordered, come or be set right before the work; nothing of it once the work has begun. */
function toPrepare(view: AxleView, rows: readonly FitRow[]): OpenItem[] {
  const wrong = blocking(rows)
    .filter(isOfPrepare)
    .map((row) => stop(row.name));
  if (view.build) return [];
  const begun = view.needed.length > 0 || view.bay !== null;
  if (!begun) return wrong;
  const short = notHere(partLines(view));
  const count = (state: 'toOrder' | 'ordered') => short.filter((line) => line.state === state).length;
  return [
    ...wrong,
    ...(count('toOrder') > 0 ? [open(`${count('toOrder')} to order`)] : []),
    ...(count('ordered') > 0 ? [open(`${count('ordered')} not here yet`)] : []),
    ...(bayOf(view).bayOn === null ? [open('no day in the bay')] : []),
  ];
}

/** Steps of a work that was ticked as it went and was not ticked to its end. */
function untickedSteps(view: AxleView): OpenItem[] {
  if (!view.build || view.ticks.length === 0) return [];
  const order = orderOfWork(view);
  const left = order ? order.steps.filter(({ operation }) => !order.done.has(operation.id)).length : 0;
  return left === 0 ? [] : [open(`${left} ${left === 1 ? 'step' : 'steps'} not ticked`)];
}

/** Defects that were gone on with and not ended. */
export const openDefects = (view: AxleView) => view.defects.filter((d) => d.endedAt === null);

/** Kept already: an open defect with its day, a check with its own. */
const KEPT = 'open defect until ';
const TO_COME = 'check to come: ';

/** Subject of a defect that was accepted when the job was closed. */
export const acceptedSubject = (text: string): string => `left:${text.slice(0, 70)}`;

/** What of it must be accepted before the job is closed, each with a reason and a day. */
export const toAccept = (view: JobView): OpenItem[] => {
  const defects = [view, ...view.others].flatMap(openDefects);
  return leftOpenOfJob(view).filter(
    ({ text, stop }) =>
      !stop &&
      !text.includes(KEPT) &&
      !text.includes(TO_COME) &&
      !defects.some(({ subject }) => subject === acceptedSubject(text)),
  );
};

/** What would be left open at one axle if the job were closed now, each thing once; stops first. */
function leftOpen(view: AxleView): OpenItem[] {
  const lists = openList(view);
  const all = [
    ...lists.inspect.filter((i) => i.stop),
    ...lists.build,
    ...lists.prove.filter((i) => i.text !== 'job not closed'),
    ...untickedSteps(view),
    ...openDefects(view).map((d) => open(`${KEPT}${d.dueOn}: ${d.what}`)),
    ...view.due.filter((d) => !d.doneAt).map((d) => open(`${TO_COME}${d.what}`)),
  ];
  const sorted = [...all.filter((i) => i.stop), ...all.filter((i) => !i.stop)];
  return sorted.filter((item, k) => sorted.findIndex((other) => other.text === item.text) === k);
}

/** The same over all axles of the job; with more than one, each thing says where it is. */
export function leftOpenOfJob(view: JobView): OpenItem[] {
  if (view.others.length === 0) return leftOpen(view);
  const all = [view, ...view.others].flatMap((at) =>
    leftOpen(at).map((item) => ({ ...item, text: `${at.axle.position}: ${item.text}` })),
  );
  return [...all.filter((i) => i.stop), ...all.filter((i) => !i.stop)];
}
