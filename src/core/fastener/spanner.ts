/** Widths across flats of spanners that a shop has, mm. */
const METRIC = [8, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 21, 22, 24, 27, 30, 32, 34, 36, 41, 46];
const SIXTEENTHS = [5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 20, 21, 22, 23, 24, 26, 27, 29, 30];

export interface Spanner {
  name: string;
  /** mm across flats. */
  across: number;
}

const fraction = (sixteenths: number): string => {
  const whole = Math.floor(sixteenths / 16);
  let [top, bottom] = [sixteenths % 16, 16];
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  return `${whole > 0 ? whole : ''}${whole > 0 && top > 0 ? '-' : ''}${top > 0 ? `${top}/${bottom}` : ''} in`;
};

export const SPANNERS: readonly Spanner[] = [
  ...METRIC.map((across) => ({ name: `${across} mm`, across })),
  ...SIXTEENTHS.map((n) => ({ name: fraction(n), across: (n * 25.4) / 16 })),
];

/** Width across flats of usual hexagon nuts and heads: ISO 4032 and 4014 for metric, ASME B18.2 for inch; from memory. mm */
export const ACROSS_METRIC: Readonly<Record<number, number>> = {
  ...{ 6: 10, 8: 13, 10: 16, 12: 18, 14: 21, 16: 24, 18: 27, 20: 30, 22: 34, 24: 36, 27: 41, 30: 46 },
};
/** Older metric bolts, DIN 931 and 934, where they differ; from memory. mm */
export const ACROSS_OLD_METRIC: Readonly<Record<number, number>> = { 10: 17, 12: 19, 14: 22, 22: 32 };
export const ACROSS_INCH: Readonly<Record<string, string>> = {
  ...{ '1/4': '7/16 in', '5/16': '1/2 in', '3/8': '9/16 in', '7/16': '11/16 in', '1/2': '3/4 in', '9/16': '7/8 in' },
  ...{ '5/8': '15/16 in', '3/4': '1-1/8 in', '7/8': '1-5/16 in', '1': '1-1/2 in' },
};

/** Height of usual hexagon nuts, mm: ISO 4032 style 1 at most for metric, ASME B18.2.2 nominal for inch; from memory. */
export const NUT_METRIC: Readonly<Record<number, number>> = {
  ...{ 6: 5.2, 8: 6.8, 10: 8.4, 12: 10.8, 14: 12.8, 16: 14.8, 18: 15.8, 20: 18, 22: 19.4, 24: 21.5 },
};
export const NUT_INCH: Readonly<Record<string, string>> = {
  ...{ '1/4': '7/32 in', '5/16': '17/64 in', '3/8': '21/64 in', '7/16': '3/8 in', '1/2': '7/16 in' },
  ...{ '9/16': '31/64 in', '5/8': '35/64 in', '3/4': '41/64 in', '7/8': '3/4 in', '1': '55/64 in' },
};

/** A spanner slacker than this rounds the flats of a good nut; one tighter than 0.05 mm does not go on. mm, chosen. */
const SLACK = { good: 0.2, rescue: 0.4 } as const;

export type SpannerFit = 'goes on' | 'near miss: rescue only' | 'too loose' | 'does not go on';

/** How a spanner sits on a nut. @param slack spanner's width less the nut's, mm */
export function spannerFit(slack: number): SpannerFit {
  if (slack < -0.05) return slack > -SLACK.rescue ? 'near miss: rescue only' : 'does not go on';
  if (slack <= SLACK.good) return 'goes on';
  return slack <= SLACK.rescue ? 'near miss: rescue only' : 'too loose';
}

/** Spanners nearest to a nut, with how each sits. @param across flats of the nut, mm */
export const spannersFor = (across: number, count = 4): (Spanner & { slack: number; fit: SpannerFit })[] =>
  SPANNERS.map((s) => ({ ...s, slack: s.across - across, fit: spannerFit(s.across - across) }))
    .toSorted((p, q) => Math.abs(p.slack) - Math.abs(q.slack))
    .slice(0, count);
