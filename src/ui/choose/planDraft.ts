import { type ChangeKind, type ChangeRow } from '@/contracts/plan';
import { type FieldRule } from '@/core/units/parse';
import { countRule, lengthRule, massRule, TURNS_RULE } from '@/core/units/rules';
import { type CoilEnds } from '@/core/mechanics/coil/coil';
import { type Fitted, type HelperDevice } from '@/core/mechanics/helper/curve';
import { type PivotBushKind } from '@/core/suspension/coil/input';
import { type BushEnds, type BushTypeId } from '@/core/bush/types';
import { type SlackItem } from '@/core/travel/survey';
import { type Bend } from '@/core/fastener/uboltOrder';
import { type EyeForm } from '@/core/mechanics/leafpack/eyes';
import { type Typed } from '../measured/TypedField';

type PackChange = Extract<ChangeRow, { kind: 'pack' }>;

interface PlanField {
  id: string;
  label: string;
  rule: FieldRule;
  hint?: string;
}

const GROOVES: FieldRule = { dimension: 'count', unit: 'count', min: -20, max: 20 };

/** What each kind of change asks for. */
export const CHANGES: Record<
  ChangeKind,
  {
    name: string;
    fields: readonly PlanField[];
    forms?: 'eyes' | 'coilEnds' | 'thickEnd' | 'bend' | 'pivotBush' | 'eyeBush' | 'helper';
    inHand?: string;
  }
