const NAMES: Record<string, string> = {
  block: 'block height',
  tubeDiameter: 'axle tube diameter',
  perch: 'perch height',
  'pack.width': 'leaf width',
  'pack.liner': 'liners between the leaves',
  'pack.tipPad': 'pads at the leaf tips',
  'pack.clipPlay': 'play in the clips',
  'pack.seatLength': 'U-bolt spacing',
  'pack.inactive': 'how much of the seat does not bend',
  'pack.seatShape': 'whether the seat flattens the leaves',
  'pack.formedFlat': 'length that the maker formed flat',
  'pack.overloadGap': 'daylight over the overload leaf',
  'pack.eyesUnseen': 'form of the eyes',
  'pack.friction': 'friction between the leaves',
  'pack.eyeOffset': 'eye size and form',
  'pack.eyeOffsetRear': 'rear eye’s size and form',
  'pack.rateFactor': 'rate of the pack',
  'shackle.length': 'shackle length',
  'shackle.angle': 'shackle angle',
  'pad.friction': 'rubbing on the pad',
  'pad.slope': 'slope of the pad the rear end slides under',
  tyreRate: 'tyre rate',
  lipOverBase: 'track and spring base',
};
const PARTS: Record<string, string> = {
  front: 'front length',
  rear: 'rear length',
  thickness: 'thickness',
  departure: 'free curve',
  tip: 'thickness at the tips',
  camber: 'free camber',
  chord: 'span of the free camber',
  height: 'height before the work',
  archTop: 'loaded arch',
  freeArch: 'free arch on the bench',
  load: 'load on the spring',
};

/** The same words in a plan of changes, where they mean the new part. */
const CHANGED: Record<string, string> = {
  width: 'width of the new pack',
  eyeOffset: 'eye size and form of the new pack',
  eyesUnseen: 'form of the new pack’s eyes',
  offset: 'form of the new eyes',
  front: 'front length of the added leaf',
  rear: 'rear length of the added leaf',
  thickness: 'thickness of the added leaf',
  camber: 'free camber of the added leaf',
  chord: 'span over which the added leaf’s camber was read',
  height: 'height of the new block',
  length: 'length of the new shackle',
  angle: 'angle of the wedge',
  perch: 'height of the new perch',
  gap: 'gap left under the helper spring',
  share: 'what the helper spring presses beside its list',
};

/** Plain words for an input's path, for "measure this again". */
export function inputLabel(given: string): string {
  const path = given.replace(/^own\./, '');
  const named = NAMES[path];
  if (named) return named;
  const part = path.split('.');
  const last = PARTS[part.at(-1) ?? ''] ?? part.at(-1) ?? path;
  if (part[0] === 'pack' && part[1] === 'leaves') {
    const leaf = `leaf ${Number(part[2]) + 1}`;
    if (part[3] === 'role') return `whether ${leaf} is an overload leaf`;
    return part[3] === 'own' ? `own free camber of ${leaf}` : `${last} of ${leaf}`;
  }
  if (part[0] === 'changes' && part[2] === 'leaves')
    return `${PARTS[part.at(-1) ?? ''] ?? last} of leaf ${Number(part[3]) + 1} of the new pack`;
  if (part[0] === 'changes') return CHANGED[part.at(-1) ?? ''] ?? last;
  if (part[0] === 'states') return 'mass of the load aboard';
  if (part[0] === 'sides' && part.includes('press')) return `press run, ${part[1]}`;
  if (part[0] === 'sides') return `${last}, ${part[1]}`;
  return path;
}
