import { requireNumber } from '../errors';
import { type VerdictState } from '../verdict';

export interface BushFit {
  item: 'press' | 'bolt' | 'width';
  state: VerdictState;
  /** What is over (press) or free (bolt, width), mm. */
  value: number;
  text: string;
}

/** Press fit of a shell in its eye, mm: a little over holds, much over distorts the eye. Chosen; the maker's figure goes before it. */
const PRESS = { least: 0.05, most: 0.35 } as const;
/** Play of a bolt in its sleeve, mm. Chosen. */
const PLAY = 0.6;
/** How much a sleeve may be shorter than the hanger's inside width, mm: more bends the hanger when it is tightened. Chosen. */
const GAP = 1.5;

/** Whether a bush goes together with eye, bolt and hanger, each figure by itself. Sizes in mm. */
export function bushFit(of: {
  eyeBore: number;
  shell: number;
  sleeveBore: number;
  bolt: number;
  sleeveLength: number;
  hangerWidth: number;
}): BushFit[] {
  for (const [field, value] of Object.entries(of)) requireNumber(field, value, 3, 300);
  const press = of.shell - of.eyeBore;
  const play = of.sleeveBore - of.bolt;
  const gap = of.hangerWidth - of.sleeveLength;
  const mm = (v: number) => `${Math.abs(v).toFixed(2)} mm`;
  return [
    {
      ...{ item: 'press', value: press },
      state: press < 0 ? 'does not fit' : press < PRESS.least || press > PRESS.most ? 'look' : 'fits',
      text:
        press < 0
          ? `${mm(press)} loose in the eye: it would turn with its shell`
          : press > PRESS.most
            ? `${mm(press)} over: the eye may open or the shell cave in`
            : `${mm(press)} over`,
    },
    {
      ...{ item: 'bolt', value: play },
      state: play < 0 ? 'does not fit' : play > PLAY ? 'look' : 'fits',
      text: play < 0 ? `the bolt is ${mm(play)} too thick for its sleeve` : `${mm(play)} of play on the bolt`,
    },
    {
      ...{ item: 'width', value: gap },
      state: gap < -0.3 ? 'does not fit' : gap > GAP ? 'look' : 'fits',
      text:
        gap < -0.3
          ? `the sleeve is ${mm(gap)} wider than the hanger`
          : gap > GAP
            ? `${mm(gap)} to close: a spacer washer, never the bolt, takes that up`
            : `${mm(gap)} to close`,
    },
  ];
}
