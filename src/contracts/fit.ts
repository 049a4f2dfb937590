import { ruleOf } from '@/core/inspection/rules';
import { askedOf } from '@/core/suspension/registry';
import { mustFit, MOVED_ITEMS, type FitVerdict, type Known, type SolvedFacts } from '@/core/fit/mustFit';
import { arrivalSize, type ArrivalSize } from '@/core/prepare/arrival';
import { TOOL_KINDS } from '@/core/prepare/toolKinds';
import { AXLE_CLASSES } from '@/core/sheet/axleClass';
import { axleMassIn } from '@/core/sheet/reading';
import { type VerdictFigure, type VerdictState } from '@/core/verdict';
import { besidesOf } from './besides';
import { type Defect } from './defect';
import { CHECK_NAMES } from './fitText';
import { drivelineRead, travelKnown } from './travel';
import { type ChangeKind } from './plan';
import { orderOfWork, toolsOf } from './orderOfWork';
import { partLines, wrongParts } from './preparation';
import { newUbolts } from './ubolts';
import { type AxleView } from './job';
import { assembledOf, axleSheetOf, type Assembled } from './sheet';
import { surveyAnswers } from './survey';

/** One thing that must fit before, during or after the work, with how it was settled. */
export interface FitRow {
  /** Names it across plans and days. */
  subject: string;
  name: string;
  state: VerdictState;
  reason: string;
  /** The build may not start on it without a reason. */
  blocks: boolean;
  /** Nothing on the job's stations can answer it yet: it is told, and asked for nowhere. */
  toldOnly: boolean;
  /** What it hangs on, where that is a figure. */
  figure: VerdictFigure | null;
  /** How it was gone on with, where it was. */
  defect: Defect | null;
}

/** A misfit in words, as a defect keeps it. */
export const misfitText = (row: Pick<FitRow, 'name' | 'reason'>): string =>
  [row.name, row.reason].filter(Boolean).join(': ');

const FIGURE = /\d+(?:\.\d+)?/g;
/** Whether two misfits are the same one: the same words, and figures that a reading more or less may move. */
export function sameMisfit(a: string, b: string): boolean {
  const figures = (text: string) => [...text.matchAll(FIGURE)].map((m) => Number(m[0]));
  const [of, to] = [figures(a), figures(b)];
  return (
    a.replace(FIGURE, '') === b.replace(FIGURE, '') &&
    of.every((value, k) => Math.abs(value - to[k]!) <= Math.max(2, 0.01 * value))
  );
}

/** What people said, looked at and measured of a job. */
export function knownOf(view: AxleView, refused: Known['refused']): Known {
  const sheet = axleSheetOf(view);
  const masses = sheet.states.flatMap((state) => axleMassIn(sheet, state) ?? []);
  return {
    answer: (item) => view.safety.find((s) => s.item === item)?.answer ?? 'notChecked',
    survey: surveyAnswers(view),
    refused,
    position: view.axle.position,
    steered: view.axle.steered,
    driven: AXLE_CLASSES[view.axle.axleClass].driven,
    heaviest: masses.length > 0 ? Math.max(...masses) : null,
    travel: travelKnown(view),
    driveline: drivelineRead(view),
    newUbolts: newUbolts(view),
  };
}

/** The rows of the core's own list. */
export const checkRows = (
  view: AxleView,
  facts: SolvedFacts | null,
  { input, refused }: Pick<Assembled, 'input' | 'refused'> = assembledOf(view),
): FitVerdict[] => {
  const known = knownOf(view, refused);
  return mustFit(askedOf(input), facts, { ...known, beside: besidesOf(view, known.heaviest) });
};

const TOLD_ONLY: ReadonlySet<string> = new Set(MOVED_ITEMS);

/** Whether the plan puts whole what the inspection found; then the finding does not stand in its way. */
const MENDS: Readonly<Record<string, readonly ChangeKind[]>> = {
  leafBroken: ['pack', 'springs', 'crossSpring'],
  crossEye: ['crossSpring'],
  shearTear: ['shearBlock'],
  shearBond: ['shearBlock'],
  shearHoles: ['blockHoles'],
  coilBroken: ['coil'],
  bush: ['eyeBush'],
  pivotBush: ['pivotBush'],
};
const mendedByPlan = (view: AxleView, rule: string): boolean =>
  view.plan.changes.some(
    (change) =>
      MENDS[rule]?.includes(change.kind) &&
      // A finding names no bush of its side: only a plan that renews all of them mends it for certain.
      (change.kind !== 'eyeBush' || change.ends === 'all'),
  );

/**
 * Everything that must fit: the plan's own list, and what the inspection found to be replaced or to stop for. A row that does not
 * fit blocks the start; a part that must be replaced does not, but the job is not done without it.
 */
