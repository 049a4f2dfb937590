import { type PointId } from '@/core/measure/points';
import {
  leader,
  level,
  openLine,
  outline,
  upright,
  type DimensionMark,
  type Figure,
  type ShapeMark,
} from '../../figure/marks';
import { type Values } from '../../figure/values';
import { type FieldOf } from '../../figure/vehicleFigures';

/** Rows of leaves stand this far apart, px; only along a leaf is the figure to scale. */
const ROW = 58;

/** The pack taken apart: every leaf straight, to scale along its length, centre bolt on one line. */
export function leavesFigure(values: Values, field: FieldOf, leafIds: readonly string[]): Figure {
  const front = values('eyeToPinFront').value;
  const rear = values('eyeToPinRear').value;
  const width = values('leafWidth');
  return {
    name: 'leaf by leaf, drawn apart',
    front: true,
    scaled: true,
    extent: { left: -front, right: rear, top: width.value / 2, bottom: -width.value / 2 },
    margin: { left: 20, right: 92, top: 22, bottom: 0 },
    below: 24 + leafIds.length * ROW + 70,
    marks: (s) => {
      const given = (point: PointId, leafId: string | null = null) => ({
        at: field(point, null, leafId),
        known: values(point, null, leafId).known,
      });
      const shapes: ShapeMark[] = [];
      const dimensions: DimensionMark[] = [];
      const plan = { left: s.x(-front), right: s.x(rear), top: s.y(width.value / 2), bottom: s.y(-width.value / 2) };
      const corner = (x: number, y: number) => ({ x, y });
      shapes.push({
        path: outline([
          corner(plan.left, plan.top),
          corner(plan.right, plan.top),
          corner(plan.right, plan.bottom),
          corner(plan.left, plan.bottom),
        ]),
        look: 'steel',
        known: width.known,
      });
      const mid = (plan.top + plan.bottom) / 2;
      const dim = upright(
        given('leafWidth'),
        corner(plan.right, plan.top),
        corner(plan.right, plan.bottom),
        plan.right + 14,
      );
      dimensions.push({ ...dim, x: plan.right + 52, y: mid });
      const first = plan.bottom + 24 + ROW / 2;
      shapes.push({
        path: `M${s.x(0)} ${plan.top - 8}V${first + leafIds.length * ROW - 12}`,
        look: 'thin',
        known: true,
      });
      // Over the last leaf, and on its tip: what lies there is told under the pack.
      const gap = first + (leafIds.length - 1.5) * ROW + ROW / 3;
      const last = leafIds.length > 1 ? leafIds.at(-1)! : null;
      const tip = last ? values('leafRear', null, last).value : rear;
      const under = first + leafIds.length * ROW + 6;
      dimensions.push(
        leader(given('leafLiner'), corner(s.x(-tip * 0.5), gap), corner(s.x(-front * 0.45), under)),
        leader(given('tipPad'), corner(s.x(tip * 0.95), gap), corner(s.x(rear * 0.45), under)),
      );
      leafIds.forEach((leafId, i) => {
        const y = first + i * ROW;
        const thickness = values('leafThickness', null, leafId);
        const tips =
          i === 0
            ? [values('eyeToPinFront'), values('eyeToPinRear')]
            : [values('leafFront', null, leafId), values('leafRear', null, leafId)];
        const thick = Math.max(3, thickness.value * s.perMm);
        const [left, right] = [s.x(-tips[0]!.value), s.x(tips[1]!.value)];
        shapes.push({
          path: outline([
            corner(left, y - thick / 2),
            corner(right, y - thick / 2),
            corner(right, y + thick / 2),
            corner(left, y + thick / 2),
          ]),
          look: 'steel',
          known: thickness.known && tips[0]!.known && tips[1]!.known,
        });
        const gauge = upright(
          given('leafThickness', leafId),
          corner(right, y - thick / 2),
          corner(right, y + thick / 2),
          right + 8,
        );
        dimensions.push({
          ...gauge,
          path: `${gauge.path}M${right + 8} ${y}H${plan.right + 20}`,
          x: plan.right + 52,
          y,
        });
        if (i === 0) return;
        dimensions.push(level(given('leafFront', leafId), corner(left, y), corner(s.x(0), y), y + 17));
        dimensions.push(level(given('leafRear', leafId), corner(s.x(0), y), corner(right, y), y + 17));
      });
      return {
        shapes,
        dimensions,
        captions: [
          ...leafIds.map((_, i) => ({
            x: s.x(-front),
            y: first + i * ROW - 8,
            text: i === 0 ? '1 main, its tips are the eyes' : `${i + 1}`,
          })),
          { x: s.x(-front * 0.45) - 14, y: under + 26, text: 'liner' },
          { x: s.x(rear * 0.45) - 20, y: under + 26, text: 'tip pad' },
        ],
      };
    },
  };
}

/** The pack on the bench, centre bolt only: its free arch on one side of the vehicle. */
export function benchFigure(values: Values, field: FieldOf, side: 'left' | 'right'): Figure {
  const [front, rear] = [values('eyeToPinFront').value, values('eyeToPinRear').value];
  const arch = values('freeArch', side);
  const depth = arch.value;
  return {
    name: `on the bench, ${side}`,
    front: true,
    scaled: true,
    extent: { left: -front, right: rear, top: Math.max(0, depth) + 20, bottom: Math.min(0, depth) - 30 },
    margin: { left: 20, right: 20, top: 20, bottom: 30 },
    marks: (s) => {
      const curve = Array.from({ length: 41 }, (_, k) => {
        const x = -front + ((front + rear) * k) / 40;
        const share = x < 0 ? x / front : x / rear;
        return { x: s.x(x), y: s.y(depth * share * share) };
      });
      const eyes = s.y(depth);
      return {
        shapes: [
          { path: openLine(curve), look: 'outline', known: arch.known },
          { path: `M${s.x(-front)} ${eyes}H${s.x(rear)}`, look: 'thin', known: true },
        ],
        dimensions: [
          upright(
            { at: field('freeArch', side), known: arch.known },
            { x: s.x(0), y: s.y(0) },
            { x: s.x(0), y: eyes },
            s.x(0) + 40,
          ),
        ],
        captions: [{ x: s.x(-front), y: eyes - 8, text: 'line between the eye centres' }],
      };
    },
  };
}
