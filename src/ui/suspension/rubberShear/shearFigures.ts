import { type PointId } from '@/core/measure/points';
import { COMMON_FIGURES, commonFigure, type FigureParts, type FigureSet } from '../../figure/figureSet';
import { leader, level, outline, ring, upright, type Figure } from '../../figure/marks';

/** What stands in on a figure for a point that nobody read, mm, Shore A and N/mm. */
const TYPICAL: Partial<Record<PointId, number>> = {
  shearHard: 55,
  shearRate: 100,
  shearRows: 60,
  shearOffset: 0,
  carrierLeaves: 4,
  carrierFull: 2,
};

/** Figures of an axle on rubber shear springs. */
export const SHEAR_FIGURES: FigureSet = {
  names: { ...COMMON_FIGURES.names, block: 'block', carrier: 'leaf' },
  ofGroup: { ...COMMON_FIGURES.ofGroup, shear: 'block', carrier: 'carrier' },
  sided: (id) => id === 'block',
  standIn: () => (point) => TYPICAL[point],
  build: (id, parts) =>
    id === 'block' ? blockFigure(parts) : id === 'carrier' ? carrierFigure(parts) : commonFigure(id, parts),
};

/** The block from the side: carrier's plate in front, frame's plate behind, the rubber leaning between them. */
function blockFigure({ values, field, side }: FigureParts): Figure {
  const of = (point: PointId) => values(point).value;
  const [long, thick] = [of('shearLong'), of('shearThick')];
  const offset = values('shearOffset', side).value;
  const half = long / 2;
  const [top, low] = [half + Math.max(0, offset), -half + Math.min(0, offset)];
  return {
    name: `block, ${side}`,
    front: true,
    scaled: true,
    extent: { left: -long * 0.75, right: thick + long * 0.75, top: top + 16, bottom: low - 16 },
    margin: { left: 44, right: 44, top: 66, bottom: 150 },
    marks: (s) => {
      const given = (point: PointId, sided = false) => ({
        at: field(point, sided ? side : null),
        known: values(point, sided ? side : null).known,
      });
      const px = (x: number, y: number) => ({ x: s.x(x), y: s.y(y) });
      const [rowOne, rowTwo] = [s.y(low) + 30, s.y(low) + 104];
      const middle = s.x(thick / 2);
      const step = Math.max(84, 0.5 * long * s.perMm);
      const known = (['shearLong', 'shearThick'] as const).every((p) => values(p).known);
      const rows = Math.min(of('shearRows'), long * 0.8);
      const plate = 10;
      const hole = (x: number, y: number) => ({ path: ring(px(x, y), 3.5), look: 'outline' as const, known: true });
      return {
        shapes: [
          {
            path: outline([px(0, offset + half), px(thick, half), px(thick, -half), px(0, offset - half)]),
            look: 'steel',
            known: known && values('shearOffset', side).known,
          },
          {
            path: outline([
              px(-plate, offset + half + 8),
              px(0, offset + half + 8),
              px(0, offset - half - 8),
              px(-plate, offset - half - 8),
            ]),
            look: 'outline',
            known,
          },
          {
            path: outline([
              px(thick, half + 8),
              px(thick + plate, half + 8),
              px(thick + plate, -half - 8),
              px(thick, -half - 8),
            ]),
            look: 'outline',
            known,
          },
          hole(-plate / 2, offset + rows / 2),
          hole(-plate / 2, offset - rows / 2),
          hole(thick + plate / 2, rows / 2),
          hole(thick + plate / 2, -rows / 2),
        ],
        dimensions: [
          upright(given('shearLong'), px(0, offset + half), px(0, offset - half), s.x(-long * 0.75) + 4),
          upright(given('shearOffset', true), px(thick + plate / 2, 0), px(0, offset), s.x(thick + long * 0.75) - 4),
          level(given('shearThick'), px(0, low), px(thick, low), rowOne),
          leader(given('shearRows'), px(-plate / 2, offset + rows / 2), { x: middle - step, y: s.y(top) - 40 }),
          leader(given('shearHard'), px(thick * 0.6, half * 0.6), { x: middle + step, y: s.y(top) - 40 }),
          leader(given('shearWide'), px(thick * 0.3, -half * 0.5), { x: middle - step, y: rowTwo }),
          leader(given('shearRate'), px(thick * 0.7, -half * 0.5), { x: middle + step, y: rowTwo }),
        ],
        captions: [
          { x: middle - step - 30, y: s.y(top) - 60, text: 'rows apart' },
          { x: middle + step - 30, y: s.y(top) - 60, text: 'hardness' },
          { x: middle - step - 20, y: rowTwo + 32, text: 'width' },
          { x: middle + step - 34, y: rowTwo + 32, text: 'maker’s rate' },
          { x: s.x(-plate) - 58, y: s.y(offset - half) - 4, text: 'carrier' },
          { x: s.x(thick + plate) + 10, y: s.y(-half) - 4, text: 'frame' },
        ],
      };
    },
  };
}

