import { SIDES, type Side } from '../vehicle/side';
import { type HubDrop } from './hubTravel';
import { type Fittings, type TravelRead } from './limits';
import { LITTLE_TRAVEL, STOP_MARGIN, travelRowsOf, worseSide, type TravelVerdict } from './travelRows';

export interface ShockSize {
  /** Bolt to bolt, mm. */
  shut: number;
  open: number;
}

export interface RankedShock<P> {
  part: P;
  /** Left when the stop is solid, and travel down from where it sits, of the worse side, mm; null where not told. */
  above: number | null;
  below: number | null;
  /** Neither row is a misfit, and neither is short of what is asked. */
  fits: boolean;
}

/**
 * Shocks by what they leave both ways: the one whose tighter end has most to spare comes first. One that is shut before the stop is solid, or open
 * above where the axle sits, comes last but is not hidden. @param sits place of each hub in the load looked at
 */
export function rankShocks<P extends ShockSize>(
  parts: readonly P[],
  read: Readonly<Record<Side, TravelRead>>,
  sits: Readonly<Record<Side, HubDrop>>,
  fittings: Fittings,
): RankedShock<P>[] {
  const told = (row: TravelVerdict | undefined): number | null => row?.figure?.value ?? null;
  const spare = ({ above, below }: RankedShock<P>): number =>
    Math.min((above ?? 0) - STOP_MARGIN, (below ?? 0) - LITTLE_TRAVEL);
  return parts
    .map((part): RankedShock<P> => {
      const at = { ...fittings, shock: { shut: part.shut, open: part.open } };
      const [left, right] = SIDES.map((side) => travelRowsOf(side, read[side], sits[side], at));
      const rows = worseSide(left!, right!);
      const row = (item: TravelVerdict['item']) => rows.find((r) => r.item === item);
      const both = [row('shockShut'), row('shockLength')];
      return { part, above: told(both[0]), below: told(both[1]), fits: both.every((r) => r?.state === 'fits') };
    })
    .toSorted((p, q) => spare(q) - spare(p));
}

/** A mount moved along the shock, and what it then leaves both ways, mm; plus: its bolts further apart as it stands. */
export interface MountShift {
  by: number;
  above: number;
  below: number;
  /** What the tighter end gains, mm. */
  gain: number;
}

/** Mounts are moved by another hole or an extension plate, at most this far either way, in whole steps, mm. Chosen. */
const SHIFT = { most: 60, step: 2 } as const;

/**
 * By how much another hole or an extension plate would move a mount so that the same shocks leave most at their tighter end. null where too little was
 * read, or where nothing is gained. @param sits place of each hub in the load looked at
 */
export function bestMount(
  read: Readonly<Record<Side, TravelRead>>,
  sits: Readonly<Record<Side, HubDrop>>,
  fittings: Fittings,
): MountShift | null {
  const leaves = (by: number): { above: number; below: number } | null => {
    const moved = (side: Side): TravelRead => {
      const { shockLength, ...rest } = read[side];
      return shockLength === undefined ? rest : { ...rest, shockLength: shockLength + by };
    };
    const [left, right] = SIDES.map((side) => travelRowsOf(side, moved(side), sits[side], fittings));
    const rows = worseSide(left!, right!);
    const told = (item: TravelVerdict['item']) => rows.find((r) => r.item === item)?.figure?.value;
    const [above, below] = [told('shockShut'), told('shockLength')];
    return above === undefined || below === undefined ? null : { above, below };
  };
  const spare = ({ above, below }: { above: number; below: number }) =>
    Math.min(above - STOP_MARGIN, below - LITTLE_TRAVEL);
  const now = leaves(0);
  if (!now) return null;
  let best: MountShift | null = null;
  for (let by = -SHIFT.most; by <= SHIFT.most; by += SHIFT.step) {
    const then = leaves(by);
    if (!then) continue;
    const gain = spare(then) - spare(now);
    if (gain > (best?.gain ?? 1)) best = { by, ...then, gain };
  }
  return best;
}
