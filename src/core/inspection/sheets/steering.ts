import { seen, type InspectionRule } from '../rule';

/** Kingpins and tie rods. */
export const STEERING_RULES = {
  kingpin: seen(
    'steering',
    'Kingpins',
    'Wheel off the ground, rocked at top and bottom; grease, thrust washer, bolt and cotter.',
    [
      ['sound', 'no play, greased', 'pass'],
      ['dry', 'dry, or turns hard', 'service'],
      ['play', 'play to be felt', 'replace'],
      ['loose', 'bolt or cotter missing, cracked', 'stop'],
    ],
    { pair: true, order: ['kingpin bushes and thrust washers, both sides', 'cotter pins'] },
  ),
  tieRod: seen(
    'steering',
    'Tie rods',
    'Steering rocked to and fro; ends, jam nuts, cotters, straight rods.',
    [
      ['sound', 'no play, jam nuts tight', 'pass'],
      ['loose', 'jam nut loose', 'service'],
      ['play', 'play in an end', 'replace'],
      ['bent', 'bent, or a cotter missing', 'stop'],
    ],
    { order: ['tie rod ends', 'cotter pins'] },
  ),
} as const satisfies Record<string, InspectionRule>;
