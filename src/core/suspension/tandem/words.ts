const NAMES: Record<string, string> = {
  width: 'leaf width',
  thickness: 'leaf thickness',
  outer: 'hanger eye to centre bolt',
  inner: 'inner end to centre bolt',
  rateFactor: 'rate of the springs beside the handbook’s',
  inactive: 'what the seat keeps from bending',
  friction: 'friction between the leaves',
  spacing: 'axle to axle',
  front: 'front arm of the rocker',
  rear: 'rear arm of the rocker',
  below: 'pins of the rocker below its pivot',
  shackle: 'length of the shackles',
  tilt: 'tilt of the rocker',
  stop: 'tilt until the rocker touches',
  pitch: 'pitch of the frame',
  share: 'share of the front axle',
  unsprung: 'unsprung mass of both axles',
  tube: 'axle tube',
  perch: 'perch',
  load: 'load on the springs',
  extra: 'mass of the second load',
  lower: 'what the frame went down under the second load',
  height: 'height before the work',
  free: 'free arch',
  tyreRate: 'tyre rate',
};

/** Plain words for an input's path, for "measure this again". */
export function tandemLabel(path: string): string {
  const part = path.split('.');
  const last = part.at(-1) ?? path;
  const name = NAMES[last] ?? last;
  if (part[0] === 'states') return 'mass of the load aboard';
  if (part[0] === 'drop') return last === 'outer' ? 'frame to the hanger eye' : 'frame to the inner end';
  if (part.includes('arch')) return `arch, ${last} axle, ${part[1]}`;
  if (part.includes('lean')) return `lean of the ${last} shackle`;
  if (part[0] === 'changes')
    return last === 'height'
      ? 'height of the new piece'
      : last === 'by'
        ? 'height of the coupling'
        : `${name}, the new one`;
  if (part[0] === 'sides') return `${name}, ${part[1]}`;
  return name;
}
