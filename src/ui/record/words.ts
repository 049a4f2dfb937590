/** What a change of a plan is called where jobs are counted by it. */
export const CHANGE_WORDS: Readonly<Record<string, string>> = {
  addLeaf: 'leaf added',
  removeLeaf: 'leaf out',
  block: 'block',
  wedge: 'wedge',
  shackle: 'shackle',
  pack: 'other pack',
  rearch: 'arched again',
  eyes: 'eyes rolled anew',
  mendLeaf: 'broken leaf replaced',
  overAxle: 'spring over the axle',
  coil: 'other coils',
  spacer: 'seat spacers',
  springs: 'other springs',
  rocker: 'other rocker',
  slipper: 'slipper for rocker',
  riser: 'riser',
};
