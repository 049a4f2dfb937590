import { type Estimate } from '../estimate/estimate';
import { draw } from '../estimate/tree';
import { type LeafAxleInput, type Change } from '../suspension/longitudinalLeaf/input';
import { builtDepth, builtStack } from '../suspension/longitudinalLeaf/built';
import { central } from '../prediction/lines';
import { threadNamed } from '../thread/thread';
import { uboltOrders, type Bend, type UboltOrder } from '../fastener/uboltOrder';
import { ASSUMED } from '../suspension/longitudinalLeaf/assumed';
import { type LeafPoint } from '../suspension/longitudinalLeaf/points';
import { readingAt } from '../sheet/reading';
import { type Sheet } from '../suspension/longitudinalLeaf/sheet';

/** What was read of the U-bolts and of what they clamp besides the stack of the axle. */
export interface UboltFacts {
  plate: Estimate;
  washer: Estimate;
  nut: Estimate;
  pitch: Estimate;
  thread: string | null;
  bend: Bend | null;
}

const assumed = (given: { value: number; half90: number }): Estimate => ({ ...given, origin: 'assumed' });

/** The facts of a sheet; what nobody read stands in as usual and says so. @param threadName as typed at the U-bolts */
export function uboltFacts(sheet: Sheet, bend: Bend | null, threadName: string | null): UboltFacts {
  const read = (point: LeafPoint, fallback: { value: number; half90: number }): Estimate => {
    const value = readingAt(sheet, { point })?.value;
    return value === undefined ? assumed(fallback) : { value, half90: 0.5, origin: 'measured' };
  };
  const thread = threadName === null ? undefined : threadNamed(threadName);
  const pitch = readingAt(sheet, { point: 'uboltPitch' })?.value ?? thread?.pitch;
  return {
    plate: read('plateThickness', ASSUMED.plate),
    washer: assumed(ASSUMED.washer),
    nut: read('uboltNut', { value: ASSUMED.uboltNut, half90: 2 }),
    pitch: pitch ? { value: pitch, half90: 0, origin: 'measured' } : assumed({ value: 1.5, half90: 0.25 }),
    thread: thread?.name ?? null,
    bend,
  };
}

/** The U-bolts an axle needs with some changes made; null while its pack is not known. */
export function uboltNeed(input: LeafAxleInput, changes: readonly Change[], facts: UboltFacts): UboltOrder[] | null {
  if (!input.pack) return null;
  const drawn = draw({ ...input, changes: [...changes] }, central);
  const stack = builtStack(drawn, drawn.changes);
  const perch = changes.findLast((c) => c.kind === 'overAxle');
  const pack = changes.findLast((c) => c.kind === 'pack');
  return uboltOrders({
    ...facts,
    tube: input.tubeDiameter,
    perch: perch ? perch.perch : input.perch,
    block: stack.block,
    wedge: stack.wedge?.height ?? 0,
    pack: builtDepth(drawn, drawn.changes),
    packWidth: (pack?.width ?? input.pack.width).value,
  });
}
