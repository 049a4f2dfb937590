import { type JobView } from '@/contracts/job';
import { packAt } from '@/contracts/packAt';
import { sheetOf } from '@/contracts/sheet';
import { readingAt } from '@/core/sheet/reading';
import { ASSUMED } from '@/core/suspension/longitudinalLeaf/assumed';
import { type LeafPrediction } from '@/core/suspension/longitudinalLeaf/onPage';
import { LEAF_SHEET, leafPointOf, type LeafPoint } from '@/core/suspension/longitudinalLeaf/points';
import { provisional } from '@/core/suspension/longitudinalLeaf/provisional';
import { COMMON_FIGURES, commonFigure, type FigureSet } from '../../figure/figureSet';
import { has } from '../../measure/fields';
import { clipsFigure } from './clipsFigure';
import { benchFigure, leavesFigure } from './leafFigures';
import { springFigure } from './springFigure';
import { stackFigure, threadFigure } from './stackFigure';

/** What stands in for a point of a leaf spring where the sheet's own defaults tell nothing, mm. */
const TYPICAL: Partial<Record<LeafPoint, number>> = {
  dowelDiameter: 18,
  padHole: 19,
  uboltExposed: 15,
  uboltPitch: 1.5,
  uboltThreaded: 60,
  uboltNut: ASSUMED.uboltNut,
};

/** @param prediction the spring as it stands, solved; its shape is the figure of the spring @param whole solved from readings alone */
export function leafFigures(prediction: LeafPrediction | null, whole: boolean): FigureSet {
  return {
    names: {
      ...COMMON_FIGURES.names,
      ...{
        spring: 'spring',
        stack: 'stack',
        thread: 'thread',
        leaves: 'leaves',
        clips: 'clips',
        bench: 'bench',
      },
    },
    ofGroup: {
      ...COMMON_FIGURES.ofGroup,
      ...{
        arch: 'spring',
        linkage: 'spring',
        stack: 'stack',
        ubolts: 'thread',
        leaves: 'leaves',
        clips: 'clips',
        check: 'bench',
      },
    },
    sided: (id, view) =>
      id === 'spring' || id === 'bench' || ((id === 'leaves' || id === 'clips') && view.own !== null),
    standIn: leafStandIn,
    build: (id, parts) => {
      const { view, values, field, side, stateId } = parts;
      switch (id) {
        case 'stack':
          return stackFigure(values, field, view.axle.arrangement ?? 'over');
        case 'thread':
          return threadFigure(values, field);
        case 'leaves':
          return leavesFigure(
            values,
            field,
            packAt(view, side).leaves.map((l) => l.id),
          );
        case 'clips':
          return clipsFigure(
            values,
            field,
            packAt(view, side).leaves.map((l) => l.id),
            (point) => has(view, point),
          );
        case 'bench':
          return benchFigure(values, field, side);
        case 'spring': {
          const solved = prediction?.sides[side] ?? prediction?.sides.left;
          const state = solved?.states.find((s) => s.id === stateId) ?? solved?.states[0];
          return state?.old ? springFigure(values, field, side, state.old.elevation, whole) : null;
        }
        default:
          return commonFigure(id, parts);
      }
    },
  };
}

/** Typical values of a leaf spring, so that a figure is never blank. */
export const leafStandIn: NonNullable<FigureSet['standIn']> = (view: JobView) => {
  const sheet = sheetOf(view, []);
  const base = sheet.states[0]?.id ?? null;
  const stand = provisional(sheet).sheet;
  return (point, side, leafId, values) => {
    if (point === 'packThickness')
      return view.leaves.reduce((sum, leaf) => sum + values('leafThickness', null, leaf.id).value, 0);
    if (point === 'eyeToEye') return (values('eyeToPinFront').value + values('eyeToPinRear').value) * 0.985;
    if (!(point in LEAF_SHEET)) return undefined;
    const of = point as LeafPoint;
    const provided = readingAt(stand, {
      point: of,
      side: side && (readingAt(stand, { point: of, side, stateId: base }) ? side : 'left'),
      leafId,
      stateId: leafPointOf(of).loaded ? base : null,
    })?.value;
    const assumed = ASSUMED[of as keyof typeof ASSUMED] as { value?: number } | undefined;
    return provided ?? assumed?.value ?? TYPICAL[of];
  };
};
