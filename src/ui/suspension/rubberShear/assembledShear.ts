import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { shearSheetOf } from '@/contracts/sheet';
import { assembleShear } from '@/core/suspension/rubberShear/assemble';

/** A job's axle on rubber shear springs, put together. @param changes the plan's own when left out */
export const assembledShear = (view: JobView, changes?: readonly ChangeRow[]) =>
  assembleShear(shearSheetOf(view, changes));

/** What makes its figure. */
export const NEEDS = 'The rubber’s sizes, where the carrier stands, its leaf and the load make the figure.';
