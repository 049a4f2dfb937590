import { type JobView } from '@/contracts/job';
import { readingsAround } from '@/contracts/sheet';
import { ASSUMED } from '@/core/suspension/longitudinalLeaf/assumed';
import { AXLE_CLASSES } from '@/core/sheet/axleClass';
import { type PointId } from '@/core/measure/points';
import { quantityText } from '@/core/units/format';
import { type UnitId } from '@/core/units/units';

const plusMinus = (given: { value: number; half90: number }, unit: UnitId): string =>
  `assumed ${quantityText(given.value, unit)} ± ${quantityText(given.half90, unit)}`;

/** What stands in for a reading that nobody took; undefined where nothing may. */
export function assumedText(view: JobView, point: PointId): string | undefined {
  switch (point) {
    case 'shackleLength':
      return plusMinus(ASSUMED.shackleLength, 'mm');
    case 'shackleAngle':
      return plusMinus(ASSUMED.shackleAngle, 'deg');
    case 'eyeBore':
      return plusMinus(ASSUMED.eyeBore, 'mm');
    case 'tubeDiameter':
      return plusMinus(ASSUMED.tubeDiameter, 'mm');
    case 'perchHeight':
      return plusMinus(ASSUMED.perchHeight, 'mm');
    case 'tyreRate':
      return plusMinus(ASSUMED.tyreRate, 'N/mm');
    case 'trackWidth':
    case 'springBase':
      return `assumed: track ${ASSUMED.trackOverBase.value} × spring base`;
    case 'unsprungMass': {
      const { label, unsprung } = AXLE_CLASSES[view.axle.axleClass];
      return `assumed ${unsprung} kg ± 20 % (${label})`;
    }
    case 'blockHeight':
      return 'assumed: no block';
    case 'otherAxleLip':
    case 'otherAxleLoad': {
      const lent = readingsAround(view).some((r) => r.point === point && !view.readings.includes(r));
      return lent ? 'as read at the other axle of this job' : undefined;
    }
    default:
      return undefined;
  }
}
