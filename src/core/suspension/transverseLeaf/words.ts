const NAMES: Record<string, string> = {
  width: 'leaf width',
  thickness: 'leaf thickness',
  shortest: 'length of the shortest leaf',
  rateFactor: 'rate of the spring beside what its sizes say',
  half: 'centre bolt to eye',
  drop: 'clamp down to the eye',
  load: 'load on this half of the spring',
  extra: 'mass of the second load',
  lower: 'what the body went down under the second load',
  height: 'height before the work',
  clamp: 'clamp along the spring',
  inactive: 'what the clamp keeps from bending',
  friction: 'friction between the leaves',
  arm: 'upper arm',
  slope: 'slope of the upper arm',
  kingpin: 'spring eye to upper joint',
  free: 'free drop of the eyes',
  left: 'left spindle',
  right: 'right spindle',
  by: 'drop of the beam',
  tyreRate: 'tyre rate',
  lipOverBase: 'track and spring base',
};

/** Plain words for an input's path, for "measure this again". */
export function crossLabel(path: string): string {
  const part = path.split('.');
  const last = part.at(-1) ?? path;
  const name = NAMES[last] ?? last;
  if (part[0] === 'states') return 'mass of the load aboard';
  if (part[0] === 'changes') return `${name}, the new one`;
  if (part[0] === 'sides') return `${name}, ${part[1]}`;
  return name;
}
