import { type ChangeKind, type ChangeRow } from '@/contracts/plan';
import { type FieldRule } from '@/core/units/parse';
import { countRule, lengthRule, TURNS_RULE } from '@/core/units/rules';
import { type CoilEnds } from '@/core/mechanics/coil/coil';
import { type EyeForm } from '@/core/mechanics/leafpack/eyes';
import { type Typed } from '../measured/TypedField';

type PackChange = Extract<ChangeRow, { kind: 'pack' }>;

interface PlanField {
  id: string;
  label: string;
  rule: FieldRule;
  hint?: string;
}

/** What each kind of change asks for. */
export const CHANGES: Record<ChangeKind, { name: string; fields: readonly PlanField[]; forms?: 'eyes' | 'coilEnds' }> =
  {
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
    eyes: { name: 'Main leaf with other eyes', fields: [], forms: 'eyes' },
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
    coil: {
      name: 'Other coils',
      forms: 'coilEnds',
      fields: [
        { id: 'free', label: 'Free length', rule: lengthRule(80, 1000, 380), hint: 'standing by itself' },
        { id: 'wire', label: 'Wire', rule: lengthRule(4, 45, 14) },
        {
          id: 'outside',
          label: 'Outside diameter',
          rule: lengthRule(40, 350, 130),
          hint: 'across a turn in the middle',
        },
        { id: 'turns', label: 'Turns, end to end', rule: TURNS_RULE, hint: 'quarters counted' },
      ],
    },
    spacer: {
      name: 'Seat spacers',
      fields: [
        {
          id: 'height',
          label: 'Spacers after the work',
          rule: lengthRule(0, 150, 20),
          hint: '0 takes them out; never stacked',
        },
      ],
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
  /** Of other coils. */
  ends?: CoilEnds;
  used?: boolean;
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
  if (line.kind === 'coil') {
    if (!line.ends) return undefined;
    entries.push(['ends', line.ends], ['used', line.used ?? false], ['source', line.source]);
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
  const source = change.kind === 'addLeaf' || change.kind === 'coil' ? change.source : 'measured';
  const { partId, partName } = stored as { partId?: string; partName?: string };
  return {
    key: `stored-${index}`,
    kind: change.kind,
    values,
    source,
    ...(partId && partName && { part: { partId, partName } }),
    ...(change.kind === 'addLeaf' && { camberKnown: change.camberKnown }),
    ...(change.kind === 'eyes' && { form: change.form }),
    ...(change.kind === 'coil' && { ends: change.ends, used: change.used }),
    ...(change.kind === 'pack' && { pack: change }),
  };
}
