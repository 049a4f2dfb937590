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
