import { type Procedure } from './procedure';

/** What fastens something, by its place among the facts. */
const NAMES: Readonly<Record<string, string>> = {
  ...{
    ubolts: 'U-bolts',
    front: 'front eye bolt',
    shackle: 'shackle',
    centre: 'centre bolt',
    shock: 'shock, lower end',
  },
  ...{ seat: 'coil retainers', rocker: 'rocker', eye: 'eye bolts', pivot: 'beam pivot', bracket: 'cable bracket' },
  ...{ nose: 'nose bolt', rubber: 'bolts of the shear block', clamp: 'clamp of the spring', tie: 'tie rod ends' },
  ...{ kingpin: 'kingpins', cams: 'alignment cams', unit: 'spring unit', stem: 'nut in the unit’s middle' },
};

export interface Removal {
  off: string[];
  /** Only slackened: it stays in its place, and the spring or arm turns about it. */
  slackened: string[];
  /** Not touched. */
  stays: string[];
}

/** How little comes off for a job: what is taken out, what is only slackened, what stays fastened. */
export function removalOf({ start, operations }: Procedure): Removal {
  const made = (place: string, word: string) =>
    operations.some(({ gives }) => Object.entries(gives).some(([at, is]) => at.split('.')[0] === place && is === word));
  const places = [...new Set(Object.keys(start).map((at) => at.split('.')[0]!))].filter((place) => place in NAMES);
  const named = (wanted: (place: string) => boolean) => places.filter(wanted).map((place) => NAMES[place]!);
  const off = (place: string) => made(place, 'out');
  const loose = (place: string) => !off(place) && (made(place, 'loose') || made(place, 'run on'));
  return {
    off: named(off),
    slackened: named(loose),
    stays: named((place) => !off(place) && !loose(place)),
  };
}