> = {
  addLeaf: {
    name: 'Leaf added',
    inHand: 'leaf in hand',
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
  wedge: {
    name: 'Wedge',
    forms: 'thickEnd',
    fields: [
      {
        id: 'angle',
        label: 'Angle of the wedge',
        rule: { dimension: 'angle', unit: 'deg', min: 0.003, max: 0.3, expected: 0.05 },
        hint: 'between its faces; never stacked',
      },
      { id: 'height', label: 'Height in the middle', rule: lengthRule(1, 60, 8), hint: 'at the dowel' },
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
    inHand: 'coil in hand',
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
  springs: {
    name: 'Other springs',
    inHand: 'springs in hand',
    fields: [
      { id: 'leaves', label: 'Leaves in one spring', rule: countRule(1, 15) },
      { id: 'full', label: 'Of full length', rule: countRule(1, 15), hint: 'the main leaf counted' },
      { id: 'width', label: 'Leaf width', rule: lengthRule(30, 130, 50) },
      { id: 'thickness', label: 'Leaf thickness', rule: lengthRule(3, 25, 7) },
      { id: 'outer', label: 'Hanger eye to centre bolt', rule: lengthRule(120, 1200, 330) },
      { id: 'inner', label: 'Inner end to centre bolt', rule: lengthRule(120, 1200, 330) },
      {
        id: 'free',
        label: 'Free arch',
        rule: lengthRule(-100, 400, 80),
        hint: 'end to end down to the top face at the bolt, nothing on it',
      },
    ],
  },
  rocker: {
    name: 'Other rocker',
    fields: [
      { id: 'front', label: 'Arm to the front spring', rule: lengthRule(30, 600, 110) },
      { id: 'rear', label: 'Arm to the rear spring', rule: lengthRule(30, 600, 110) },
      { id: 'below', label: 'Pins below the pivot', rule: lengthRule(-150, 200), hint: 'level; minus above it' },
    ],
  },
  slipper: {
    name: 'Slippers',
    fields: [
      {
        id: 'drop',
        label: 'Frame to the slipper’s face',
        rule: lengthRule(-100, 500, 110),
        hint: 'in the holes they are to hang in',
      },
    ],
  },
  riser: {
    name: 'Risers at the hangers',
    fields: [{ id: 'height', label: 'All hangers lower by', rule: lengthRule(0, 300, 50) }],
  },
  hitch: {
    name: 'Coupling higher or lower',
    fields: [{ id: 'by', label: 'Higher by', rule: lengthRule(-400, 400), hint: 'minus is lower' }],
  },
  perch: {
    name: 'Lower seats moved',
    fields: [
      { id: 'pitch', label: 'Groove to groove', rule: lengthRule(2, 60, 10) },
      { id: 'left', label: 'Left, grooves up', rule: GROOVES, hint: 'minus is down' },
      { id: 'right', label: 'Right, grooves up', rule: GROOVES, hint: 'another figure than left sets a lean right' },
    ],
  },
  pivotBush: { name: 'Pivot bushes renewed', fields: [], forms: 'pivotBush' },
  eyeBush: { name: 'Bushes renewed', fields: [], forms: 'eyeBush' },
  crossSpring: {
    name: 'Another spring across',
    inHand: 'spring in hand',
    fields: [
      { id: 'leaves', label: 'Leaves', rule: countRule(1, 12) },
      { id: 'full', label: 'Of full length', rule: countRule(1, 12), hint: 'the main leaf counted' },
      { id: 'width', label: 'Leaf width', rule: lengthRule(25, 130, 45) },
      { id: 'thickness', label: 'Leaf thickness', rule: lengthRule(3, 25, 7) },
      { id: 'half', label: 'Centre bolt to eye', rule: lengthRule(150, 900, 380), hint: 'along the main leaf' },
      { id: 'shortest', label: 'Shortest leaf, half of it', rule: lengthRule(30, 900) },
      {
        id: 'free',
        label: 'Free drop of the eyes',
        rule: lengthRule(-150, 400, 100),
        hint: 'eye line to the near face of the main leaf at the bolt, lying free',
      },
    ],
  },
  spindles: {
    name: 'Lifted spindles',
    fields: [
      {
        id: 'left',
        label: 'Left wheel lower by',
        rule: lengthRule(-150, 300, 50),
        hint: 'than on the spindle there now',
      },
      { id: 'right', label: 'Right wheel lower by', rule: lengthRule(-150, 300, 50) },
    ],
  },
  dropAxle: {
    name: 'Drop axle',
    fields: [
      {
        id: 'by',
        label: 'Wheels lower by',
        rule: lengthRule(-150, 300, 75),
        hint: 'than on the beam there now, against the spring’s ends',
      },
    ],
  },
  helper: {
    name: 'Helper springs',
    inHand: 'helper in hand',
    forms: 'helper',
    fields: [
      {
        id: 'gap',
        label: 'Gap under it today',
        rule: lengthRule(-300, 300),
        hint: 'at today’s height, today’s load; minus by what it is pressed',
      },
      { id: 'stroke', label: 'Its stroke', rule: lengthRule(5, 500, 90), hint: 'touching to as far as it may go' },
      { id: 'open', label: 'One carries, open', rule: massRule(0, 20_000), hint: '0 where it only touches' },
      { id: 'quarter', label: 'at a quarter', rule: massRule(0, 20_000) },
      { id: 'half', label: 'at half', rule: massRule(0, 20_000) },
      { id: 'threeQuarters', label: 'at three quarters', rule: massRule(0, 20_000) },
      { id: 'whole', label: 'at its whole stroke', rule: massRule(0, 20_000) },
    ],
  },
  axleWidth: {
    name: 'Axle of another width, pads moved',
    fields: [
      {
        id: 'by',
        label: 'Housing narrower by',
        rule: lengthRule(-400, 400),
        hint: 'flange to flange, both sides together; minus is wider, 0 where only the pads move',
      },
      { id: 'pads', label: 'Pads afterwards, centre to centre', rule: lengthRule(300, 2000, 1100) },
      {
        id: 'hanger',
        label: 'Front hangers carry in by',
        rule: lengthRule(-120, 120),
        hint: 'each; 0 for straight ones',
      },
      { id: 'shackle', label: 'Shackles carry in by', rule: lengthRule(-120, 120), hint: 'each; 0 for straight ones' },
    ],
  },
  swayLinks: { name: 'Sway-bar links renewed', fields: [] },
  wrapBar: { name: 'Anti-wrap bar', fields: [] },
  shearBlock: {
    name: 'Other shear blocks',
    inHand: 'block in hand',
    fields: [
      {
        id: 'rate',
        label: 'Rate of one block',
        rule: { dimension: 'rate', unit: 'N/mm', min: 5, max: 5000, alternatives: ['lbf/in'] },
        hint: 'by its mark or its maker’s sheet',
      },
      { id: 'thick', label: 'Rubber, plate to plate', rule: lengthRule(8, 300, 75) },
      {
        id: 'offset',
        label: 'Free offset',
        rule: lengthRule(-200, 200),
        hint: 'carrier’s side above the frame’s side, nothing on it; minus below',
      },
    ],
  },
  blockHoles: {
    name: 'Carrier in another row of holes',
    fields: [
      {
        id: 'by',
        label: 'Carrier lower by',
        rule: lengthRule(-200, 200),
        hint: 'on its block; minus is higher. Both sides alike',
      },
    ],
  },
  stopPad: {
    name: 'Pad under the bump stop',
    fields: [
      {
        id: 'height',
        label: 'Pad after the work',
        rule: lengthRule(0, 200, 20),
        hint: 'between stop and bracket; 0 takes it out',
      },
    ],
  },
  stopCut: {
    name: 'Bump stop cut shorter',
    fields: [
      { id: 'by', label: 'Shorter by', rule: lengthRule(0, 200), hint: 'off its tip, or another that much lower' },
    ],
  },
  shocks: {
    name: 'Other shocks',
    fields: [
      { id: 'shut', label: 'Shut, bolt to bolt', rule: lengthRule(80, 1000, 340) },
      { id: 'open', label: 'Open, bolt to bolt', rule: lengthRule(100, 1400, 540) },
    ],
  },
  ubolts: {
    name: 'New U-bolts',
    forms: 'bend',
    fields: [
      { id: 'leg', label: 'Leg inside the bend', rule: lengthRule(30, 700, 200), hint: 'from the bend to the end' },
    ],
  },
  line: {
    name: 'Longer line',
    fields: [{ id: 'by', label: 'Slack gained', rule: lengthRule(0, 1000, 40), hint: 'a longer one, or another clip' }],
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

/** Springs of which it is asked whether they are new, and nothing else besides their figures. */
export const isAged = (kind: ChangeKind): boolean =>
  kind === 'springs' || kind === 'crossSpring' || kind === 'shearBlock';

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
  /** Of a wedge. */
  thick?: 'front' | 'rear';
  /** Of other coils. */
  ends?: CoilEnds;
  /** Of other coils and springs. */
  used?: boolean;
  /** A pack is taken from the shelf whole, never typed. */
  pack?: PackChange;
  /** Of new U-bolts. */
  bend?: Bend;
  /** Of pivots. */
  bush?: PivotBushKind;
  /** Of a leaf spring's bushes. */
  eyeBush?: BushTypeId;
  bushEnds?: BushEnds;
  /** Of helper springs. */
  device?: HelperDevice;
  /** Of helper springs that were there before. */
  fitted?: Fitted | undefined;
  /** Which line between frame and axle is longer. */
  item?: SlackItem;
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
  if (line.kind === 'eyeBush') {
    if (!line.eyeBush || !line.bushEnds) return undefined;
    entries.push(['bush', line.eyeBush], ['ends', line.bushEnds]);
  }
  if (line.kind === 'pivotBush') {
    if (!line.bush) return undefined;
    entries.push(['bush', line.bush]);
  }
  if (line.kind === 'helper') {
    if (!line.device) return undefined;
    entries.push(['device', line.device], ['source', line.source]);
    if (line.fitted) entries.push(['fitted', line.fitted]);
  }
  if (line.kind === 'wedge') {
    if (!line.thick) return undefined;
    entries.push(['thick', line.thick]);
  }
  if (line.kind === 'coil') {
    if (!line.ends) return undefined;
    entries.push(['ends', line.ends], ['used', line.used ?? false], ['source', line.source]);
  }
  if (line.kind === 'ubolts') {
    if (!line.bend) return undefined;
    entries.push(['bend', line.bend]);
  }
  if (line.kind === 'line') entries.push(['item', line.item]);
  if (isAged(line.kind)) entries.push(['used', line.used ?? false], ['source', line.source]);
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
  const source = 'source' in change && change.kind !== 'pack' ? change.source : 'measured';
  const { partId, partName } = stored as { partId?: string; partName?: string };
  return {
    key: `stored-${index}`,
    kind: change.kind,
    values,
    source,
    ...(partId && partName && { part: { partId, partName } }),
    ...(change.kind === 'addLeaf' && { camberKnown: change.camberKnown }),
    ...(change.kind === 'eyes' && { form: change.form }),
    ...(change.kind === 'wedge' && { thick: change.thick }),
    ...(change.kind === 'coil' && { ends: change.ends }),
    ...((change.kind === 'coil' || isAged(change.kind)) && 'used' in change && { used: change.used }),
    ...(change.kind === 'pivotBush' && { bush: change.bush }),
    ...(change.kind === 'eyeBush' && { eyeBush: change.bush, bushEnds: change.ends }),
    ...(change.kind === 'helper' && { device: change.device, ...(change.fitted && { fitted: change.fitted }) }),
    ...(change.kind === 'pack' && { pack: change }),
    ...(change.kind === 'line' && { item: change.item }),
    ...(change.kind === 'ubolts' && { bend: change.bend }),
  };
}
