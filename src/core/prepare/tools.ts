import { pressTools } from '../bush/fit';
import { spannerFit, spannersFor, type Spanner } from '../fastener/spanner';
import { type Operation } from '../procedure/operation';
import { type ToolKind } from './toolKinds';

export const TOOL_STATES = ['here', 'lent', 'broken', 'lost'] as const;
export type ToolState = (typeof TOOL_STATES)[number];

/** A tool of the shop. `low` and `high`: mm of a stand's top, N·mm of a wrench; null where nobody said. */
export interface Tool {
  kind: ToolKind;
  name: string;
  /** Across flats, mm. */
  across: number | null;
  low: number | null;
  high: number | null;
  /** From notch to notch of a stand, mm. */
  notch: number | null;
  /** kg */
  capacity: number | null;
  state: ToolState;
}

/** Something a job cannot be done without, and how the shop stands with it. */
export interface ToolNeed<T extends Tool = Tool> {
  need: string;
  what: string;
  kind: ToolKind;
  /** The shop's own that serves; null where it has none that is known to. */
  has: T | null;
  /** One that looks as if it served, and why it does not. */
  nearMiss: { name: string; why: string } | null;
  why: string;
}

/** A fastener whose size is known. @param across flats of its nut or head, mm */
export interface SizedFastener {
  name: string;
  across: number;
}

export interface ToolFacts {
  /** Bore and shell of the bushes that are pressed, mm; null where none are, or nobody measured them. */
  pressing: { bore: number; shell: number } | null;
  /** The frame stands on a hoist. */
  onHoist: boolean;
  fasteners: readonly SizedFastener[];
  /** Least and most of the torques written down, N·mm; null while there are none. */
  torques: { least: number; most: number } | null;
  /** On each stand, and on the jack, kg; null where the axle was not weighed. */
  eachStand: number | null;
  lifts: number | null;
  /** Top of the stand at least, mm; null where it was not reckoned. */
  standTop: number | null;
}

/** A click wrench is trusted from a fifth of its range upwards. Common practice. */
const TRUSTED = 0.2;

const tenths = (mm: number): string => mm.toFixed(1);

function spannerNeed<T extends Tool>({ name, across }: SizedFastener, tools: readonly T[]): ToolNeed<T> {
  const own = tools
    .filter((t) => t.kind === 'spanner' && t.state === 'here' && t.across !== null)
    .toSorted((p, q) => Math.abs(p.across! - across) - Math.abs(q.across! - across));
  const fits = own.find((t) => spannerFit(t.across! - across) === 'goes on') ?? null;
  const near = own.find((t) => spannerFit(t.across! - across) === 'near miss: rescue only');
  const right: Spanner | undefined = spannersFor(across, 1)[0];
  return {
    ...{ need: `spanner ${across.toFixed(2)}`, kind: 'spanner', has: fits },
    what: `${right && Math.abs(right.across - across) <= 0.2 ? right.name : `${tenths(across)} mm`}, spanner or socket`,
    why: name,
    nearMiss:
      !fits && near
        ? {
            name: near.name,
            why:
              near.across! > across
                ? `${tenths(near.across! - across)} mm slack: it rounds the nut`
                : `${tenths(across - near.across!)} mm too tight: it does not go on`,
          }
        : null,
  };
}

