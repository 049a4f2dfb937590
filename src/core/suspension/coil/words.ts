const NAMES: Record<string, string> = {
  wire: 'wire of the coil',
  outside: 'outside diameter of the coil',
  turns: 'turns of the coil',
  ends: 'how the coil’s ends are made',
  free: 'free length of the coil',
  rateFactor: 'rate of the coil',
  length: 'length of the coil with the weight on',
  load: 'load on the coil',
  height: 'height before the work',
  spacer: 'seat spacers',
  ratio: 'lean and lever of the coil',
  arm: 'pivot to the wheel',
  rise: 'pivot above the hub',
  radius: 'radius arm',
  tyreRate: 'tyre rate',
  lipOverBase: 'track and spring base',
};

/** Plain words for an input's path, for "measure this again". */
export function coilLabel(path: string): string {
  const part = path.split('.');
  const last = part.at(-1) ?? path;
  if (part[0] === 'states') return 'mass of the load aboard';
  if (part[0] === 'open') return `coil with the unit open, ${last}`;
  if (part[0] === 'changes' && (last === 'left' || last === 'right')) return `grooves of the seat, ${last}`;
  if (part[0] === 'changes')
    return last === 'height' ? 'height of the new spacers' : `${NAMES[last] ?? last}, the new one`;
  if (part[0] === 'sides') return `${NAMES[last] ?? last}, ${part[1]}`;
  return NAMES[last] ?? path;
}
