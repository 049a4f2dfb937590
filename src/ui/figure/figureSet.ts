import { type JobView } from '@/contracts/job';
import { formOf } from '@/core/vehicle/form';
import { type Side } from '@/core/vehicle/side';
import { type Figure } from './marks';
import { type StandIn, type Values } from './values';
import { endFigure, roadFigure, vehicleFigure, type FieldOf } from './vehicleFigures';

/** What a figure is drawn from. */
export interface FigureParts {
  view: JobView;
  values: Values;
  field: FieldOf;
  stateId: string | null;
  side: Side;
}

/** The figures of a measuring sheet: what every axle has, and what a kind of suspension adds. */
export interface FigureSet {
  /** In the order they are picked from. */
  names: Readonly<Record<string, string>>;
  /** Which figure shows a group of the sheet. */
  ofGroup: Readonly<Record<string, string>>;
  /** Drawn for one side at a time. */
  sided: (id: string, view: JobView) => boolean;
  build: (id: string, parts: FigureParts) => Figure | null;
  /** What stands in for a point that nobody read, besides what any axle has. */
  standIn?: (view: JobView) => StandIn;
}

/** Figures of the vehicle itself. */
export const COMMON_FIGURES: Pick<FigureSet, 'names' | 'ofGroup'> = {
  names: { behind: 'behind', vehicle: 'side', road: 'road' },
  ofGroup: { stance: 'behind', weights: 'behind', square: 'vehicle', road: 'road' },
};

export function commonFigure(id: string, { view, values, field }: FigureParts): Figure | null {
  switch (id) {
    case 'behind':
      return endFigure(values, field);
    case 'vehicle':
      return vehicleFigure(values, field, view.axle.position, formOf(view.vehicle.form).hitched);
    case 'road':
      return roadFigure(values, field);
    default:
      return null;
  }
}
