import { lengthAtDrop } from './shock';
import { ASSUMED_TRAVEL, type Fittings, type TravelRead } from './limits';
import { LITTLE_TRAVEL, STOP_MARGIN, type TravelItem } from './travelRows';
import { type SlackItem } from './survey';

/** What would put a row right, with a figure to make, cut or order it by. */
export type Mend =
  | { kind: 'stopPad'; height: number }
  /** @param marks that are cut off; null where none are moulded in it */
  | { kind: 'stopCut'; by: number; marks: number | null }
  | { kind: 'shock'; shut: number; open: number }
  | { kind: 'line'; by: number };

/** Sizes to make or order come in steps of this, mm. */
const STEP = 5;
const up = (value: number): number => Math.ceil(value / STEP - 1e-9) * STEP;

/** The fittings with a mend made. */
export function mended(fittings: Fittings, mend: Mend, item: string): Fittings {
  switch (mend.kind) {
    case 'stopPad':
      return { ...fittings, stopPad: mend.height };
    case 'stopCut':
      return { ...fittings, stopCut: mend.by };
    case 'shock':
      return { ...fittings, shock: { shut: mend.shut, open: mend.open } };
    case 'line':
      return { ...fittings, lines: { ...fittings.lines, [item]: mend.by } };
  }
}

/**
 * The smallest thing that gives a row its margin: a pad under the stop where something hard is struck first, a stop cut shorter where nothing of its travel is left free, a longer shock where
 * it would hang the axle, more slack for a line. null where no size mends it.
 * @param margin of the row as it is, beyond its limit, mm
 */
export function mendOf(
  item: TravelItem | SlackItem,
  margin: number,
  half90: number,
  read: TravelRead,
  fittings: Fittings,
): Mend | null {
  switch (item) {
    case 'shockShut':
    case 'axleToFrame':
    case 'tyreToArch':
    case 'tyreAtLock':
    case 'packLimit':
    case 'shackleFlat':
    case 'coilBind':
    case 'shearTravel':
      // Enough also where its band reaches further than the margin asked for.
      return {
        kind: 'stopPad',
        height: up(fittings.stopPad - margin + Math.max(0, half90 - STOP_MARGIN)),
      };
    case 'shockLength': {
      const { shockLength, shockLean, shockShut, shockOpen } = read;
      const [shut, open] = [fittings.shock?.shut ?? shockShut, fittings.shock?.open ?? shockOpen];
      if (shockLength === undefined || shut === undefined || open === undefined) return null;
      // By how much longer it is where the hub stands so much lower.
      const lean = shockLean ?? ASSUMED_TRAVEL.lean.value;
      const wanted = LITTLE_TRAVEL + half90 - margin;
      const more = up(lengthAtDrop(shockLength, lean, wanted) - shockLength);
      return { kind: 'shock', shut: shut + more, open: open + more };
    }
    case 'stopGap': {
      const { stopHeight, stopMarks } = read;
      if (stopHeight === undefined) return null;
      const wanted = fittings.stopCut + LITTLE_TRAVEL - margin;
      const marks = stopMarks === undefined ? null : Math.ceil(wanted / stopMarks - 1e-9);
      const by = marks === null ? up(wanted) : marks * stopMarks!;
      // Of less than half a stop nothing is left that stops.
      return by > 0 && by <= stopHeight / 2 ? { kind: 'stopCut', by, marks } : null;
    }
    case 'coilLoose':
      return null;
    default:
      return { kind: 'line', by: up((fittings.lines[item] ?? 0) - margin) };
  }
}
