'use client';
import { Select } from 'antd';
import { type LoadItem } from '@/contracts/loads';
import { LOAD_KINDS, lumped, type LoadKind } from '@/core/sheet/reading';
import { TextField } from '../controls/TextField';
import { Length } from '../measured/Figure';
import { TypedField, type Typed } from '../measured/TypedField';
import { ASK_RULES } from './askRules';
import { Quantity } from '../measured/Quantity';

/** One thing aboard while it is being typed. */
export interface ItemDraft {
  /** Names the item over edits; never sent. */
  key: string;
  kind: LoadKind;
  name: string;
  mass: Typed | null;
  station: Typed | null;
}
export interface LoadDraft {
  name: string;
  items: ItemDraft[];
}

export const newItem = (): ItemDraft => ({
  key: crypto.randomUUID(),
  kind: 'cargo',
  name: '',
  mass: null,
  station: null,
});

const KIND_NAMES: Record<LoadKind, string> = {
  fuel: 'fuel',
  crew: 'crew',
  tools: 'tools and fittings',
  tongue: 'trailer tongue',
  cargo: 'cargo',
};

export const loadDraft = (name: string, items: readonly LoadItem[]): LoadDraft => ({
  name,
  items: items.map((item, k) => ({
    key: String(k),
    kind: item.kind,
    name: item.name,
    mass: { typed: item.massTyped, value: item.mass },
    station: { typed: item.stationTyped, value: item.station },
  })),
});

/** The load as the server takes it; undefined while something of it is missing. */
export function loadBody(load: LoadDraft): { name: string; items: LoadItem[] } | undefined {
  const items = load.items.flatMap(({ kind, name, mass, station }) =>
    name.trim() && mass && station
      ? [
          {
            kind,
            name: name.trim(),
            mass: mass.value,
            massTyped: mass.typed,
            station: station.value,
            stationTyped: station.typed,
          },
        ]
      : [],
  );
  if (!load.name.trim() || items.length === 0 || items.length < load.items.length) return undefined;
  return { name: load.name.trim(), items };
}

interface Props {
  load: LoadDraft;
  draft: string;
  /** What places along the vehicle are counted from. */
  nose?: string;
  /** Told apart from another load's fields for screen readers. */
  spoken?: string;
  onChange: (load: LoadDraft) => void;
}

/** A load made of what is aboard, each with its own place along the vehicle. */
export function LoadFields({ load, draft, nose = 'the front axle', spoken = '', onChange }: Props) {
  const put = (key: string, part: Partial<ItemDraft>) =>
    onChange({ ...load, items: load.items.map((item) => (item.key === key ? { ...item, ...part } : item)) });
  const body = loadBody(load);
  const whole = body && lumped(body.items);
  return (
    <>
      <TextField
        label="This load is called"
        spoken={`This load is called${spoken}`}
        most={80}
        value={load.name}
        onChange={(name) => onChange({ ...load, name })}
      />
      {load.items.map((item, k) => {
        const named = `${item.name.trim() || `item ${k + 1}`}${spoken}`;
        return (
          <div key={item.key} className="load-item" role="group" aria-label={named}>
            <div className="field">
              <label htmlFor={`${draft}-${item.key}-kind`}>Kind</label>
              <Select
                id={`${draft}-${item.key}-kind`}
                aria-label={`Kind of ${named}`}
                value={item.kind}
                options={LOAD_KINDS.map((value) => ({ value, label: KIND_NAMES[value] }))}
                onChange={(kind: LoadKind) => put(item.key, { kind })}
              />
            </div>
            <TextField
              label="What"
              spoken={`What is item ${k + 1}${spoken}`}
              most={80}
              value={item.name}
              onChange={(name) => put(item.key, { name })}
            />
            <TypedField
              label="Mass"
              spoken={`Mass of ${named}`}
              rule={ASK_RULES.mass}
              value={item.mass}
              draft={`${draft}|${item.key}|mass`}
              onChange={(mass) => put(item.key, { mass })}
            />
            <TypedField
              label={`Behind ${nose}`}
              spoken={`${named} behind ${nose}`}
              rule={ASK_RULES.station}
              value={item.station}
              draft={`${draft}|${item.key}|station`}
              hint={item.kind === 'tongue' ? 'the hitch' : 'its middle'}
              onChange={(station) => put(item.key, { station })}
            />
            <button
              type="button"
              className="act quiet"
              aria-label={`Take off ${named}`}
              onClick={() => onChange({ ...load, items: load.items.filter((i) => i.key !== item.key) })}
            >
              Take off
            </button>
          </div>
        );
      })}
      <div className="acts">
        <button
          type="button"
          className="act quiet"
          onClick={() => onChange({ ...load, items: [...load.items, newItem()] })}
        >
          + Something aboard
        </button>
        {whole ? (
          <span className="muted">
            together <Quantity value={whole.mass} of="mass" />, middle <Length mm={whole.station} /> behind {nose}
          </span>
        ) : null}
      </div>
    </>
  );
}
