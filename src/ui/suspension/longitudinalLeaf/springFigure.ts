import { hungEye, padFace, type Elevation } from '@/core/suspension/longitudinalLeaf/elevation';
import { type Side } from '@/core/vehicle/side';
import { type PointId } from '@/core/measure/points';
import { along, angle, leader, level, openLine, ring, upright, type Figure, type ShapeMark } from '../../figure/marks';
import { type Values } from '../../figure/values';
import { type FieldOf } from '../../figure/vehicleFigures';

/** The spring as solved, from the side: arch, lengths from the pin, eyes and shackle. */
export function springFigure(values: Values, field: FieldOf, side: Side, drawing: Elevation, whole: boolean): Figure {
  const { frontEye, rearEye, seat, pivot, leaves, stack, turned } = drawing;
  const hung = hungEye(drawing);
  // Where nothing hangs, the pad stands over the end.
  const rear = pivot ?? { x: rearEye.x + 40, y: rearEye.y + 14 };
  const all = leaves.flatMap((l) => l.points);
  const top = Math.max(rear.y, ...all.map((p) => p.y), frontEye.y) + 20;
  const bottom = Math.min(...all.map((p) => p.y)) - 24;
  return {
    name: `spring, ${side}`,
    front: true,
    scaled: true,
    extent: { left: Math.min(frontEye.x, rear.x) - 30, right: Math.max(rearEye.x, rear.x) + 30, top, bottom },
    // Room for the shackle's figures on its side.
    margin: turned ? { left: 96, right: 24, top: 72, bottom: 74 } : { left: 24, right: 96, top: 72, bottom: 74 },
    marks: (s) => {
      const px = (p: { x: number; y: number }) => ({ x: s.x(p.x), y: s.y(p.y) });
      const given = (point: PointId, of: Side | null = null) => ({
        at: field(point, of),
        known: values(point, of).known,
      });
      const share = (seat.x - frontEye.x) / (rearEye.x - frontEye.x);
      const eyeLine = frontEye.y + (rearEye.y - frontEye.y) * share;
      const shapes: ShapeMark[] = leaves.map((leaf) => ({
        path: openLine(leaf.points.map(px)),
        look: 'outline',
        known: whole,
      }));
      shapes.push(
        pivot
          ? { path: openLine([px(hung), px(pivot)]), look: 'outline', known: values('shackleLength').known }
          : { path: openLine(padFace(rearEye, drawing.pad ?? 0).map(px)), look: 'outline', known: true },
      );
      const bore = Math.max(6, (values('eyeBore').value / 2) * s.perMm);
      shapes.push({ path: ring(px(frontEye), bore), look: 'outline', known: values('eyeBore').known });
      if (pivot) {
        shapes.push({ path: ring(px(rearEye), bore), look: 'outline', known: values('eyeBore').known });
        shapes.push({ path: ring(px(pivot), 4), look: 'outline', known: true });
      }
      shapes.push({ path: openLine([px(frontEye), px(rearEye)]), look: 'thin', known: true });
      const under = s.y(bottom) + 10;
      const above = s.y(top) - 30;
      const pin = { x: seat.x, y: seat.y + stack.main / 2 };
      const archAt = upright(given('loadedArch', side), px(pin), { x: s.x(pin.x), y: s.y(eyeLine) }, s.x(pin.x));
      return {
        shapes,
        dimensions: [
          { ...archAt, x: archAt.x + 46 },
          level(given('eyeToPinFront'), px(frontEye), px(seat), under),
          level(given('eyeToPinRear'), px(seat), px(rearEye), under),
          level(given('eyeToEye'), px(frontEye), px(rearEye), under + 46),
          leader(
            given('eyeBore'),
            { x: s.x(frontEye.x), y: s.y(frontEye.y) - bore },
            { x: s.x(frontEye.x) + 44, y: above },
          ),
          leader(
            given('eyeBoreRear'),
            { x: s.x(rearEye.x), y: s.y(rearEye.y) - bore },
            { x: s.x(rearEye.x) - 96, y: above },
          ),
          ...(pivot
            ? [
                along(given('shackleLength'), px(hung), px(pivot), hung.y < pivot.y === !turned ? -22 : 22),
                angle(given('shackleAngle'), px(hung), px(turned ? rearEye : frontEye), px(pivot), 34),
              ]
            : []),
        ],
        captions: [],
      };
    },
  };
}
