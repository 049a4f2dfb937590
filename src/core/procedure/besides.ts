import { each } from './common';
import { type Operation } from './operation';
import { type Planned } from './procedure';

/** What a plan changes beside the springs, on any axle: stops, shocks, lines. @returns what is done, and how it is known to be */
export function besidesSpring(planned: readonly Planned[]): {
  operations: Operation[];
  done: Record<string, string[]>;
} {
  const has = (...kinds: string[]) => planned.some(({ kind }) => kinds.includes(kind));
  const operations: Operation[] = [];
  const done: Record<string, string[]> = {};
  if (has('stopPad', 'stopCut'))
    for (const op of each((side): Operation => ({
      ...{
        id: `stop.${side}`,
        side,
        act: 'Bump stop off, cut to its mark or its pad put under; back on, tab in its hole, rocked by hand',
      },
      ...{ needs: { axle: ['held'] }, gives: { [`stop.${side}`]: 'as planned' } },
    }))) {
      operations.push(op);
      done[op.id] = ['as planned'];
    }
  if (has('shocks'))
    for (const op of each((side): Operation => ({
      ...{
        id: `newShock.${side}`,
        side,
        act: 'Upper end of the old shock off, new shock on with its washers and bushes in their order',
      },
      needs: { [`shock.${side}`]: ['out'] },
      gives: { [`newShock.${side}`]: 'as planned' },
    }))) {
      operations.push(op);
      done[op.id] = ['as planned'];
    }
  if (has('line')) {
    operations.push({
      ...{
        id: 'lines',
        side: null,
        act: 'Longer hoses and wires in place of the short ones, clear of everything that moves',
      },
      ...{ needs: { lines: ['free'] }, gives: { longer: 'as planned' } },
      caution: 'Brakes opened are bled and tried before it rolls; licensed practice where it is asked for.',
    });
    done.longer = ['as planned'];
  }
  return { operations, done };
}
