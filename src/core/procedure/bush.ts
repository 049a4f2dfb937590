import { type BushTypeId, BUSH_TYPES } from '../bush/types';
import { type Side } from '../vehicle/side';
import { type Way } from './common';
import { type Needs, type Operation } from './operation';

/** How an old bush comes out, by what becomes of its shell. */
const OUT: Record<(typeof BUSH_TYPES)[BushTypeId]['shell'], string> = {
  out: 'pressed out with its shell; one that has rusted in is sawn through from inside and folded in, its hole not nicked',
  kept: 'sleeve and rubber pressed out, the outer shell left in; cleaned bright inside',
  none: 'driven out, the hole cleaned bright and felt for ridges',
};
/** How each kind goes in. Common practice; its maker's sheet comes first. */
const IN: Record<BushTypeId, string> = {
  bonded:
    'pressed in square by its shell, never by rubber or sleeve, marks as on the old one; flush on both sides; dry',
  polyurethane:
    'greased with its maker’s grease, halves pushed in by hand or a clamp, sleeve last; collars proud on both sides',
  nylon: 'pressed in cold by bolt and washers, not hammered; the bolt turns in it by hand',
  bronze:
    'its grease way over the nipple’s hole, pressed in square, reamed until the bolt turns by hand; greased through',
  threaded: 'screwed in with its pin, centred so that both ends stand out alike; greased, wheels off the ground',
};

/** How the press goes by: what a shop presses with. */
const pressed = ({ tools }: Way): string =>
  tools === undefined || tools.has('press')
    ? 'Press: pusher smaller than the hole, receiver wider than the shell'
    : 'No press at hand: a clamp or a long bolt with a pusher smaller than the hole and a receiver wider than the shell';

/** One side's bushes out and in, by the kind of the new ones. @param where what they sit in @param needs how far it must be apart @returns both operations; `newBush` is in afterwards */
export function bushWork(side: Side, type: BushTypeId, where: string, way: Way, needs: Needs): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  return [
    {
      ...{ picture: true, id: at('bushOut'), side, act: `${where}: old bush ${OUT[BUSH_TYPES[type].shell]}` },
      ...{ needs, gives: { [at('newBush')]: 'out' } },
      mark: 'How far the old one stands out on each side, and where its marks lie.',
      caution: `${pressed(way)}. Nobody in line with it; glasses on. No flame at rubber or plastic.`,
    },
    {
      ...{ id: at('bushIn'), side, act: `${where}: new bush, ${BUSH_TYPES[type].name}, ${IN[type]}` },
      ...{ needs: { [at('newBush')]: ['out'] }, gives: { [at('newBush')]: 'in' } },
    },
  ];
}
