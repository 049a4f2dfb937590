import { type ChangeRow } from '@/contracts/plan';
import { type FieldRule } from '@/core/units/parse';
import { countRule, lengthRule } from '@/core/units/rules';
import { type EyeForm } from '@/core/mechanics/leafpack/eyes';
import { type Typed } from '../measured/TypedField';

export type ChangeKind = ChangeRow['kind'];
type PackChange = Extract<ChangeRow, { kind: 'pack' }>;

interface PlanField {
  id: string;
  label: string;
  rule: FieldRule;
  hint?: string;
}

/** What each kind of change asks for. */
export const CHANGES: Record<ChangeKind, { name: string; fields: readonly PlanField[]; form?: boolean }> = {
  addLeaf: {
    name: 'Leaf added',
    fields: [
      { id: 'front', label: 'Pin to front tip', rule: lengthRule(40, 1500, 450) },
      { id: 'rear', label: 'Pin to rear tip', rule: lengthRule(40, 1500, 450) },
      { id: 'thickness', label: 'Thickness', rule: lengthRule(3, 40, 8) },
      {
        id: 'camber',
        label: 'Free camber',
        rule: lengthRule(-300, 500, 90),
        hint: 'string across its tips, lying free',
      },
    ],
  },
  removeLeaf: {
    name: 'Leaf taken out',
    fields: [
      { id: 'leaf', label: 'Which leaf', rule: countRule(2, 30), hint: 'counted from the main leaf, which is 1' },
    ],
  },
  pack: { name: 'Other pack', fields: [] },
  rearch: {
    name: 'Re-arched',
    fields: [
      {
        id: 'camber',
        label: 'Camber gained',
        rule: lengthRule(-100, 200, 25),
        hint: 'over the main leaf; specialist work, with a crack test',
      },
    ],
  },
  eyes: { name: 'Main leaf with other eyes', fields: [], form: true },
  block: {
    name: 'Block',
    fields: [
      {
        id: 'height',
        label: 'Block height after the work',
        rule: lengthRule(0, 300, 40),
        hint: '0 takes it out; under the axle a block lowers',
      },
    ],
  },
  shackle: {
    name: 'Shackle',
    fields: [{ id: 'length', label: 'New shackle, bolt to bolt', rule: lengthRule(30, 300, 110) }],
  },
  overAxle: {
    name: 'Spring over the axle',
    fields: [{ id: 'height', label: 'New perch height', rule: lengthRule(0, 300, 20), hint: 'on top of the tube' }],
  },
};

/** One line of the plan while it is being typed. */
export interface DraftLine {
  key: string;
  kind: ChangeKind;
  values: Record<string, Typed>;
  source: 'measured' | 'catalogue';
  /** False while the camber is a reckoned one; typed over, it is known. */
  camberKnown?: boolean | undefined;
  /** The part of the shelf it was taken from. */
  part?: { partId: string; partName: string };
  form?: EyeForm;
  /** A pack is taken from the shelf whole, never typed. */
  pack?: PackChange;
}

/** The line as a stored change; undefined while a field is missing. */
export function completeLine(line: DraftLine): ChangeRow | undefined {
  if (line.kind === 'pack') return line.pack;
  if (line.kind === 'eyes') return line.form && { kind: 'eyes', form: line.form };
  const entries: [string, unknown][] = Object.entries(line.part ?? {});
  for (const { id } of CHANGES[line.kind].fields) {
    const typed = line.values[id];
    if (!typed) return undefined;
    entries.push([id, typed.value], [`${id}Typed`, typed.typed]);
  }
  if (line.kind === 'addLeaf') {
    entries.push(['source', line.source]);
    if (line.camberKnown === false && line.source === 'catalogue') entries.push(['camberKnown', false]);
  }
  return { kind: line.kind, ...Object.fromEntries(entries) } as ChangeRow;
}

/** A stored change as a line that can be typed over. */
export function lineOf(change: ChangeRow, index: number): DraftLine {
  const stored: Record<string, unknown> = { ...change };
  const values = Object.fromEntries(
    CHANGES[change.kind].fields.map(({ id }) => [
      id,
      { value: stored[id] as number, typed: stored[`${id}Typed`] as string },
    ]),
  );
  const source = change.kind === 'addLeaf' ? change.source : 'measured';
  const { partId, partName } = stored as { partId?: string; partName?: string };
  return {
    key: `stored-${index}`,
    kind: change.kind,
    values,
    source,
    ...(partId && partName && { part: { partId, partName } }),
    ...(change.kind === 'addLeaf' && { camberKnown: change.camberKnown }),
    ...(change.kind === 'eyes' && { form: change.form }),
    ...(change.kind === 'pack' && { pack: change }),
  };
}
