import { CoreError } from '../../errors';
import { draw } from '../../estimate/tree';
import { central, extraLoads } from '../../prediction/lines';
import { type Side } from '../../vehicle/side';
import { type TandemAxleInput } from './input';
import { TandemSideModel, type TandemFigures } from './sideModel';
import { taughtPair } from './taught';

/** The pair tried on the road: coupling that much higher, and a bump under the front wheel, negative under the rear one; mm. */
export interface Road {
  hitch: number;
  bump: number;
}

/** How far the coupling is tried up and down, and how high a bump, mm. */
export const ROAD_REACH = { hitch: 150, bump: 100 } as const;
const STEP = 5;

export interface RoadSweep {
  /** At the coupling’s heights, share of the front axle; null where an axle would hang in the air. */
  points: { hitch: number; share: number | null; atStop: boolean }[];
  /** Coupling heights between which the rocker swings free; null without a rocker, or where it never does. */
  free: { from: number; to: number } | null;
}

/**
 * A side of the pair on the road, in one load state, with its plan. Null while its springs are not measured.
 * @param state index of the load state
 */
export function pairOnRoad(
  input: TandemAxleInput,
  side: Side,
  state: number,
): { at: (road: Road) => TandemFigures | null; sweep: () => RoadSweep } | null {
  if (!input.spring || !input.sides[side].spring) return null;
  const drawn = draw(taughtPair(input, side).input, central);
  const model = new TandemSideModel(drawn, side);
  const extra = extraLoads(drawn, drawn.states.length)[state] ?? 0;
  const at = ({ hitch, bump }: Road): TandemFigures | null => {
    try {
      return model.onRoad(drawn.changes, extra, hitch, bump);
    } catch (error) {
      if (error instanceof CoreError) return null;
      throw error;
    }
  };
  return {
    at,
    sweep: () => {
      const count = (2 * ROAD_REACH.hitch) / STEP + 1;
      const points = Array.from({ length: count }, (_, k) => {
        const hitch = k * STEP - ROAD_REACH.hitch;
        const found = at({ hitch, bump: 0 });
        return { hitch, share: found?.share ?? null, atStop: found?.atStop ?? true };
      });
      const swings = points.filter((p) => !p.atStop).map((p) => p.hitch);
      const joined = drawn.changes.every((c) => c.kind !== 'slipper') && input.rocker !== null;
      return { points, free: joined && swings.length > 0 ? { from: swings[0]!, to: swings.at(-1)! } : null };
    },
  };
}
