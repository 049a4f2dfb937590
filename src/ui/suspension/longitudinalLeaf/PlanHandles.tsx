'use client';
import { type JobView } from '@/contracts/job';
import { hungEye, type Elevation } from '@/core/suspension/longitudinalLeaf/elevation';
import { decimalText, fractionText } from '@/core/units/format';
import { refusalOf } from '../../choose/PlanEditor';
import { CHANGES, type DraftLine } from '../../choose/planDraft';
import { type PlanHandle } from '../../choose/usePlan';
import { PullHandle } from '../../drawing/PullHandle';
import { type Scale } from '../../drawing/scale';
import { spread } from '../../drawing/spread';
import { useView } from '../../theme/View';

interface Props {
  view: JobView;
  plan: PlanHandle;
  s: Scale;
  drawing: Elevation;
  /** Place of a leaf that the plan adds. */
  addedLeaf: number | null;
  /** Shackle and block as they are, mm; null where nobody read them. */
  now: { shackle: number | null; block: number };
}

interface Handle {
  kind: DraftLine['kind'];
  field: string;
  label: string;
  /** Where it takes hold, in the drawing's own axes, and how far to the right of it its round would stand, px. */
  of: { x: number; y: number };
  away: number;
  /** What it stands at while the plan does not hold it; null: only what is planned is pulled. */
  offered: number | null;
  /** Millimetres of it that a millimetre of pull makes. */
  gain: number;
}

const DEGREE = Math.PI / 180;
/** Room of one handle with its words, px. */
const WIDE = 124;

/** What of a plan is pulled on the drawing: block, shackle, arch of an added leaf, a re-arched pack, a wedge. */
export function PlanHandles({ view, plan, s, drawing, addedLeaf, now }: Props) {
  const { lengths } = useView();
  const { hub, seat, stack, seatLength, leaves, pivot } = drawing;
  const up = stack.arrangement === 'over' ? 1 : -1;
  const onTube = hub.y + up * (stack.tubeDiameter / 2 + stack.perch);
  const hung = hungEye(drawing);
  const added = addedLeaf === null ? null : leaves[addedLeaf];
  const tip = added?.points.at(-1) ?? seat;
  const beside = { x: hub.x + seatLength / 2, y: onTube + (up * stack.block) / 2 };
  const handles: Handle[] = [
    { kind: 'block', field: 'height', label: 'block', of: beside, away: 52, offered: now.block, gain: 1 },
    {
      ...{ kind: 'shackle', field: 'length', label: 'shackle', offered: now.shackle, gain: 1 },
      of: pivot ? { x: (pivot.x + hung.x) / 2, y: (pivot.y + hung.y) / 2 } : hung,
      away: drawing.turned ? -70 : 40,
    },
    {
      kind: 'addLeaf',
      field: 'camber',
      label: addedLeaf === null ? 'leaf, arch' : `leaf ${addedLeaf + 1}, arch`,
      of: tip,
      away: -8,
      offered: null,
      gain: 1,
    },
    {
      ...{ kind: 'rearch', field: 'camber', label: 're-arched by', offered: null, gain: 1 },
      of: leaves[0]?.points[Math.floor((leaves[0]?.points.length ?? 0) / 4)] ?? seat,
      away: -70,
    },
    {
      ...{ kind: 'wedge', field: 'angle', label: 'wedge', offered: null, gain: DEGREE / 8 },
      of: { x: hub.x - seatLength / 2, y: beside.y },
      away: -110,
    },
  ];
  const shown = handles.flatMap((handle) => {
    const { kind, field, offered } = handle;
    const lines = plan.lines.filter((line) => line.kind === kind);
    // Two added leaves have one tip drawn only: their figures are typed.
    if (lines.length > 1) return [];
    const line = lines[0] ?? null;
    const typed = line?.values[field] ?? null;
    if (line ? !typed : offered === null || refusalOf(kind, view, plan.lines) !== undefined) return [];
    const from = { x: s.x(handle.of.x), y: s.y(handle.of.y) };
    return [{ ...handle, line, typed, from }];
  });
  const places = spread(
    shown.map(({ from, away }) => from.x + away),
    WIDE,
    { least: 24, most: s.width - WIDE + 24 },
  );
  return shown.map(({ kind, field, label, line, typed, from, offered, gain }, k) => {
    const rule = CHANGES[kind].fields.find((f) => f.id === field)!.rule;
    const degrees = rule.dimension === 'angle';
    const step = degrees ? DEGREE / 2 : lengths === 'in' ? 25.4 / 16 : 1;
    // On a whole step the text says all of the figure.
    const bare = (value: number) =>
      degrees
        ? `${decimalText(value / DEGREE, 1)}°`
        : lengths === 'in'
          ? `${fractionText(value).replace('−', '-')} in`
          : `${Math.round(value)} mm`;
    const put = (value: number): DraftLine[] => {
      const next = { value: degrees || lengths === 'in' ? value : Math.round(value), typed: bare(value) };
      return line
        ? plan.lines.map((l) => (l === line ? { ...l, values: { ...l.values, [field]: next } } : l))
        : [...plan.lines, { key: crypto.randomUUID(), kind, values: { [field]: next }, source: 'measured' }];
    };
    const value = typed?.value ?? offered ?? 0;
    return (
      <PullHandle
        key={kind}
        of={from}
        at={{ x: places[k]!, y: s.height - 58 }}
        label={label}
        text={bare(value).replace(' mm', '')}
        planned={line !== null}
        value={value}
        least={rule.min ?? 0}
        most={rule.max ?? 1000}
        step={step}
        perPixel={gain / (degrees ? 1 : s.perMm)}
        onHold={(next) => plan.hold(put(next))}
        onKeep={(next) => plan.set(put(next))}
        onLetGo={plan.letGo}
      />
    );
  });
}
