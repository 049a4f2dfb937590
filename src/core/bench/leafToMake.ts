import { requireNumber } from '../errors';
import { curvatureFromCamber, chordUnderCamber, flatWithin } from '../mechanics/leafpack/arc';

/** A leaf as a spring maker forms it, lying free. Lengths mm. */
export interface FormedLeaf {
  /** Along the leaf, tip to tip. */
  arc: number;
  /** Tip to tip in a straight line. */
  chord: number;
  /** Of its mid-surface; null for a straight leaf. */
  radius: number | null;
  /** Formed straight about the pin. */
  flat: number;
  /** Middle line, pin at (0, 0) and lying flat there: x towards the rear, y towards the tips' side. */
  line: { x: number; y: number }[];
  /** From a string across the tips down to the leaf, at places along the string from over the pin; rear positive. */
  ordinates: { along: number; drop: number }[];
}

/** Places drawn on each side of the pin. */
const DRAWN = 24;

/**
 * Shape of a leaf that is to be made, of one even arc or of two arcs beyond a straight middle.
 * @param front @param rear along the leaf from its centre hole, 40 to 2500 mm @param camber string across the tips, mm, tips up
 * positive @param formed straight over the seat, mm @param every spacing of the ordinates, 10 to 500 mm
 */
export function formedLeaf(
  front: number,
  rear: number,
  camber: number,
  formed: number | undefined,
  every: number,
): FormedLeaf {
  requireNumber('front', front, 40, 2500);
  requireNumber('rear', rear, 40, 2500);
  requireNumber('every', every, 10, 500);
  const arc = front + rear;
  const flat = flatWithin(formed, arc) ?? 0;
  const curvature = curvatureFromCamber(camber, chordUnderCamber(arc, camber, flat), flat);
  const half = flat / 2;
  const place = (s: number) => {
    const side = Math.sign(s);
    const bent = Math.max(0, Math.abs(s) - half);
    const straight = Math.min(Math.abs(s), half);
    if (Math.abs(curvature) < 1e-9) return { x: side * (straight + bent), y: 0 };
    const turn = curvature * bent;
    return { x: side * (straight + Math.sin(turn) / curvature), y: (1 - Math.cos(turn)) / curvature };
  };
  const line = Array.from({ length: 2 * DRAWN + 1 }, (_, k) =>
    place(k <= DRAWN ? -front * (1 - k / DRAWN) : (rear * (k - DRAWN)) / DRAWN),
  );
  const [a, b] = [line[0]!, line.at(-1)!];
  const chord = Math.hypot(b.x - a.x, b.y - a.y);
  const along = { x: (b.x - a.x) / chord, y: (b.y - a.y) / chord };
  // Over the pin: its foot on the string.
  const foot = -a.x * along.x - a.y * along.y;
  const onString = (s: number) => {
    const p = place(s);
    const [x, y] = [p.x - a.x, p.y - a.y];
    return { along: x * along.x + y * along.y - foot, drop: x * along.y - y * along.x };
  };
  const dropAt = (wanted: number): number => {
    let [low, high] = [-front, rear];
    for (let k = 0; k < 60; k++) {
      const middle = (low + high) / 2;
      if (onString(middle).along < wanted) low = middle;
      else high = middle;
    }
    return onString((low + high) / 2).drop;
  };
  const steps = (to: number) => Array.from({ length: Math.floor((to - 1) / every) }, (_, k) => (k + 1) * every);
  const places = [
    ...steps(foot)
      .map((v) => -v)
      .reverse(),
    0,
    ...steps(chord - foot),
  ];
  return {
    ...{ arc, chord, radius: Math.abs(curvature) < 1e-9 ? null : 1 / curvature, flat, line },
    ordinates: places.map((at) => ({ along: at, drop: dropAt(at) })),
  };
}