export function fitRows(
  view: AxleView,
  facts: SolvedFacts | null,
  assembled?: Pick<Assembled, 'input' | 'refused'>,
): FitRow[] {
  // A reason that was given for a hose 10 mm short does not cover one that is 60 mm short.
  const settled = (row: Omit<FitRow, 'defect'>): FitRow => ({
    ...row,
    defect: view.defects.findLast((d) => d.subject === row.subject && sameMisfit(d.what, misfitText(row))) ?? null,
  });
  const rows = checkRows(view, facts, assembled)
    // A broken main leaf is one finding, told by the inspection; here it only says why nothing is solved.
    .filter((row) => row.item !== 'located' || !view.plan.changes.some(({ kind }) => kind === 'pack'))
    .map((row) =>
      settled({
        subject: row.item,
        name: CHECK_NAMES[row.item],
        // What a kind calls a stop is a misfit like any other here: it blocks until somebody answers for it.
        state: row.state === 'stop' ? 'does not fit' : row.state,
        reason: row.text,
        blocks: row.state === 'does not fit' || row.state === 'stop',
        toldOnly: TOLD_ONLY.has(row.item),
        figure: row.figure ?? null,
      }),
    );
  const found = view.findings.flatMap((f): FitRow[] => {
    if ((f.verdict !== 'stop' && f.verdict !== 'replace') || mendedByPlan(view, f.rule)) return [];
    const subject = `inspect:${f.rule}:${f.side ?? 'axle'}`;
    const rule = ruleOf(f.rule);
    const seen = rule.choices.find((c) => c.id === f.choice)?.text ?? f.values.map((v) => v.typed).join(', ');
    const where = f.side ? `, ${f.side}` : '';
    return [
      settled({
        subject,
        name: `${rule.what}${where}`,
        state: 'does not fit',
        reason: `Inspection: ${seen}. ${f.verdict === 'stop' ? 'Not to be driven or towed until it is mended.' : 'To be replaced.'}`,
        blocks: f.verdict === 'stop',
        toldOnly: false,
        figure: null,
      }),
    ];
  });
  return [...rows, ...found, ...[...arrivedWrong(view), ...toolLacking(view)].map(settled)];
}

/** Where a row stands that the arrival check found. */
const ARRIVAL = 'arrival:';
/** And one that a tool lacks. */
const TOOL = 'tool:';
/** What Prepare has to mend. */
export const isOfPrepare = ({ subject }: Pick<FitRow, 'subject'>): boolean =>
  subject.startsWith(ARRIVAL) || subject.startsWith(TOOL);

const sizeText = (size: ArrivalSize, value: number): string =>
  size === 'angle' ? `${((value * 180) / Math.PI).toFixed(2)}°` : `${Number(value.toFixed(1))} mm`;

/** Parts in hand that are not what was called for: the build does not start with one. Once it has begun they are in, or were changed. */
function arrivedWrong(view: AxleView): Omit<FitRow, 'defect'>[] {
  if (view.arrivals.length === 0) return [];
  return wrongParts(partLines(view)).map(({ need, what, arrival: { misfits } }) => ({
    subject: `${ARRIVAL}${need}`,
    name: `In hand: ${what}`.slice(0, 160),
    state: 'does not fit',
    reason: misfits
      .map(
        ({ piece, called, measured, by }) =>
          `Piece ${piece}: ${arrivalSize(called.size).name} ${sizeText(called.size, measured)}, called for ${sizeText(called.size, called.value)}: ${sizeText(called.size, Math.abs(by))} ${by < 0 ? 'short' : 'over'}`,
      )
      .join('. ')
      .slice(0, 400),
    blocks: true,
    toldOnly: false,
    figure: null,
  }));
}

/** A coil inside its unit is not let go without its compressor: a shop that keeps its tools here and has none at hand does not start. */
function toolLacking(view: AxleView): Omit<FitRow, 'defect'>[] {
  if (view.toolsHere === null || view.build) return [];
  const takes = orderOfWork(view)?.steps.find(({ operation }) => operation.takes?.tool === 'compressor')?.operation
    .takes;
  if (!takes || toolsOf(view)?.has(takes.tool)) return [];
  return [
    {
      ...{ subject: `${TOOL}${takes.tool}`, name: `No ${TOOL_KINDS[takes.tool].name} at hand`, state: 'does not fit' },
      ...{ reason: takes.else, blocks: true, toldOnly: false, figure: null },
    },
  ];
}

/** Rows that do not fit and that nobody has mended or gone on with. */
export const unsettled = (rows: readonly FitRow[]): FitRow[] =>
  rows.filter((row) => row.state === 'does not fit' && row.defect === null);
/** Those that keep a build from starting. */
export const blocking = (rows: readonly FitRow[]): FitRow[] => unsettled(rows).filter((row) => row.blocks);
/** What nobody has looked at, and somebody could. */
export const unchecked = (rows: readonly FitRow[]): FitRow[] =>
  rows.filter((row) => row.state === 'not checked' && !row.toldOnly);

/** What the newest prediction of the plan at work, or else that of this build, says of what must fit. */
export function storedFacts(view: AxleView): SolvedFacts | null {
  const of =
    view.predictions.find((p) => p.planId === view.plan.id && p.planVersion === view.plan.version) ??
    view.predictions.find((p) => p.id === view.build?.predictionId);
  return of?.facts ?? null;
}
