// What the demo's shop works with, and how far one of its jobs is prepared. Made up.
import { dateOf, dayNumber, partLines } from '@/contracts/preparation';
import { type NeededEdit } from '@/contracts/needed';
import { type ToolEdit } from '@/contracts/tool';
import { type Tx } from '@/data/client';
import { insertTool, shopTools } from '@/data/prepare';
import { loadJob } from '@/server/jobs';
import { readArrival, saveNeeded, saveWait, setBay, sizeFastener } from '@/server/prepare';

const BLANK = {
  ...{ across: null, acrossTyped: null, low: null, lowTyped: null, high: null, highTyped: null },
  ...{ notch: null, notchTyped: null, capacity: null, capacityTyped: null, place: '', state: 'here' as const },
  ...{ gone: false, version: 0 },
};
type Made = Pick<ToolEdit, 'kind' | 'name'> & Partial<ToolEdit>;
const TOOLS: readonly Made[] = [
  { kind: 'spanner', name: '17 ring', across: 17, acrossTyped: '17 mm', place: 'wall, second row' },
  { kind: 'spanner', name: '19 socket, long', across: 19, acrossTyped: '19 mm', place: 'red chest' },
  { kind: 'spanner', name: '22 socket', across: 22, acrossTyped: '22 mm', place: 'red chest' },
  { kind: 'spanner', name: '13/16 in ring', across: 20.6375, acrossTyped: '13/16 in', place: 'tin by the door' },
  {
    ...{ kind: 'torqueWrench', name: 'torque wrench, long', low: 40e3, lowTyped: '40 N·m', high: 210e3 },
    ...{ highTyped: '210 N·m', place: 'its case' },
  },
  {
    kind: 'jack',
    name: 'trolley jack',
    capacity: 2000,
    capacityTyped: '2000 kg',
    high: 505,
    highTyped: '505',
    place: 'bay 1',
  },
  {
    ...{ kind: 'stand', name: 'blue stands', capacity: 2500, capacityTyped: '2500 kg', low: 410, lowTyped: '410' },
    ...{ high: 720, highTyped: '720', notch: 31, notchTyped: '31', place: 'bay 1' },
  },
  {
    ...{ kind: 'stand', name: 'low stands', capacity: 1500, capacityTyped: '1500 kg', low: 280, lowTyped: '280' },
    ...{ high: 430, highTyped: '430', notch: 25, notchTyped: '25', place: 'under the bench' },
  },
  { kind: 'clamp', name: 'spring clamps', place: 'hook over the vice', state: 'lent' },
  { kind: 'compressor', name: 'coil compressor, pair', place: 'locked cabinet' },
];

/** The shop's tools, where it has none yet. */
export async function stockTools(tx: Tx, newId: (n: number) => string): Promise<void> {
  if ((await shopTools(tx)).length > 0) return;
  for (const [k, tool] of TOOLS.entries()) await insertTool(tx, { ...BLANK, ...tool, id: newId(k + 1) });
}

interface Line {
  state: NeededEdit['state'];
  source: string;
  /** Days from today. */
  days?: number;
}
const LINES: Readonly<Record<string, Line>> = {
  'plan:addLeaf.0': { state: 'ordered', source: 'spring smith, Vardholm', days: 5 },
  uBolts: { state: 'here', source: 'Skarv steel, by the ferry' },
  uboltNuts: { state: 'here', source: 'Skarv steel, by the ferry' },
  uboltWashers: { state: 'here', source: 'own drawer' },
  centreBolts: { state: 'ordered', source: 'Skarv steel, by the ferry', days: 3 },
  shackleNuts: { state: 'here', source: 'own drawer' },
  shockNuts: { state: 'here', source: 'own drawer' },
};

/** One job on its way into the bay: a leaf at the smith's, bolts on the ferry, oil on the nuts. */
export async function prepareJob(tx: Tx, id: string, newId: () => string): Promise<void> {
  const view = await loadJob(tx, id);
  const today = dayNumber(view.today);
  const stands = (await shopTools(tx)).find((t) => t.name === 'blue stands')!;
  await setBay(tx, id, {
    ...{ id: newId(), bayOn: dateOf(today + 7), rusty: false, soakDays: 3, standId: stands.id, people: null },
    metalBushes: false,
  });
  for (const { need, what, wanted } of partLines(view)) {
    const line = LINES[need];
    if (!line) continue;
    await saveNeeded(tx, id, {
      ...{ id: newId(), need, what, wanted, state: line.state, source: line.source, orders: 'Tibb Marrelow' },
      ...{ dueOn: line.days === undefined ? null : dateOf(today + line.days), shelfItemId: null, version: 0 },
    });
  }
  const ubolts = partLines(view).find((l) => l.need === 'uBolts');
  for (const piece of [1, 2, 3])
    for (const { size, value } of ubolts?.called ?? []) {
      const mm = Math.round(value) + (size === 'threadLength' ? 4 : 1);
      await readArrival(tx, id, { id: newId(), need: 'uBolts', piece, size, typed: String(mm), value: mm });
    }
  const helper = newId();
  await saveWait(tx, id, {
    ...{ id: helper, what: 'drain the rear tank', days: 1, afterWait: null, done: false, struck: false, version: 0 },
  });
  for (const [joint, across, acrossTyped] of [
    ['uBolts', 19, '19 mm'],
    ['frontEye', 21, '21 mm'],
    ['wheelNuts', 22, '22 mm'],
  ] as const)
    await sizeFastener(tx, id, { id: newId(), joint, across, acrossTyped, note: '' });
}