/** The leaf from the side: fixed eye in front, axle, nose in the carrier behind. */
function carrierFigure({ values, field }: FigureParts): Figure {
  const of = (point: PointId) => values(point).value;
  const [fixed, nose, thick] = [of('carrierFixed'), of('carrierNose'), of('carrierThickness')];
  const leaves = Math.min(12, Math.max(1, Math.round(of('carrierLeaves'))));
  const full = Math.min(leaves, Math.max(1, Math.round(of('carrierFull'))));
  const deep = leaves * thick;
  return {
    name: 'leaf and carrier',
    front: true,
    scaled: true,
    extent: { left: -fixed - 40, right: nose + 110, top: 60, bottom: -deep - 40 },
    margin: { left: 24, right: 24, top: 84, bottom: 76 },
    marks: (s) => {
      const given = (point: PointId) => ({ at: field(point), known: values(point).known });
      const px = (x: number, y: number) => ({ x: s.x(x), y: s.y(y) });
      const row = s.y(-deep - 40) + 30;
      const above = s.y(60) - 34;
      const step = Math.max(64, 0.3 * (fixed + nose) * s.perMm);
      const middle = (s.x(-fixed) + s.x(nose)) / 2;
      const spread = (n: number) => middle + n * step;
      const known = (['carrierFixed', 'carrierNose', 'carrierThickness'] as const).every((p) => values(p).known);
      return {
        shapes: [
          ...Array.from({ length: leaves }, (_, k) => {
            const share = k < full ? 1 : 1 - (k - full + 1) / (leaves - full + 1);
            const [y0, y1] = [-k * thick, -(k + 1) * thick];
            return {
              path: outline([
                px(-fixed * share, y0),
                px(nose * share, y0),
                px(nose * share, y1),
                px(-fixed * share, y1),
              ]),
              look: 'steel' as const,
              known,
            };
          }),
          { path: ring(px(-fixed, -thick / 2), 9), look: 'outline', known: true },
          { path: ring(px(nose, -thick / 2), 7), look: 'outline', known: true },
          { path: ring(px(0, -deep - 22), Math.max(8, 22 * s.perMm)), look: 'outline', known: true },
          {
            path: outline([px(nose - 22, 30), px(nose + 70, 46), px(nose + 70, -deep - 20), px(nose - 22, -34)]),
            look: 'thin',
            known: true,
          },
        ],
        dimensions: [
          level(given('carrierFixed'), px(-fixed, 0), px(0, 0), row),
          level(given('carrierNose'), px(0, 0), px(nose, 0), row),
          leader(given('carrierLeaves'), px(-fixed * 0.1, -deep / 2), { x: spread(-1.5), y: above }),
          leader(given('carrierFull'), px(-fixed * 0.4, -thick / 2), { x: spread(-0.5), y: above }),
          leader(given('carrierWidth'), px(nose * 0.2, 0), { x: spread(0.5), y: above }),
          leader(given('carrierThickness'), px(nose * 0.5, -thick / 2), { x: spread(1.5), y: above }),
        ],
        captions: [
          { x: spread(-1.5) - 20, y: above - 20, text: 'leaves' },
          { x: spread(-0.5) - 30, y: above - 20, text: 'full length' },
          { x: spread(0.5) - 16, y: above - 20, text: 'width' },
          { x: spread(1.5) - 30, y: above - 20, text: 'thickness' },
          { x: s.x(-fixed) - 12, y: s.y(0) - 16, text: 'fixed eye' },
          { x: s.x(nose) - 4, y: s.y(46) - 8, text: 'carrier' },
        ],
      };
    },
  };
}
