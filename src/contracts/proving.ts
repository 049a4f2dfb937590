import { functionsFor, type FunctionId } from '@/core/followup/functions';
import { formOf } from '@/core/vehicle/form';
import { type AxleView } from './job';
import { takesSteps } from './orderOfWork';

/** What of a job is tried before the vehicle leaves. */
export function functionsOf(view: AxleView): FunctionId[] {
  const answered = (item: string) => view.survey.find((s) => s.item === item)?.answer;
  return functionsFor({
    wheelsOff: takesSteps(view),
    height: view.plan.changes.length > 0,
    position: view.axle.position === 'front' ? 'front' : 'rear',
    towed: formOf(view.vehicle.form).hitched || view.vehicle.form === 'cart',
    has: (item) => {
      if (item === 'loadValve') {
        const said = view.safety.find((s) => s.item === 'heightSensing')?.answer;
        return said === undefined ? null : said !== 'ok';
      }
      const answer = answered(item);
      return answer === undefined || answer === 'notChecked' ? null : answer !== 'none';
    },
  });
}
