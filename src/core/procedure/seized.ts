import { type Side } from '../vehicle/side';
import { type Way } from './common';
import { type Facts, type Needs, type Operation } from './operation';

/** What stands in eyes and pivots, as a flame beside them asks. */
export const bushFacts = ({ metalBushes }: Pick<Way, 'metalBushes'>): Facts => ({
  'bush.left': metalBushes ? 'metal' : 'burns',
  'bush.right': metalBushes ? 'metal' : 'burns',
});

/**
 * Bolts that have rusted in are freed before they are drawn out: by heat where nothing beside them burns, else cut. Common practice.
 * @param bolts what they are called @param needs how far the spring must be @returns nothing where fasteners turn
 */
export function freeing(side: Side, bolts: string, { seized, metalBushes }: Way, needs: Needs): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  if (!seized) return [];
  if (seized === 'cut' || !metalBushes)
    return [
      {
        ...{
          id: at('cutBolts'),
          side,
          act: `${bolts} sawn through between eye and cheek, on both sides of the bush; a blade, no flame`,
        },
        ...{ needs, gives: { [at('bolts')]: 'free' } },
        caution: `${seized === 'heat' ? 'Heat was chosen; with rubber or plastic in the eye it is cut. ' : ''}Glasses on. Neither leaf nor hanger is nicked: a nick is where it breaks.`,
      },
    ];
  return [
    {
      ...{
        id: at('shield'),
        side,
        act: 'Hoses, wires and what else burns tied away and behind a wet sheet; grease wiped off; extinguisher in reach, somebody who watches',
      },
      ...{ needs: { ...needs, lines: ['free'] }, gives: { [at('guard')]: 'up' }, holds: true },
    },
    {
      ...{ id: at('heatBolts'), side, act: `${bolts}: the nut alone heated until it turns, never the leaf beside it` },
      needs: { ...needs, [at('guard')]: ['up'], lines: ['free'] },
      gives: { [at('flame')]: 'lit' },
      caution: 'A leaf that was heated has lost its temper: it goes out. Tank, hoses and fumes first, then the flame.',
    },
    {
      ...{ id: at('coolBolts'), side, act: 'Flame out, nut backed off while it is warm, left to cool by itself' },
      needs: { [at('flame')]: ['lit'] },
      gives: { [at('flame')]: 'cold', [at('bolts')]: 'free', [at('guard')]: 'down' },
    },
  ];
}
/** What drawing a bolt out asks where it had rusted in. */
export const freed = (side: Side, { seized }: Way): Record<string, string[]> =>
  seized ? { [`bolts.${side}`]: ['free'] } : {};