/** What the steps of a job are done with, and what of it the shop has. Common practice. */
export function toolsFor<T extends Tool>(
  order: readonly Operation[],
  facts: ToolFacts,
  tools: readonly T[],
): ToolNeed<T>[] {
  const has = (...names: string[]) => order.some(({ id }) => names.includes(id.split('.')[0]!));
  const found = (kind: ToolKind, serves: (tool: T) => boolean): T | null =>
    tools.find((t) => t.kind === kind && t.state === 'here' && serves(t)) ?? null;
  const carries = (tool: Tool, kg: number | null): boolean => kg === null || (tool.capacity ?? 0) >= kg;
  const kgText = (kg: number | null) => (kg === null ? '' : `, ${Math.ceil(kg)} kg`);
  const same = (sizes: readonly SizedFastener[]): SizedFastener[] => {
    const names = new Map<string, SizedFastener>();
    for (const { name, across } of sizes) {
      const key = across.toFixed(2);
      const was = names.get(key);
      names.set(key, { name: was ? `${was.name}, ${name}` : name, across });
    }
    return [...names.values()].toSorted((p, q) => p.across - q.across);
  };
  const wrench = facts.torques;
  const reaches = (t: T): boolean =>
    wrench === null ||
    (t.high !== null && t.high >= wrench.most && Math.max(t.low ?? 0, TRUSTED * t.high) <= wrench.least);
  const rows: ToolNeed<T>[] = [
    ...same(facts.fasteners).map((fastener) => spannerNeed(fastener, tools)),
    {
      ...{ need: 'torqueWrench', kind: 'torqueWrench', nearMiss: null, has: found('torqueWrench', reaches) },
      what: wrench ? 'torque wrench for the figures written down' : 'torque wrench',
      why: wrench ? 'least and most in its trusted range' : 'no figure is written down yet',
    },
  ];
  if (has('lift'))
    rows.push(
      {
        ...{ need: 'jack', kind: 'jack', nearMiss: null, why: 'lifts, never holds' },
        what: `jack${kgText(facts.lifts)} at least`,
        has: found('jack', (t) => carries(t, facts.lifts)),
      },
      facts.onHoist
        ? {
            ...{ need: 'hoist', kind: 'hoist', nearMiss: null, why: 'its arms under the frame, on its locks' },
            what: `hoist${kgText(facts.lifts)} at least`,
            has: found('hoist', (t) => carries(t, facts.lifts)),
          }
        : {
            ...{ need: 'stands', kind: 'stand', nearMiss: null, why: 'under the frame, both sides' },
            what: `pair of stands${kgText(facts.eachStand)} each${facts.standTop === null ? '' : `, ${Math.ceil(facts.standTop)} mm high`}`,
            has: found(
              'stand',
              (t) => carries(t, facts.eachStand) && (facts.standTop === null || (t.high ?? 0) >= facts.standTop),
            ),
          },
    );
  if (has('holdAxle'))
    rows.push({
      ...{ need: 'axleStands', kind: 'stand', nearMiss: null, why: 'under both ends of the axle' },
      what: `second pair of stands${kgText(facts.eachStand)} each`,
      has: tools.filter((t) => t.kind === 'stand' && t.state === 'here' && carries(t, facts.eachStand))[1] ?? null,
    });
  if (has('clamp'))
    rows.push({
      ...{ need: 'clamps', kind: 'clamp', nearMiss: null, why: 'the pack while its centre bolt is out' },
      what: 'two clamps that hold the pack, and a drift for its hole',
      has: found('clamp', () => true),
    });
  if (has('bushOut')) {
    const of = facts.pressing ? pressTools(facts.pressing.bore, facts.pressing.shell) : null;
    rows.push({
      ...{ need: 'press', kind: 'press', nearMiss: null, has: found('press', () => true) },
      what: of
        ? `press, pusher up to ${of.pusher} mm across, receiver from ${of.receiver} mm`
        : 'press, with a pusher smaller than the hole and a receiver wider than the shell',
      why: of ? 'a clamp or a long bolt with the same two does as well' : 'measure the bush and its hole at Check',
    });
  }
  if (has('heatBolts'))
    rows.push({
      ...{ need: 'torch', kind: 'other', nearMiss: null, why: 'nuts that have rusted in; nothing beside them burns' },
      ...{ what: 'torch, wet sheet, extinguisher', has: null },
    });
  if (has('compress'))
    rows.push({
      ...{ need: 'compressor', kind: 'compressor', nearMiss: null, why: 'nothing of the unit is undone without it' },
      ...{ what: 'coil compressor for this wire', has: found('compressor', () => true) },
    });
  if (has('coilOff'))
    rows.push({
      ...{
        need: 'compressor',
        kind: 'compressor',
        nearMiss: null,
        why: 'only where the coil is still pressed at droop',
      },
      what: 'coil compressor for this wire',
      has: found('compressor', () => true),
    });
  return rows;
}
