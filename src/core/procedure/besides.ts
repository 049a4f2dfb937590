import { each, WHOLE, type Strip } from './common';
import { type Operation } from './operation';
import { type Planned } from './procedure';
import { SIDES } from '../vehicle/side';

/**
 * What a plan changes beside the springs, on any axle: stops, shocks, lines, helpers, links. @param springs whether the springs are worked at too:
 * where they are not, nothing comes off that need not @returns what is done, and how it is known to be
 */
export function besidesSpring(
  planned: readonly Planned[],
  springs: boolean,
): {
  /** What comes off on the way to it. */
  strip: Strip;
  operations: Operation[];
  /** When the axle is in its place again. */
  late: Operation[];
  /** With the weight on. */
  last: Operation[];
  done: Record<string, string[]>;
} {
  const has = (...kinds: string[]) => planned.some(({ kind }) => kinds.includes(kind));
  const operations: Operation[] = [];
  const late: Operation[] = [];
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
  if (has('helper'))
    for (const op of each((side): Operation => ({
      ...{
        id: `helperOn.${side}`,
        side,
        act: 'Helper spring onto its place: brackets bolted to frame and axle, square over one another, clear of tyre, hose, exhaust and drum; what is left under it as planned',
      },
      ...{ needs: { axle: ['held'] }, gives: { [`helper.${side}`]: 'as planned' } },
      caution:
        'Nothing is welded to, drilled in or heated near a leaf. An air line goes clear of heat and is tried for leaks.',
    }))) {
      operations.push(op);
      done[`helper.${op.side}`] = ['as planned'];
    }
  if (has('helperOff'))
    for (const op of each((side): Operation => ({
      ...{
        id: `helperOff.${side}`,
        side,
        act: 'Helper spring and its brackets off; an air helper is let empty first, its line closed',
      },
      ...{ needs: { axle: ['held'] }, gives: { [`helper.${side}`]: 'as planned' } },
      caution: 'Air or rubber that is pressed together throws its bracket: nothing is undone before it is slack.',
    }))) {
      operations.push(op);
      done[`helper.${op.side}`] = ['as planned'];
    }
  if (has('wrapBar')) {
    operations.push({
      ...{
        id: 'wrapBarOn',
        side: null,
        act: 'Anti-wrap bar between axle and frame, its shackle free to swing through the whole travel, bolts run on',
      },
      ...{ needs: { axle: ['held'] }, gives: { wrapBar: 'run on' } },
      loose: 'Pivots of the bar, until the weight is on.',
    });
    done.wrapBar = ['final'];
  }
  if (has('swayLinks'))
    for (const side of SIDES) {
      operations.push({
        ...{ id: `swayOff.${side}`, side, act: 'Sway link off, its washers and bushes laid down in their order' },
        ...{ needs: { axle: ['held'] }, gives: { [`sway.${side}`]: 'out' } },
        caution: 'The bar swings down when its second link lets go of it.',
      });
      late.push({
        ...{ id: `swayOn.${side}`, side, act: 'New sway link on, washers and bushes as they lay, nuts run on only' },
        ...{ needs: { axle: ['held'], [`sway.${side}`]: ['out'] }, gives: { [`sway.${side}`]: 'run on' } },
        loose: 'Sway links, until the axle is located and the weight is on.',
      });
      done[`sway.${side}`] = ['final'];
    }
  const last: Operation[] = [
    ...(has('swayLinks')
      ? each((side): Operation => ({
          ...{ id: `swayFinal.${side}`, side, act: 'Sway link’s nuts to their figure, weight on; both sides alike' },
          needs: { settled: ['yes'], [`sway.${side}`]: ['run on'] },
          gives: { [`sway.${side}`]: 'final' },
        }))
      : []),
    ...(has('wrapBar')
      ? [
          {
            ...{ id: 'wrapBarFinal', side: null, act: 'Pivots of the anti-wrap bar to their figure, weight on' },
            ...{ needs: { settled: ['yes'], wrapBar: ['run on'] }, gives: { wrapBar: 'final' } },
          },
        ]
      : []),
  ];
  const strip: Strip = springs ? WHOLE : { wheels: true, shocks: has('shocks'), lines: has('line') };
  return { strip, operations, late, last, done };
}
