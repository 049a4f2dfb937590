import { SIDES, type Side } from '@/core/vehicle/side';
import { type PointId } from '@/core/measure/points';
import { type FieldAt } from '../measure/fields';
import { type Scale } from '../drawing/scale';
import {
  leader,
  level,
  openLine,
  outline,
  ring,
  upright,
  weight,
  type DimensionMark,
  type Figure,
  type ShapeMark,
} from './marks';
import { type Values } from './values';

/** Names a field of the base or another load state. */
export type FieldOf = (point: PointId, side?: Side | null, leafId?: string | null) => FieldAt;

const pixel = (s: Scale, x: number, y: number) => ({ x: s.x(x), y: s.y(y) });

/** The axle seen from behind: heights, loads, track and spring base. */
export function endFigure(values: Values, field: FieldOf): Figure {
  const track = values('trackWidth');
  const base = values('springBase');
  const half = track.value / 2;
  const side = (name: Side) => {
    const hub = values('groundToHub', name);
    const up = values('hubToLip', name);
    return { x: name === 'left' ? -half : half, hub, up, lip: hub.value + up.value };
  };
  const sides = { left: side('left'), right: side('right') };
  const top = Math.max(sides.left.lip, sides.right.lip);
  const wide = Math.max(sides.left.hub.value, sides.right.hub.value) * 0.32;
  return {
    name: 'from behind',
    front: false,
    scaled: true,
    extent: { left: -half - wide, right: half + wide, top: top + 90, bottom: 0 },
    margin: { left: 106, right: 106, top: 14, bottom: 112 },
    marks: (s) => {
      const shapes: ShapeMark[] = [];
      const dimensions: DimensionMark[] = [];
      const given = (point: PointId, name: Side | null = null) => ({
        at: field(point, name),
        known: values(point, name).known,
      });
      const ground = s.y(0);
      shapes.push({
        path: `M${s.x(-half - wide) - 20} ${ground}H${s.x(half + wide) + 20}`,
        look: 'ground',
        known: true,
      });
      for (const name of SIDES) {
        const { x, hub, up, lip } = sides[name];
        const out = name === 'left' ? -1 : 1;
        const known = hub.known;
        shapes.push({
          path: outline([
            pixel(s, x - wide, 0),
            pixel(s, x - wide, 2 * hub.value),
            pixel(s, x + wide, 2 * hub.value),
            pixel(s, x + wide, 0),
          ]),
          look: 'outline',
          known,
        });
        const inner = -out * (half - base.value / 2);
        shapes.push({
          path: outline([
            pixel(s, x + inner - 35, hub.value + 45),
            pixel(s, x + inner - 35, hub.value + 100),
            pixel(s, x + inner + 35, hub.value + 100),
            pixel(s, x + inner + 35, hub.value + 45),
          ]),
          look: 'steel',
          known: base.known,
        });
        shapes.push({
          path: `M${s.x(x - wide * 1.5)} ${s.y(lip) + 10}Q${s.x(x)} ${s.y(lip) - 10} ${s.x(x + wide * 1.5)} ${s.y(lip) + 10}`,
          look: 'outline',
          known: up.known && known,
        });
        const near = s.x(x + out * wide) + out * 40;
        const far = near + out * 46;
        const hubAt = pixel(s, x, hub.value);
        const lipAt = { x: s.x(x + out * wide * 1.4), y: s.y(lip) };
        dimensions.push(upright(given('hubToLip', name), hubAt, lipAt, near));
        dimensions.push(upright(given('groundToHub', name), { x: near, y: ground }, { x: near, y: hubAt.y }, near));
        dimensions.push(upright(given('groundToLip', name), { x: near, y: ground }, { x: near, y: lipAt.y }, far));
        dimensions.push(weight(given('padLoad', name), { x: s.x(x), y: ground }, ground + 42));
      }
      const axle = (sides.left.hub.value + sides.right.hub.value) / 2;
      for (const dy of [-40, 40])
        shapes.push({
          path: openLine([
            pixel(s, -half + wide, sides.left.hub.value + dy),
            pixel(s, half - wide, sides.right.hub.value + dy),
          ]),
          look: 'outline',
          known: track.known,
        });
      shapes.push({
        path: openLine([
          { x: s.x(-half), y: s.y(sides.left.lip) - 2 },
          { x: s.x(-half + wide * 1.6), y: s.y(top + 80) },
          { x: s.x(half - wide * 1.6), y: s.y(top + 80) },
          { x: s.x(half), y: s.y(sides.right.lip) - 2 },
        ]),
        look: 'thin',
        known: true,
      });
      dimensions.push(weight(given('axleLoad'), { x: s.x(0), y: ground }, ground + 42));
      dimensions.push(
        leader(given('unsprungMass'), pixel(s, 0, axle), { x: s.x(0), y: Math.min(s.y(axle * 0.42), ground - 23) }),
      );
      dimensions.push(
        leader(given('tyreRate'), pixel(s, half - wide * 0.4, 40), { x: s.x(half * 0.5), y: ground - 20 }),
      );
      dimensions.push(
        level(
          given('springBase'),
          pixel(s, -base.value / 2, axle + 100),
          pixel(s, base.value / 2, axle + 100),
          Math.min(s.y(axle + 230), s.y(axle + 100) - 26),
        ),
      );
      dimensions.push(
        level(given('trackWidth'), { x: s.x(-half), y: ground + 66 }, { x: s.x(half), y: ground + 66 }, ground + 88),
      );
      const captions = SIDES.map((name) => ({
        x: s.x(sides[name].x) - 12,
        // At the foot of the tyre: beside its head stand the heights.
        y: ground - 10,
        text: name,
      }));
      return { shapes, dimensions, captions };
    },
  };
}

