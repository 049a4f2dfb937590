import { rockerSpots, springLine, type PairShape } from '@/core/suspension/tandem/elevation';
import { type Scale } from '../../drawing/scale';
import { openLine, outline, ring } from '../../figure/marks';

interface Spot {
  x: number;
  y: number;
}

/** One piece of the pair as a path, and what it is drawn with. */
export interface PairPiece {
  part: string;
  path: string;
  look: 'leaf' | 'steel' | 'line' | 'hole';
  /** Stroke of a leaf, mm. */
  thick?: number;
}

/** Width of a hanger at the frame, and of its tip, mm: only indicated, nobody measures it. */
const HANGER = { top: 34, tip: 14 };
const SHACKLE = 11;

/** Two lines round a link, mm. */
function link(from: Spot, to: Spot, half: number, s: Scale): string {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [dx, dy] = [((to.y - from.y) / length) * half, (-(to.x - from.x) / length) * half];
  return outline(
    [
      { x: from.x + dx, y: from.y + dy },
      { x: to.x + dx, y: to.y + dy },
      { x: to.x - dx, y: to.y - dy },
      { x: from.x - dx, y: from.y - dy },
    ].map((p) => ({ x: s.x(p.x), y: s.y(p.y) })),
  );
}

/** Springs, hangers, rocker or slippers and axles of a pair, from the frame’s lower edge at 0 down. Front is left. */
export function pairPieces(shape: PairShape, s: Scale): PairPiece[] {
  const px = (p: Spot) => ({ x: s.x(p.x), y: s.y(p.y) });
  const pieces: PairPiece[] = [];
  const hole = (p: Spot, r: number, part: string) =>
    pieces.push({ part, path: ring(px(p), Math.max(3.5, r * s.perMm)), look: 'hole' });
  const hanger = (at: Spot) =>
    pieces.push({
      part: 'hanger',
      path: openLine(
        [
          { x: at.x - HANGER.top, y: 0 },
          { x: at.x - HANGER.tip, y: at.y },
          { x: at.x + HANGER.tip, y: at.y },
          { x: at.x + HANGER.top, y: 0 },
        ].map(px),
      ),
      look: 'steel',
    });
  const rocker = rockerSpots(shape);
  const lines = { front: springLine(shape, 'front'), rear: springLine(shape, 'rear') };
  if (rocker) hanger(rocker.pivot);
  for (const end of ['front', 'rear'] as const) {
    const { eye, inner, line, seat, hub } = lines[end];
    hanger(eye);
    if (!rocker) {
      // The face the end bears on, on a short bracket.
      const face = 30;
      pieces.push({
        part: 'slipper',
        path: openLine(
          [
            { x: inner.x - face, y: 0 },
            { x: inner.x - face, y: inner.y },
            { x: inner.x + face, y: inner.y },
            { x: inner.x + face, y: 0 },
          ].map(px),
        ),
        look: 'steel',
      });
    }
    // Leaves from the main leaf down, each shorter; seen through nothing.
    const { leaves, thickness } = shape;
    for (let leaf = leaves - 1; leaf >= 0; leaf--) {
      const share = leaf === 0 ? 1 : (leaves - leaf) / leaves;
      const half = (line.length - 1) / 2;
      const part = line
        .filter((_, k) => Math.abs(k - half) <= share * half + 1e-9)
        .map((p) => ({ x: p.x, y: p.y - (leaf + 0.5) * thickness }));
      pieces.push({ part: 'leaf', path: openLine(part.map(px)), look: 'leaf', thick: thickness });
    }
    const up = shape.over ? 1 : -1;
    const packFoot = seat.y - leaves * thickness;
    const ends = shape.over
      ? { from: hub.y + shape.tube / 2, to: packFoot }
      : { from: hub.y - shape.tube / 2, to: seat.y };
    const wide = 40;
    pieces.push({
      part: 'perch',
      path: outline(
        [
          { x: hub.x - wide, y: ends.to },
          { x: hub.x + wide, y: ends.to },
          { x: hub.x + wide * 0.6, y: ends.from - up * 6 },
          { x: hub.x - wide * 0.6, y: ends.from - up * 6 },
        ].map(px),
      ),
      look: 'steel',
    });
    pieces.push({ part: 'tube', path: ring(px(hub), (shape.tube / 2) * s.perMm), look: 'hole' });
    const far = shape.over
      ? { top: seat.y + 14, low: hub.y - shape.tube / 2 }
      : { top: hub.y + shape.tube / 2, low: packFoot - 14 };
    for (const side of [-1, 1])
      pieces.push({
        part: 'ubolt',
        path: openLine([
          px({ x: hub.x + side * (shape.tube / 2 + 6), y: far.top }),
          px({ x: hub.x + side * (shape.tube / 2 + 6), y: far.low }),
        ]),
        look: 'line',
      });
    pieces.push({ part: 'hub', path: ring(px(hub), 3), look: 'hole' });
    hole(eye, 14, 'eye');
    if (rocker) {
      const pin = rocker[end];
      pieces.push({ part: 'shackle', path: link(pin, inner, SHACKLE, s), look: 'steel' });
      hole(inner, 12, 'eye');
    }
  }
  if (rocker) {
    const { pivot, front, rear } = rocker;
    pieces.push({
      part: 'rocker',
      path: outline(
        [
          { x: front.x - 16, y: front.y - 4 },
          { x: front.x - 6, y: front.y + 16 },
          { x: pivot.x - 14, y: pivot.y + 26 },
          { x: pivot.x + 14, y: pivot.y + 26 },
          { x: rear.x + 6, y: rear.y + 16 },
          { x: rear.x + 16, y: rear.y - 4 },
          { x: rear.x + 2, y: rear.y - 15 },
          { x: pivot.x, y: pivot.y - 18 },
          { x: front.x - 2, y: front.y - 15 },
        ].map(px),
      ),
      look: 'steel',
    });
    hole(pivot, 15, 'pivot');
    hole(front, 11, 'pin');
    hole(rear, 11, 'pin');
  }
  return pieces;
}
