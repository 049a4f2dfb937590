'use client';
import { Input, Select } from 'antd';
import { useId, useState } from 'react';
import { type ShelfAsk } from '@/contracts/shelf';
import { CONDITIONS, HOLDINGS, SHELF_ORDERS } from '@/contracts/shelfFields';
import { RATING_RULE } from '@/contracts/shelfFields';
import { dimensionOf, kindOf, PART_KIND_IDS, PART_DIMENSION_IDS, type PartDimensionId } from '@/core/parts/kinds';
import { countRule, PRICE_RULE, unsurprised } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { TypedField, type Typed } from '../measured/TypedField';

interface Props {
  ask: ShelfAsk;
  onAsk: (ask: ShelfAsk) => void;
}

const HOLDING_NAMES = { stock: 'in stock', catalogue: 'catalogue' };
const ORDER_NAMES = { name: 'by name', price: 'cheapest first' };

/** Which parts the shelf shows. */
export function ShelfFilter({ ask, onAsk }: Props) {
  const id = useId();
  const [texts, setTexts] = useState<Record<string, Typed>>({});
  const change = (part: Partial<ShelfAsk>) => onAsk({ ...ask, ...part, after: null });
  const typedText = (name: string, typed: Typed | null) => {
    const { [name]: replaced, ...rest } = texts;
    setTexts(typed ? { ...rest, [name]: typed } : rest);
  };
  const limit = (name: 'mostPrice' | 'mostDays' | 'leastRating') => ({
    value: texts[name] ?? null,
    draft: `shelf|${name}`,
    onChange: (typed: Typed) => {
      typedText(name, typed);
      change({ [name]: typed.value });
    },
    onClear: () => {
      typedText(name, null);
      change({ [name]: null });
    },
  });
  return (
    <Sheet title="Find">
      <div className="grid-fields">
        <div className="field">
          <label htmlFor={`${id}-words`}>Name, number, maker, origin or place</label>
          <Input
            id={`${id}-words`}
            type="search"
            value={ask.words}
            maxLength={120}
            onChange={(event) => change({ words: event.target.value })}
          />
        </div>
        <div className="field">
          <label htmlFor={`${id}-kind`}>Kind</label>
          <Select
            id={`${id}-kind`}
            aria-label="Kind"
            value={ask.kind ?? 'all'}
            options={[
              { value: 'all', label: 'all kinds' },
              ...PART_KIND_IDS.map((kind) => ({ value: kind, label: kindOf(kind).plural })),
            ]}
            onChange={(kind: string) => change({ kind: PART_KIND_IDS.find((k) => k === kind) ?? null, within: [] })}
          />
        </div>
      </div>
      <div className="filter-chips">
        <Chips
          label="Where it is"
          options={[{ id: 'any', name: 'anywhere' }, ...HOLDINGS.map((h) => ({ id: h, name: HOLDING_NAMES[h] }))]}
          value={ask.holding ?? 'any'}
          onPick={(holding) => change({ holding: holding === 'any' ? null : holding })}
        />
        <Chips
          label="New or used"
          options={[{ id: 'any', name: 'both' }, ...CONDITIONS.map((c) => ({ id: c, name: c }))]}
          value={ask.condition ?? 'any'}
          onPick={(condition) => change({ condition: condition === 'any' ? null : condition })}
        />
        <Chips
          label="Order"
          options={SHELF_ORDERS.map((o) => ({ id: o, name: ORDER_NAMES[o] }))}
          value={ask.order}
          onPick={(order) => change({ order })}
        />
      </div>
      <details className="part">
        <summary>By price, time, rating and size</summary>
        <div className="grid-fields tight">
          <TypedField label="Costs at most" rule={PRICE_RULE} {...limit('mostPrice')} />
          <TypedField label="Here within days" rule={countRule(0, 1000)} {...limit('mostDays')} />
          <TypedField label="May carry at least" rule={RATING_RULE} {...limit('leastRating')} />
        </div>
        <SizeFilter ask={ask} onAsk={onAsk} />
      </details>
    </Sheet>
  );
}

/** How far off a wanted size a part may be and still be shown, as a share. */
const NEAR = 0.03;

/** Parts whose one dimension is close to a wanted one. */
function SizeFilter({ ask, onAsk }: Props) {
  const id = useId();
  const ids = ask.kind
    ? [
        ...(kindOf(ask.kind).leaves === 'none' ? [] : (['front', 'rear', 'thickness'] as const)),
        ...kindOf(ask.kind).dimensions,
      ]
    : PART_DIMENSION_IDS;
  const [dimension, setDimension] = useState<PartDimensionId>('width');
  const chosen = ids.includes(dimension) ? dimension : ids[0]!;
  const [wanted, setWanted] = useState<Typed | null>(null);
  const rule = unsurprised(dimensionOf(chosen).rule);
  const apply = (typed: Typed | null, of: PartDimensionId) => {
    setWanted(typed);
    const within = typed
      ? [
          {
            dimension: of,
            from: typed.value - Math.abs(typed.value) * NEAR - 1e-9,
            to: typed.value + Math.abs(typed.value) * NEAR + 1e-9,
          },
        ]
      : [];
    onAsk({ ...ask, within, after: null });
  };
  return (
    <div className="grid-fields tight">
      <div className="field">
        <label htmlFor={`${id}-size`}>A size</label>
        <Select
          id={`${id}-size`}
          aria-label="A size"
          value={chosen}
          options={ids.map((value) => ({ value, label: dimensionOf(value).name }))}
          onChange={(value: PartDimensionId) => {
            setDimension(value);
            apply(null, value);
          }}
        />
      </div>
      <TypedField
        key={chosen}
        label="About"
        spoken={`About this ${dimensionOf(chosen).name}`}
        rule={rule}
        value={wanted}
        draft={`shelf|size|${chosen}`}
        hint="parts within 3 % of it are shown"
        onChange={(typed) => apply(typed, chosen)}
        onClear={() => apply(null, chosen)}
      />
    </div>
  );
}
