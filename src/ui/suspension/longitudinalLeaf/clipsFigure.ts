import { type PointId } from '@/core/measure/points';
import { leader, level, openLine, outline, type DimensionMark, type Figure, type ShapeMark } from '../../figure/marks';
import { type Values } from '../../figure/values';
import { type FieldOf } from '../../figure/vehicleFigures';

/** Rows of leaves stand this far apart, px; only along a leaf is the figure to scale. */
const ROW = 66;

/** The pack taken apart once more: where leaves thin out, and which of them carries a clip. */
export function clipsFigure(
  values: Values,
  field: FieldOf,
  leafIds: readonly string[],
  read: (point: 'formedFlat' | 'overloadGap') => boolean,
): Figure {
  const [front, rear] = [values('eyeToPinFront').value, values('eyeToPinRear').value];
  return {
    name: 'tips and clips, drawn apart',
    front: true,
    scaled: true,
    extent: { left: -front, right: rear, top: 10, bottom: -10 },
    margin: { left: 62, right: 84, top: 4, bottom: 0 },
    below: 24 + leafIds.length * ROW + 60,
    marks: (s) => {
      const given = (point: PointId, leafId: string | null = null) => ({
        at: field(point, null, leafId),
        known: values(point, null, leafId).known,
      });
      const shapes: ShapeMark[] = [];
      const dimensions: DimensionMark[] = [];
      const first = s.y(-10) + ROW / 2;
      const middle = s.x(0);
      shapes.push({
        path: `M${middle} ${first - 24}V${first + (leafIds.length - 0.4) * ROW}`,
        look: 'thin',
        known: true,
      });
      leafIds.forEach((leafId, i) => {
        const y = first + i * ROW;
        const tips =
          i === 0 ? [front, rear] : [values('leafFront', null, leafId).value, values('leafRear', null, leafId).value];
        const [thick, thin] = [values('leafThickness', null, leafId), values('leafTip', null, leafId)];
        const half = Math.max(3, (thick.value * s.perMm) / 2);
        const end = thin.known ? Math.max(1.2, (thin.value * s.perMm) / 2) : half;
        const [left, right] = [s.x(-tips[0]!), s.x(tips[1]!)];
        shapes.push({
          path: outline([
            { x: left, y: y - end },
            { x: middle, y: y - half },
            { x: right, y: y - end },
            { x: right, y: y + end },
            { x: middle, y: y + half },
            { x: left, y: y + end },
          ]),
          look: 'steel',
          known: thick.known,
        });
        dimensions.push(leader(given('leafTip', leafId), { x: right, y }, { x: s.x(rear) + 46, y }));
        if (i === 0) return;
        dimensions.push(leader(given('leafCamber', leafId), { x: left, y }, { x: s.x(-front) - 34, y }));
        for (const [point, toward] of [
          ['clipFront', -1],
          ['clipRear', 1],
        ] as const) {
          const clip = values(point, null, leafId);
          const reach = tips[toward === -1 ? 0 : 1]!;
          // Where there is none its place is only shown.
          const x = s.x(toward * (clip.known ? clip.value : reach * 0.6));
          if (clip.known)
            shapes.push({
              path: openLine([
                { x: x - 5, y: y + half + 4 },
                { x: x - 5, y: y - half - 12 },
                { x: x + 5, y: y - half - 12 },
                { x: x + 5, y: y + half + 4 },
              ]),
              look: 'outline',
              known: true,
            });
          // Front and rear stand a little apart: on a phone a finger would take one for the other.
          dimensions.push(level(given(point, leafId), { x, y }, { x: middle, y }, y + (toward < 0 ? 14 : 38)));
        }
      });
      const under = first + leafIds.length * ROW;
      const aside = s.x(-front * 0.7);
      dimensions.push(leader(given('clipPlay'), { x: aside, y: under - ROW / 2 }, { x: aside, y: under + 8 }));
      const [flat, gap] = [read('formedFlat'), read('overloadGap')];
      if (flat) {
        const [left, right] = [-1, 1].map((way) => s.x((way * values('formedFlat').value) / 2));
        dimensions.push(level(given('formedFlat'), { x: left!, y: first }, { x: right!, y: first }, first + 30));
      }
      if (gap) {
        const last = leafIds.at(-1);
        const tip = s.x(last && leafIds.length > 1 ? values('leafRear', null, last).value : rear * 0.6);
        dimensions.push(
          leader(given('overloadGap'), { x: tip, y: under - ROW - 10 }, { x: s.x(rear * 0.8), y: under + 8 }),
        );
      }
      return {
        shapes,
        dimensions,
        captions: [
          ...leafIds.map((_, i) => ({
            x: s.x(-front),
            y: first + i * ROW - 12,
            text: i === 0 ? '1 main' : `${i + 1}`,
          })),
          { x: s.x(rear) + 36, y: first - 28, text: 'tips' },
          { x: aside + 26, y: under + 12, text: 'play in the clips' },
          { x: s.x(-front) - 58, y: first - 28, text: 'own camber' },
          ...(flat ? [{ x: s.x(values('formedFlat').value / 2) + 12, y: first + 34, text: 'formed flat' }] : []),
          ...(gap ? [{ x: s.x(rear * 0.8) + 26, y: under + 12, text: 'daylight' }] : []),
        ],
      };
    },
  };
}