/** The coupling in the place of a front axle: a post from the ground up to it. */
const couplingShape = (s: Scale, at: { value: number; known: boolean }): ShapeMark => ({
  path: openLine([
    { x: s.x(0) - 14, y: s.y(0) },
    { x: s.x(0), y: s.y(at.value) },
    { x: s.x(0) + 14, y: s.y(0) },
  ]),
  look: 'outline',
  known: at.known,
});

/** The whole vehicle from the left: hub to hub on both sides, and the other axle's arch lips. */
export function vehicleFigure(values: Values, field: FieldOf, position: 'front' | 'rear', hitched = false): Figure {
  const wheelbase = values('hubToHub', 'left').value;
  const hub = values('groundToHub', 'left');
  const own = values('groundToLip', 'left').value;
  const lips = { left: values('otherAxleLip', 'left'), right: values('otherAxleLip', 'right') };
  const other = position === 'rear' ? 0 : wheelbase;
  const out = position === 'rear' ? -1 : 1;
  const top = Math.max(own, lips.left.value, lips.right.value);
  return {
    name: 'from the left',
    front: true,
    scaled: true,
    extent: { left: -hub.value, right: wheelbase + hub.value, top: top + 120, bottom: 0 },
    margin: { left: out < 0 ? 110 : 24, right: out < 0 ? 24 : 110, top: 20, bottom: 110 },
    marks: (s) => {
      const ground = s.y(0);
      const given = (point: PointId, side: Side | null = null) => ({
        at: field(point, side),
        known: values(point, side).known,
      });
      const shapes: ShapeMark[] = [
        { path: `M${s.x(-hub.value) - 16} ${ground}H${s.x(wheelbase + hub.value) + 16}`, look: 'ground', known: true },
        ...(hitched ? [wheelbase] : [0, wheelbase]).map((x): ShapeMark => ({
          path: ring(pixel(s, x, hub.value), hub.value * s.perMm),
          look: 'outline',
          known: hub.known,
        })),
        ...(hitched ? [couplingShape(s, lips.left)] : []),
        ...(hitched ? [wheelbase] : [0, wheelbase]).map((x): ShapeMark => {
          const lip = x === other ? lips.left.value : own;
          return {
            path: `M${s.x(x - hub.value)} ${s.y(lip) + 14}Q${s.x(x)} ${s.y(lip) - 14} ${s.x(x + hub.value)} ${s.y(lip) + 14}`,
            look: 'outline',
            known: x === other ? lips.left.known : values('groundToLip', 'left').known,
          };
        }),
        {
          path: openLine([pixel(s, -hub.value, top + 90), pixel(s, wheelbase + hub.value, top + 90)]),
          look: 'thin',
          known: true,
        },
      ];
      const dimensions: DimensionMark[] = SIDES.map((side, k) => {
        const lip = { x: s.x(other + out * hub.value * 0.9), y: s.y(lips[side].value) };
        const x = s.x(other + out * hub.value) + out * (36 + 48 * k);
        return upright(given('otherAxleLip', side), { x, y: ground }, lip, x);
      });
      SIDES.forEach((side, k) =>
        dimensions.push(
          level(given('hubToHub', side), pixel(s, 0, hub.value), pixel(s, wheelbase, hub.value), ground + 34 + 48 * k),
        ),
      );
      const across = s.x(wheelbase - other) - s.x(other);
      const roof = s.y(top + 90);
      dimensions.push(
        weight(given('otherAxleLoad'), { x: s.x(other), y: ground }, ground + 22),
        ...(hitched
          ? []
          : [
              leader(given('otherAxleRate'), pixel(s, other, hub.value * 1.5), {
                x: s.x(other) + across * 0.32,
                y: roof + 26,
              }),
            ]),
      );
      return { shapes, dimensions, captions: [] };
    },
  };
}

/** Two rulers of ten marks, for what only the driver can tell. */
export function roadFigure(values: Values, field: FieldOf): Figure {
  return {
    name: 'the driver’s marks',
    front: false,
    scaled: false,
    extent: { left: 0, right: 10, top: 1, bottom: 0 },
    margin: { left: 20, right: 70, top: 20, bottom: 20 },
    below: 110,
    marks: (s) => {
      const points = ['rideScore', 'noiseScore'] as const;
      const y = (k: number) => 44 + 64 * k;
      return {
        shapes: points.map((_, k): ShapeMark => ({
          path: `M${s.x(0)} ${y(k)}H${s.x(10)}${Array.from({ length: 11 }, (__, i) => `M${s.x(i)} ${y(k)}v${i % 5 === 0 ? -12 : -7}`).join('')}`,
          look: 'thin',
          known: true,
        })),
        dimensions: points.map((point, k) =>
          leader(
            { at: field(point), known: values(point).known },
            { x: s.x(values(point).value), y: y(k) },
            { x: s.x(10) + 40, y: y(k) },
          ),
        ),
        captions: points.map((point, k) => ({
          x: s.x(0),
          y: y(k) - 18,
          text: point === 'rideScore' ? 'ride: 0 unbearable, 10 like new' : 'quiet: 0 knocks all the time, 10 none',
        })),
      };
    },
  };
}
