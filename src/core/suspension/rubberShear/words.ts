const NAMES: Record<string, string> = {
  rate: 'rate of the block',
  thick: 'thickness of the rubber',
  width: 'width of the leaves',
  thickness: 'thickness of the leaves',
  rateFactor: 'rate of the leaf beside what its sizes say',
  fixed: 'fixed eye to axle',
  nose: 'axle to nose bolt',
  offset: 'carrier above the frame’s plate',
  load: 'load on this side',
  extra: 'mass of the second load',
  lower: 'what the body went down under the second load',
  height: 'height before the work',
  hysteresis: 'what the rubber keeps back',
  by: 'carrier lower on its block',
  tyreRate: 'tyre rate',
  lipOverBase: 'track and spring base',
};

/** Plain words for an input's path, for "measure this again". */
export function shearLabel(path: string): string {
  const part = path.split('.');
  const last = part.at(-1) ?? path;
  const name = NAMES[last] ?? last;
  if (part[0] === 'states') return 'mass of the load aboard';
  if (part[0] === 'changes') return `${name}, the new one`;
  if (part[0] === 'sides') return `${name}, ${part[1]}`;
  return name;
}
