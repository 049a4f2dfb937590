import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { tandemSheetOf } from '@/contracts/sheet';
import { assembleTandem } from '@/core/suspension/tandem/assemble';
import { figureValues } from '../../figure/values';

/** @param changes the plan's own when left out */
export const assembledPair = (view: JobView, changes?: readonly ChangeRow[]) =>
  view.axle.suspension === 'tandemSlipper'
    ? assembleTandem(tandemSheetOf('tandemSlipper', view, changes))
    : assembleTandem(tandemSheetOf('tandemEqualizer', view, changes));

/** Loaded radius of the tyres as read on this side or the other; null where nobody did. */
export const radiusOf = (view: JobView): number | null => {
  const read = figureValues(view, null)('groundToHub', 'left');
  return read.known ? read.value : null;
};
