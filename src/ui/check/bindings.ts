import { type FitRow } from '@/contracts/fit';
import { SURVEY_TEXT } from '@/contracts/surveyText';
import { type TravelPoint } from '@/core/sheet/travel';
import { mended, mendOf, type Mend } from '@/core/travel/mends';
import { TRAVEL_ITEMS, type TravelItem, type TravelVerdict } from '@/core/travel/travelRows';
import { SLACK_ITEMS, type SlackItem, type SlackVerdict } from '@/core/travel/survey';
import { type Dimension } from '@/core/units/units';
import { worstFirst, type VerdictState } from '@/core/verdict';
import { travelOf, type Travel } from './useTravel';

/** One line of what binds. */
export interface Binding {
  id: string;
  name: string;
  /** What is asked of it, in a few words. */
  limit: string;
  dimension: Dimension;
  was: number | null;
  will: number | null;
  half90: number | null;
  /** Less than this is too little. */
  least: number;
  state: VerdictState;
  text: string;
  mend: { mend: Mend; gives: number | null } | null;
  wants: TravelPoint[];
}

const LIMITS: Record<TravelItem | 'line', string> = {
  shockShut: 'stop solid first',
  axleToFrame: 'stop solid first',
  tyreToArch: 'stop solid first',
  stopGap: 'free travel up',
  shockLength: 'travel down',
  line: 'slack at full hang',
};

const NAMES: Record<TravelItem, string> = {
  shockShut: 'Shock shut',
  axleToFrame: 'Axle to frame',
  tyreToArch: 'Tyre to body',
  stopGap: 'Bump stop',
  shockLength: 'Shock open',
};

const isTravel = (item: string): boolean => (TRAVEL_ITEMS as readonly string[]).includes(item);
const isLine = (item: string): boolean => (SLACK_ITEMS as readonly string[]).includes(item);
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const marginOf = (row: TravelVerdict | SlackVerdict | undefined): number | null => row?.figure?.value ?? null;

/** Everything that binds, tightest first: stops before everything, then what is to be looked at, then what fits. */
export function bindingsOf(travel: Travel, fit: readonly FitRow[]): Binding[] {
  const { known, sits, fittings, after, before } = travel;
  const tried = (item: TravelItem | SlackItem, mend: Mend | null): Binding['mend'] => {
    if (!mend) return null;
    const { ends, lines } = travelOf(known, sits.will, travel.travel, mended(fittings, mend, item));
    const row = [...ends, ...lines].find((r) => r.item === item);
    return { mend, gives: marginOf(row) };
  };
  const read = (row: TravelVerdict) => known.travel!.read[row.side];
  const ends = after.ends.map((row): Binding => {
    const open = row.state === 'look' || row.state === 'does not fit';
    return {
      ...{ id: row.item, name: NAMES[row.item], limit: LIMITS[row.item], dimension: 'length', state: row.state },
      ...{ text: row.text, wants: row.wants, half90: row.half90, least: row.figure?.limit ?? 0 },
      was: marginOf(before.ends.find((r) => r.item === row.item)),
      will: marginOf(row),
      mend:
        open && row.figure
          ? tried(row.item, mendOf(row.item, row.figure.margin, row.half90 ?? 0, read(row), fittings))
          : null,
    };
  });
  const lines = after.lines.map((row): Binding => {
    const item = row.item;
    return {
      ...{ id: item, name: capital(SURVEY_TEXT[item]), limit: LIMITS.line, dimension: 'length', state: row.state },
      ...{ text: row.text, wants: [], half90: null, least: row.figure?.limit ?? 0 },
      was: marginOf(before.lines.find((r) => r.item === item)),
      will: marginOf(row),
      mend:
        row.state === 'does not fit' && row.figure
          ? tried(item, mendOf(item, row.figure.margin, 0, {}, fittings))
          : null,
    };
  });
  const rest = fit
    // What the inspection found is mended there.
    .filter(
      (row) =>
        !isTravel(row.subject) &&
        !isLine(row.subject) &&
        !row.subject.startsWith('inspect:') &&
        !row.toldOnly &&
        row.state !== 'not checked',
    )
    .map((row): Binding => ({
      ...{ id: row.subject, name: row.name, limit: '', state: row.state, text: row.reason, wants: [], mend: null },
      ...{ dimension: row.figure?.dimension ?? 'length', was: null, half90: null },
      will: row.figure && row.figure.dimension === 'length' ? row.figure.margin : null,
      least: 0,
    }));
  const tight = (row: Binding): number => (row.will === null ? Infinity : row.will - row.least);
  return [...ends, ...lines, ...rest].toSorted((p, q) => worstFirst(p, q) || tight(p) - tight(q));
}

/** What nobody looked at yet, by name. */
export const unreadOf = (rows: readonly Binding[], fit: readonly FitRow[]): string[] => [
  ...rows.filter((row) => row.state === 'not checked').map((row) => row.name.toLowerCase()),
  ...fit
    .filter((row) => row.state === 'not checked' && !isTravel(row.subject) && !isLine(row.subject))
    .map((row) => row.name.charAt(0).toLowerCase() + row.name.slice(1)),
];
