import { type FieldRule } from '../units/parse';

/** Where a person stands while reading: the order of walking round a vehicle. */
export const PLACES = [
  { id: 'ground', title: 'On the ground', note: 'wheels down, rolled, as it came in' },
  { id: 'under', title: 'Under it', note: 'weight still on the springs' },
  { id: 'bench', title: 'On the bench', note: 'pack out, or leaf edges cleaned where they sit' },
] as const;
export type PlaceId = (typeof PLACES)[number]['id'];

/** Some points that are read together; each group buys an answer. */
export interface PointGroup {
  id: string;
  place: PlaceId;
  title: string;
  buys: string;
}

export interface Point {
  /** Which group of the sheet it stands in. */
  group: string;
  label: string;
  howTo: string;
  rule: FieldRule;
  /** Read on each side of the vehicle. */
  sided: boolean;
  /** Read on each leaf. */
  perLeaf: boolean;
  /** Only means something in a stated load state. */
  loaded: boolean;
  /** Of the spring itself: read for each side where its springs are unlike. */
  ofSpring: boolean;
  /** In the minimal set; everything else only narrows the band or is checked. */
  minimal: boolean;
  /** 90 % half-width of a reading with tape or caliper, core units. Common practice. */
  half90: number;
}

export const point = <G extends string>(
  group: G,
  label: string,
  howTo: string,
  rule: FieldRule,
  half90: number,
  more: Partial<Pick<Point, 'sided' | 'perLeaf' | 'loaded' | 'minimal' | 'ofSpring'>> = {},
): Point & { group: G } => ({
  group,
  label,
  howTo,
  rule,
  half90,
  sided: false,
  perLeaf: false,
  ofSpring: false,
  loaded: false,
  minimal: false,
  ...more,
});
