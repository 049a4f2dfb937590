import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { coilKindOf, coilSheetOf } from '@/contracts/sheet';
import { assembleCoil } from '@/core/suspension/coil/assemble';

/** A job's axle on coils put together, of its own kind. @param changes the plan's own when left out */
export function assembledCoil(view: JobView, changes?: readonly ChangeRow[]) {
  switch (coilKindOf(view)) {
    case 'twinBeam':
      return assembleCoil(coilSheetOf('twinBeam', view, changes));
    case 'torsionBeam':
      return assembleCoil(coilSheetOf('torsionBeam', view, changes));
    case 'coilOver':
      return assembleCoil(coilSheetOf('coilOver', view, changes));
    default:
      return assembleCoil(coilSheetOf('coilBeam', view, changes));
  }
}
