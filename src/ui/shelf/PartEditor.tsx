'use client';
import { Select } from 'antd';
import { useId } from 'react';
import { RATING_RULE } from '@/contracts/shelfFields';
import { type ShelfItem } from '@/contracts/shelf';
import { CONDITIONS, HOLDINGS } from '@/contracts/shelfFields';
import { dimensionOf, kindOf, LEAF_EYES, LEAF_RULES, PART_KIND_IDS } from '@/core/parts/kinds';
import { countRule, PRICE_RULE } from '@/core/units/rules';
import { SaveActs } from '../ask/SaveActs';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { TypedField, type Typed } from '../measured/TypedField';
import { useKept } from '../measured/useKept';
import { draftOfPart, editOf, emptyLeaf, emptyPart, lacking, type LeafDraft, type PartDraft } from './partDraft';
import { useParts } from './useShelf';

interface Props {
  /** Null for a part that is not on the shelf yet. */
  item: ShelfItem | null;
  onSaved: (item: ShelfItem) => void;
  onLeave: (() => void) | null;
}

const YEARS = countRule(0, 120);
const QUANTITY = countRule(0, 100_000);
const DAYS = countRule(0, 1000);

/** Typing a part; what is not saved yet survives a reload. */
export function PartEditor({ item, onSaved, onLeave }: Props) {
  const id = useId();
  const name = `shelf|${item?.id ?? 'new'}`;
  const [kept, setKept, forget] = useKept<PartDraft | null>(name, null);
  const { busy, problem, run } = useSend();
  const { save } = useParts();
  const draft = kept ?? (item ? draftOfPart(item) : emptyPart(''));
  const kind = kindOf(draft.kind);
  const change = (part: Partial<PartDraft>) =>
    // A new part has its id from the first letter on, so that sending it twice makes one part.
    setKept({ ...draft, ...part, id: draft.id === '' ? crypto.randomUUID() : draft.id });
  const typed = (field: 'ageYears' | 'quantity' | 'price' | 'leadDays' | 'rating') => ({
    value: draft[field],
    draft: `${name}|${field}`,
    onChange: (value: Typed) => change({ [field]: value }),
    onClear: () => change({ [field]: null }),
  });
  const leave = () => {
    forget();
    onLeave?.();
  };
  const lacks = lacking(draft);
  const submit = () =>
    run(async () => {
      const saved = await save(editOf(draft));
      forget();
      onSaved(saved);
    });
  const setLeaf = (key: string, part: Partial<LeafDraft>) =>
    change({ leaves: draft.leaves.map((leaf) => (leaf.key === key ? { ...leaf, ...part } : leaf)) });
  return (
    <Sheet title={item ? `Change ${item.name}` : 'New part'}>
      <div className="grid-fields">
        <div className="field">
          <label htmlFor={`${id}-kind`}>Kind of part</label>
          <Select
            id={`${id}-kind`}
            aria-label="Kind of part"
            value={draft.kind}
            disabled={item !== null}
            options={PART_KIND_IDS.map((value) => ({ value, label: kindOf(value).name }))}
            onChange={(value) => {
              const next = kindOf(value).leaves;
              const leaves =
                next === 'none' ? [] : draft.leaves.length > 0 ? draft.leaves : [emptyLeaf('0', value === 'pack')];
              change({
                kind: value,
                form: null,
                leaves: (next === 'one' ? leaves.slice(0, 1) : leaves).map((leaf, k) =>
                  k === 0 ? { ...leaf, eyes: value === 'pack' ? 'both' : 'none' } : leaf,
                ),
              });
            }}
          />
        </div>
        <TextField label="Part name" most={120} value={draft.name} onChange={(v) => change({ name: v })} />
        <TextField label="Maker" most={80} value={draft.maker} onChange={(v) => change({ maker: v })} />
        <TextField label="Part number" most={60} value={draft.number} onChange={(v) => change({ number: v })} />
        <Chips
          label="It is"
          shown
          options={HOLDINGS.map((h) => ({ id: h, name: h === 'stock' ? 'in stock' : 'from a catalogue' }))}
          value={draft.holding}
          onPick={(holding) => change({ holding })}
        />
        <Chips
          label="Condition"
          shown
          options={CONDITIONS.map((c) => ({ id: c, name: c }))}
          value={draft.condition}
          onPick={(condition) => change({ condition })}
        />
        {draft.holding === 'stock' ? (
          <>
            <TypedField label="How many" rule={QUANTITY} {...typed('quantity')} />
            <TextField label="Where it lies" most={80} value={draft.place} onChange={(v) => change({ place: v })} />
          </>
        ) : null}
        {draft.condition === 'used' ? (
          <>
            <TextField
              label="What it came off"
              most={160}
              value={draft.origin}
              onChange={(v) => change({ origin: v })}
            />
            <TypedField label="Age in years" rule={YEARS} {...typed('ageYears')} />
          </>
        ) : null}
        <TypedField label="Price" rule={PRICE_RULE} {...typed('price')} />
        <TypedField label="Lead time in days" rule={DAYS} {...typed('leadDays')} />
        <TypedField label="May carry" rule={RATING_RULE} {...typed('rating')} />
        {kind.forms.length > 0 ? (
          <div className="field">
            <label htmlFor={`${id}-form`}>Form</label>
            <Select
              id={`${id}-form`}
              aria-label="Form"
              value={draft.form ?? 'unknown'}
              options={[
                { value: 'unknown', label: 'not known' },
                ...kind.forms.map((f) => ({ value: f.id, label: f.name })),
              ]}
              onChange={(form: string) => change({ form: form === 'unknown' ? null : form })}
            />
          </div>
        ) : null}
        {kind.dimensions.map((dimension) => {
          const {
            name: label,
            rule,
            hint,
          }: { name: string; rule: typeof PRICE_RULE; hint?: string } = dimensionOf(dimension);
          return (
            <TypedField
              key={dimension}
              label={label[0]!.toUpperCase() + label.slice(1)}
              rule={rule}
              value={draft.dimensions[dimension] ?? null}
              draft={`${name}|${dimension}`}
              hint={hint}
              onChange={(value) => change({ dimensions: { ...draft.dimensions, [dimension]: value } })}
              onClear={() => {
                const { [dimension]: cleared, ...rest } = draft.dimensions;
                change({ dimensions: rest });
              }}
            />
          );
        })}
      </div>
      {kind.leaves === 'none' ? null : (
        <>
          <h3 className="part">{kind.leaves === 'one' ? 'The leaf' : 'Leaves from the main leaf down'}</h3>
          {draft.leaves.map((leaf, k) => (
            <div key={leaf.key} className="part-leaf" role="group" aria-label={`Leaf ${k + 1}`}>
              <div className="change-head">
                <strong>{k + 1}</strong>
                <Chips
                  label={`Eyes of leaf ${k + 1}`}
                  options={LEAF_EYES.map((e) => ({ id: e, name: e === 'none' ? 'no eyes' : `eyes ${e}` }))}
                  value={leaf.eyes}
                  onPick={(eyes) => setLeaf(leaf.key, { eyes })}
                />
                <Chips
                  label={`Clip on leaf ${k + 1}`}
                  options={[
                    { id: 'no', name: 'no clip' },
                    { id: 'yes', name: 'clip' },
                  ]}
                  value={leaf.clip ? 'yes' : 'no'}
                  onPick={(clip) => setLeaf(leaf.key, { clip: clip === 'yes' })}
                />
                {kind.leaves === 'many' && draft.leaves.length > 1 ? (
                  <button
                    type="button"
                    className="act quiet"
                    onClick={() => change({ leaves: draft.leaves.filter((l) => l.key !== leaf.key) })}
                  >
                    Take out
                  </button>
                ) : null}
              </div>
              <div className="leaf-fields">
                {(
                  [
                    ['front', 'Pin to front'],
                    ['rear', 'Pin to rear'],
                    ['thickness', 'Thickness'],
                    ['camber', 'Free camber'],
                  ] as const
                ).map(([field, label]) => (
                  <TypedField
                    key={field}
                    label={label}
                    spoken={`${label}, leaf ${k + 1}`}
                    rule={LEAF_RULES[field]}
                    value={leaf[field]}
                    draft={`${name}|leaf|${leaf.key}|${field}`}
                    onChange={(value) => setLeaf(leaf.key, { [field]: value })}
                    onClear={() => setLeaf(leaf.key, { [field]: null })}
                  />
                ))}
              </div>
            </div>
          ))}
          {kind.leaves === 'many' ? (
            <button
              type="button"
              className="act quiet"
              onClick={() =>
                change({
                  leaves: [
                    ...draft.leaves,
                    emptyLeaf(String(Math.max(0, ...draft.leaves.map((l) => Number(l.key))) + 1), false),
                  ],
                })
              }
            >
              + Leaf
            </button>
          ) : null}
        </>
      )}
      <div className="part">
        <TextField label="Note" rows={2} most={500} value={draft.note} onChange={(v) => change({ note: v })} />
      </div>
      <Chips
        label="Shown on the shelf"
        shown
        options={[
          { id: 'yes', name: 'yes' },
          { id: 'no', name: 'no, put away for good' },
        ]}
        value={draft.retired ? 'no' : 'yes'}
        onPick={(v) => change({ retired: v === 'no' })}
      />
      {kept && lacks.length > 0 ? <p className="muted">Still needs {lacks.join(', ')}.</p> : null}
      <ProblemNote problem={problem} />
      <SaveActs
        what="the part"
        edited={kept !== null}
        ready={lacks.length === 0}
        busy={busy}
        onSave={() => void submit()}
        onDrop={leave}
      >
        {onLeave && !kept ? (
          <button type="button" className="act quiet" onClick={leave}>
            Back
          </button>
        ) : null}
      </SaveActs>
    </Sheet>
  );
}
