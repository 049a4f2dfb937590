import { type UboltPart } from '../fastener/uboltOrder';
import { type EyeForm } from '../mechanics/leafpack/eyes';
import { type PartKind, type PartLeaf } from '../parts/kinds';

/** A part as the search sees it; lengths mm, load kg, price in the shop's own money. */
export interface StockPart {
  id: string;
  kind: PartKind;
  name: string;
  /** Of one piece; null when nobody knows. */
  price: number | null;
  /** Until it is here: 0 when enough lie on the shelf; null when nobody knows. */
  days: number | null;
  used: boolean;
  rating: number | null;
  form: EyeForm | null;
  width: number | null;
  leaves: readonly PartLeaf[];
  /** Assembled, lying free, to the top face. */
  freeArch: number | null;
  eyeBore: number | null;
  /** Of a block. */
  height: number | null;
  dowel: number | null;
  dowelHole: number | null;
  /** Of a shackle, bolt to bolt, and between its plates. */
  betweenBolts: number | null;
  insideWidth: number | null;
  /** Of a U-bolt; absent for anything else. */
  ubolt?: UboltPart;
}

/** What a shop's way of working and a job's goal leave open. Null or false = no limit. */
export interface Limits {
  noBlock: boolean;
  /** The old U-bolts must do. */
  keepUbolts: boolean;
  noUsed: boolean;
  /** Nothing that must be made or re-arched. */
  onlyParts: boolean;
  /** For the pair, parts only. */
  mostPrice: number | null;
  mostDays: number | null;
  /** Rating of a spring, kg; a part without one does not pass. */
  leastRating: number | null;
  /** Bounce frequency in the wanted state may be higher than today's by this share at most. */
  harsher: number | null;
  /** Height with the heaviest load at least this, mm above today's in that state. */
  ladenAtLeast: number | null;
}

export const NO_LIMITS: Limits = {
  noBlock: false,
  keepUbolts: false,
  noUsed: false,
  onlyParts: false,
  mostPrice: null,
  mostDays: null,
  leastRating: null,
  harsher: null,
  ladenAtLeast: null,
};

/** The axle a part must suit. */
export interface Suiting {
  width: number;
  front: number;
  rear: number;
  steered: boolean;
  arrangement: 'over' | 'under';
}

/** A pack's width may differ from the seat's by this, its main leaf's halves from the old ones by that, a shackle be wider, a block wider or narrower, mm. Common practice. */
const SUITS = { width: 1.5, half: 25, leafWidth: 1.5, shackle: 6, block: 4 } as const;
/** A block's pin may be this much smaller than its hole, mm; as in the stack. */
const LOOSE = 1.5;

/** Why a part can never be offered for this axle; null when it can. These refusals hold whatever the limits say. */
export function refusal(part: StockPart, axle: Suiting): string | null {
  switch (part.kind) {
    case 'block':
      if (axle.steered) return 'a block never goes on a steered axle';
      if (part.height === null) return 'its height is not known';
      if (part.width === null || Math.abs(part.width - axle.width) > SUITS.block)
        return 'it is not as wide as the spring';
      if (part.dowel === null || part.dowelHole === null) return 'a block needs a locator at both ends';
      if (part.dowel > part.dowelHole) return 'its pin does not go into a hole of its own size';
      if (part.dowelHole - part.dowel > LOOSE) return 'its locators have too much play';
      return null;
    case 'shackle':
      if (part.betweenBolts === null) return 'its length is not known';
      if (part.insideWidth === null) return 'its inside width is not known';
      return part.insideWidth < axle.width || part.insideWidth > axle.width + SUITS.shackle
        ? 'it is too narrow or too wide for this spring'
        : null;
    case 'leaf':
    case 'addLeafSet':
    case 'overload':
      if (part.width === null) return 'its width is not known';
      if (Math.abs(part.width - axle.width) > SUITS.leafWidth) return 'it has another width than the pack';
      if (part.leaves.some((leaf) => leaf.camber === null)) return 'its free camber is not known';
      if (part.leaves.some((leaf) => leaf.front > axle.front + 3 || leaf.rear > axle.rear + 3))
        return 'it is longer than the main leaf';
      return null;
    case 'pack': {
      const main = part.leaves[0];
      if (!main) return 'it has no leaves';
      if (part.width === null || Math.abs(part.width - axle.width) > SUITS.width)
        return 'it has another width than the seat';
      if (Math.abs(main.front - axle.front) > SUITS.half || Math.abs(main.rear - axle.rear) > SUITS.half)
        return 'it is longer or shorter than hanger and shackle allow';
      if (main.eyes !== 'both') return 'its main leaf lacks an eye';
      if (main.camber === null && part.freeArch === null) return 'neither free camber nor free arch is known';
      return null;
    }
    default:
      return 'it does not change the height';
  }
}
