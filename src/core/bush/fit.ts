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
/** How much wider a sleeve may be than its hanger: it springs open that far, mm. Chosen. */
const WIDER = 0.3;

const mm = (v: number) => `${Math.abs(v).toFixed(2)} mm`;

/** How a shell holds in its bore. Sizes in mm (3–300). @throws CoreError `bad-input` at the size */
export function pressFit(bore: number, shell: number): BushFit {
  const press = requireNumber('shell', shell, 3, 300) - requireNumber('eyeBore', bore, 3, 300);
  return {
    ...{ item: 'press', value: press },
    state: press < 0 ? 'does not fit' : press < PRESS.least || press > PRESS.most ? 'look' : 'fits',
    text:
      press < 0
        ? `${mm(press)} loose in the eye: it would turn with its shell`
        : press > PRESS.most
          ? `${mm(press)} over: the eye may open or the shell cave in`
          : `${mm(press)} over`,
  };
}

/** How a bolt goes through its sleeve. Sizes in mm (3–300). @throws CoreError `bad-input` at the size */
export function boltFit(sleeveBore: number, bolt: number): BushFit {
  const play = requireNumber('sleeveBore', sleeveBore, 3, 300) - requireNumber('bolt', bolt, 3, 300);
  return {
    ...{ item: 'bolt', value: play },
    state: play < 0 ? 'does not fit' : play > PLAY ? 'look' : 'fits',
    text: play < 0 ? `the bolt is ${mm(play)} too thick for its sleeve` : `${mm(play)} of play on the bolt`,
  };
}

/** How a sleeve goes between the cheeks. Sizes in mm (3–300). @throws CoreError `bad-input` at the size */
export function widthFit(inside: number, sleeveLength: number): BushFit {
  const gap = requireNumber('hangerWidth', inside, 3, 300) - requireNumber('sleeveLength', sleeveLength, 3, 300);
  return {
    ...{ item: 'width', value: gap },
    state: gap < -WIDER ? 'does not fit' : gap > GAP ? 'look' : 'fits',
    text:
      gap < -WIDER
        ? `the sleeve is ${mm(gap)} wider than the hanger`
        : gap > GAP
          ? `${mm(gap)} to close: a spacer washer, never the bolt, takes that up`
          : `${mm(gap)} to close`,
  };
}

/** Whether a bush goes together with eye, bolt and hanger, each figure by itself. Sizes in mm. */
export const bushFit = (of: {
  eyeBore: number;
  shell: number;
  sleeveBore: number;
  bolt: number;
  sleeveLength: number;
  hangerWidth: number;
}): BushFit[] => [
  pressFit(of.eyeBore, of.shell),
  boltFit(of.sleeveBore, of.bolt),
  widthFit(of.hangerWidth, of.sleeveLength),
];

/**
 * What presses a bush: a pusher that clears the bore, and a receiver that clears the shell, mm across. Chosen: half a millimetre of
 * clearance all round for the pusher, one for the receiver.
 */
export const pressTools = (bore: number, shell: number): { pusher: number; receiver: number } => ({
  pusher: Math.floor(bore - 1),
  receiver: Math.ceil(shell + 2),
});
