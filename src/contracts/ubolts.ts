import { centreBoltLength } from '@/core/fastener/centreBolt';
import { type UboltOrder } from '@/core/fastener/uboltOrder';
import { type NewUbolts } from '@/core/fit/mustFit';
import { uboltFacts, uboltNeed, type UboltFacts } from '@/core/selection/uboltNeed';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { type AxleView } from './job';
import { sheetOf } from './sheet';

/** What was read of a job's U-bolts, for the size of new ones. */
export const uboltsOf = (view: AxleView): UboltFacts =>
  uboltFacts(
    sheetOf(view, []),
    view.pack.uboltBend,
    view.readings.find((r) => r.point === 'uboltThread' && r.phase === 'before')?.typed ?? null,
  );

/** How much of a centre bolt stands out too far once its nut is on, mm; null while the pack is not known. @param under its length under the head, mm */
export function boltTailOf(view: AxleView, under: number): number | null {
  const depth = uboltOrdersOf(view)?.[0]?.working.find((line) => line.label === 'leaves as built')?.value;
  return depth === undefined ? null : under - centreBoltLength(depth, NUT.height, NUT.pitch).most;
}
/** Of a centre bolt's nut, mm. Chosen, as of an M8 to M10. */
export const NUT = { height: 10, pitch: 1.5 };

/** The U-bolts that the plan as it stands needs; null while the pack is not known or it is no leaf spring. */
export function uboltOrdersOf(view: AxleView): UboltOrder[] | null {
  if (view.axle.suspension !== 'longitudinalLeaf') return null;
  const { input } = assemble(sheetOf(view));
  return uboltNeed(input, input.changes, uboltsOf(view));
}

/** Whether the new U-bolts of a plan span the stack that it makes; null where it holds none. */
export function newUbolts(view: AxleView): NewUbolts | null {
  const set = view.plan.changes.findLast((c) => c.kind === 'ubolts');
  if (!set) return null;
  const order = uboltOrdersOf(view)?.find((o) => o.bend === set.bend);
  if (!order)
    return { state: 'look', text: 'New U-bolts; what they clamp is not read far enough to say whether they reach.' };
  const text = `New U-bolts with a leg of ${set.leg.toFixed(0)} mm; the stack as planned takes ${order.leg.toFixed(0)} to ${order.legMost.toFixed(0)} mm.`;
  const fits = set.leg >= order.leg - 0.5 && set.leg <= order.legMost + 0.5;
  return { state: fits ? 'fits' : 'does not fit', text };
}
