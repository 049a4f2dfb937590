import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { crossSheetOf } from '@/contracts/sheet';
import { assembleCross } from '@/core/suspension/transverseLeaf/assemble';

/** A job's axle on one spring across, put together. @param changes the plan's own when left out */
export const assembledCross = (view: JobView, changes?: readonly ChangeRow[]) =>
  assembleCross(crossSheetOf(view, changes));

/** What makes its figure. */
export const NEEDS = 'Its leaves, its halves, where the eyes hang and the load make the figure.';
