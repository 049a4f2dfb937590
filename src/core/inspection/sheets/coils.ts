import { lengthRule } from '../../units/rules';
import { LAW, measure, seen, type InspectionRule } from '../rule';

/** Coils. */
export const COILS_RULES = {
  coilBroken: seen(
    'coils',
    'Coil cracked or broken',
    'Turn by turn with a lamp, most of all the last turn at each end, where it lies in its seat.',
    [
      ['none', 'none found', 'pass'],
      ['broken', 'cracked or broken', 'stop'],
    ],
    { source: LAW, pair: true, order: ['coils, both sides', 'seat pads'] },
  ),
  coilSag: seen(
    'coils',
    'Sag against the expected length',
    'Seat to seat of the sound side, or of a new coil, against this one: both free, or both under one load.',
    [],
    {
      measures: [
        measure('expected', 'length it should have', lengthRule(80, 1000, 320)),
        measure('found', 'length found', lengthRule(80, 1000, 320)),
      ],
      derived: { id: 'sag', what: 'shorter by', of: 'expected', less: 'found' },
      limits: [
        { verdict: 'replace', when: { sag: 20 }, start: true },
        { verdict: 'watch', when: { sag: 8 }, start: true },
      ],
      pair: true,
      order: ['coils, both sides'],
    },
  ),
  coilPitting: seen(
    'coils',
    'Corrosion of the wire',
    'Scrape; feel for pits, most of all in the last turns and under the pads.',
    [
      ['film', 'rust film', 'pass'],
      ['pits', 'pits that can be felt', 'watch'],
      ['deep', 'deep pits or flaking', 'replace'],
    ],
    { pair: true, order: ['coils, both sides'] },
  ),
  coilClash: seen('coils', 'Marks where turns have touched', 'Bright or dented spots between neighbouring turns.', [
    ['none', 'none', 'pass'],
    ['marks', 'turns have touched: it went solid before its stop', 'watch'],
  ]),
  coilSeat: seen(
    'coils',
    'Seats, pads and retainers',
    'Pads whole, end of the wire against its step, retainer tight; no rust through the seat.',
    [
      ['sound', 'sound, coil seated', 'pass'],
      ['pad', 'pad gone or coil turned in its seat', 'service'],
      ['rotten', 'seat cracked or rusted through', 'stop'],
    ],
    { source: LAW, order: ['pads, both ends', 'retainers'] },
  ),
} as const satisfies Record<string, InspectionRule>;
