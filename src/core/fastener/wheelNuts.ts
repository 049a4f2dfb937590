import { requireNumber } from '../errors';
import { GRAVITY } from '../material/steel';
import { SEAT_FRICTION, TYRE_GRIP } from './clamp';

export interface WheelHold {
  /** Turning moment that friction of the wheel on its hub carries, N·mm, and the least of it by friction's own band. */
  holds: number;
  least: number;
  /** What the tyre can ask at most on a dry road, N·mm. */
  asked: number;
}

/**
 * Whether the clamp of all nuts carries braking by friction between wheel and hub, so that no stud is bent or sheared; seats only centre.
 * Friction of clean flat faces and tyre grip from memory.
 * @param stud clamp of one, N (0–1e6) @param studs 3–12 @param circle diameter the studs stand on, mm (60–400)
 * @param mass that rests on the wheel, kg (20–10,000) @param radius of the tyre under load, mm (100–900)
 */
export function wheelHold(stud: number, studs: number, circle: number, mass: number, radius: number): WheelHold {
  requireNumber('clamp', stud, 0, 1e6);
  requireNumber('studs', studs, 3, 12);
  requireNumber('circle', circle, 60, 400);
  requireNumber('mass', mass, 20, 10_000);
  requireNumber('radius', radius, 100, 900);
  const { value, half90 } = SEAT_FRICTION;
  const arm = (studs * stud * circle) / 2;
  return { holds: arm * value, least: arm * (value - half90), asked: TYRE_GRIP * mass * GRAVITY * radius };
}
