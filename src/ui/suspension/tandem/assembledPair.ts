import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { tandemSheetOf } from '@/contracts/sheet';
import { assembleTandem } from '@/core/suspension/tandem/assemble';

/** @param changes the plan's own when left out */
export const assembledPair = (view: JobView, changes?: readonly ChangeRow[]) =>
  view.axle.suspension === 'tandemSlipper'
    ? assembleTandem(tandemSheetOf('tandemSlipper', view, changes))
    : assembleTandem(tandemSheetOf('tandemEqualizer', view, changes));
