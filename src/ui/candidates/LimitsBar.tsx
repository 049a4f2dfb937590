'use client';
import { type Limits } from '@/core/selection/parts';
import { countRule, lengthRule, PRICE_RULE } from '@/core/units/rules';
import { RATING_RULE } from '@/contracts/shelfFields';
import { Chips } from '../controls/Chips';
import { TypedField, type Typed } from '../measured/TypedField';

/** What a search must keep to, with the texts as typed. */
export interface LimitsDraft {
  limits: Limits;
  texts: Record<string, Typed>;
}

interface Props {
  draft: LimitsDraft;
  /** Under which half-typed figures survive a reload. */
  name: string;
  onChange: (draft: LimitsDraft) => void;
}

const YES_NO: { key: 'noBlock' | 'keepUbolts' | 'noUsed' | 'onlyParts'; name: string; off: string; on: string }[] = [
  { key: 'noBlock', name: 'Blocks', off: 'blocks too', on: 'no blocks' },
  { key: 'keepUbolts', name: 'U-bolts', off: 'any U-bolts', on: 'keep the old ones' },
  { key: 'noUsed', name: 'Used parts', off: 'used parts too', on: 'new only' },
  { key: 'onlyParts', name: 'Made', off: 'made to order too', on: 'from the shelf only' },
];
const PERCENT = countRule(0, 300);

/** Limits of the search, those of the job set from the start. */
export function LimitsBar({ draft, name, onChange }: Props) {
  const { limits, texts } = draft;
  const typed = (key: 'mostPrice' | 'mostDays' | 'leastRating' | 'harsher' | 'ladenAtLeast', share = 1) => ({
    value: texts[key] ?? null,
    draft: `${name}|${key}`,
    onChange: (value: Typed) =>
      onChange({ limits: { ...limits, [key]: value.value * share }, texts: { ...texts, [key]: value } }),
    onClear: () => {
      const { [key]: cleared, ...rest } = texts;
      onChange({ limits: { ...limits, [key]: null }, texts: rest });
    },
  });
  return (
    <>
      <div className="filter-chips">
        {YES_NO.map(({ key, name: label, off, on }) => (
          <Chips
            key={key}
            label={label}
            options={[
              { id: 'off', name: off },
              { id: 'on', name: on },
            ]}
            value={limits[key] ? 'on' : 'off'}
            onPick={(id) => onChange({ ...draft, limits: { ...limits, [key]: id === 'on' } })}
          />
        ))}
      </div>
      <details className="part">
        <summary>Price, time, ride and load</summary>
        <div className="grid-fields tight">
          <TypedField label="Parts for both sides, at most" rule={PRICE_RULE} {...typed('mostPrice')} />
          <TypedField label="Here within days" rule={countRule(0, 1000)} {...typed('mostDays')} />
          <TypedField
            label="Ride firmer by at most, %"
            rule={PERCENT}
            hint="of the bounce frequency"
            {...typed('harsher', 0.01)}
          />
          <TypedField
            label="Heaviest load, higher by at least"
            rule={lengthRule(-300, 300)}
            {...typed('ladenAtLeast')}
          />
          <TypedField label="A pack carries at least" rule={RATING_RULE} {...typed('leastRating')} />
        </div>
      </details>
    </>
  );
}
