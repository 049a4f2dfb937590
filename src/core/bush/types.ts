/** Kinds of bushes for spring eyes and shackles: what the trade says of each. Common practice. */
export interface BushType {
  name: string;
  /** Whether the old outer shell stays in the eye. */
  shell: 'kept' | 'out' | 'none';
  grease: string;
  tighten: string;
  /** May be tightened in any position. */
  anyPosition: boolean;
}

export const BUSH_TYPES = {
  bonded: {
    name: 'bonded rubber',
    shell: 'out',
    grease: 'never oil or grease: it swells',
    tighten:
      'weight on the wheels, at ride height; tightened hanging it is twisted all its life and holds the body up at first',
    anyPosition: false,
  },
  polyurethane: {
    name: 'two-piece polyurethane with a free sleeve',
    shell: 'kept',
    grease: 'the maker’s grease on all faces that turn, sleeve and sides',
    tighten: 'in any position: firm on the sleeve, and it must swing',
    anyPosition: true,
  },
  nylon: {
    name: 'nylon',
    shell: 'none',
    grease: 'as its maker says; many carts’ run dry',
    tighten: 'in any position: firm, and it must swing',
    anyPosition: true,
  },
  bronze: {
    name: 'bronze with a grease way',
    shell: 'none',
    grease: 'through its nipple until it comes out, again by distance',
    tighten: 'in any position: on the bolt’s shoulder, and it must swing',
    anyPosition: true,
  },
  threaded: {
    name: 'threaded metal',
    shell: 'none',
    grease: 'through its nipple, wheels off the ground',
    tighten: 'in any position: centred on its thread, and it must swing',
    anyPosition: true,
  },
} as const satisfies Record<string, BushType>;
export type BushTypeId = keyof typeof BUSH_TYPES;
export const BUSH_TYPE_IDS = Object.keys(BUSH_TYPES) as [BushTypeId, ...BushTypeId[]];

/** Which of a leaf spring's bushes are renewed: both its eyes, both ends of the shackle, or all three. */
export const BUSH_ENDS = ['eyes', 'shackle', 'all'] as const;
export type BushEnds = (typeof BUSH_ENDS)[number];
export const BUSH_END_NAMES: Record<BushEnds, string> = {
  eyes: 'the spring’s eyes',
  shackle: 'both ends of the shackle',
  all: 'eyes and shackle',
};
