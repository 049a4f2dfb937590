'use client';
import Link from 'next/link';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type ShelfItem } from '@/contracts/shelf';
import { dimensionOf, kindOf, type PartDimensionId } from '@/core/parts/kinds';
import { LeafBars } from '../bench/LeafBars';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { PictureStrip } from '../inspect/PictureStrip';
import { call } from '../job/api';
import { useLengthText } from '../measured/Figure';
import { PartEditor } from './PartEditor';
import { availability, dimensionText, formName, partPrice } from './partText';
import { useParts } from './useShelf';
import { Clock } from '../measured/Clock';

interface Props {
  item: ShelfItem | null;
  isNew: boolean;
  onSaved: (item: ShelfItem) => void;
}

/** One part: what it is, how it looks, what it was; and changing it. */
export function PartSheet({ item, isNew, onSaved }: Props) {
  const [editing, setEditing] = useState(false);
  if (isNew) return <PartEditor item={null} onSaved={onSaved} onLeave={null} />;
  if (!item)
    return (
      <Sheet title="Part">
        <p className="muted">Pick a part in the list to see its sizes, its leaves and its pictures.</p>
      </Sheet>
    );
  if (editing)
    return (
      <PartEditor
        item={item}
        onSaved={(saved) => {
          setEditing(false);
          onSaved(saved);
        }}
        onLeave={() => setEditing(false)}
      />
    );
  return <PartFacts item={item} onEdit={() => setEditing(true)} onSaved={onSaved} />;
}

function PartFacts({
  item,
  onEdit,
  onSaved,
}: {
  item: ShelfItem;
  onEdit: () => void;
  onSaved: (i: ShelfItem) => void;
}) {
  const lengthText = useLengthText();
  const { refresh } = useParts();
  const kind = kindOf(item.kind);
  const text = (id: PartDimensionId) => dimensionText(item, id, lengthText);
  const fact = (name: string, value: string | undefined, mark = false) =>
    value ? (
      <div className="fact-row" key={name}>
        <dt>{name}</dt>
        <dd>{mark ? <Marked kind="look">{value}</Marked> : value}</dd>
      </div>
    ) : null;
  const addPicture = async (file: File) => {
    const form = new FormData();
    form.set('id', crypto.randomUUID());
    form.set('subject', 'part');
    form.set('caption', item.name);
    form.set('file', file);
    const saved = await call<ShelfItem>(`/api/shelf/${item.id}/photos`, 'POST', form);
    await refresh();
    onSaved(saved);
  };
  return (
    <Sheet title={item.name} aside={<span className="muted">{kind.name}</span>}>
      {item.leaves.length > 0 ? (
        <LeafBars leaves={item.leaves} spoken={`${item.name}: ${item.leaves.length} leaves on the pin, to scale`} />
      ) : null}
      <dl className="facts">
        {fact('Maker, number', [item.maker, item.number].filter(Boolean).join(', '))}
        {fact(
          'Condition',
          item.condition === 'new'
            ? 'new'
            : [
                'used',
                item.origin ? `off ${item.origin}` : '',
                item.ageYears === null ? 'age not known' : `${item.ageYears} years old`,
              ]
                .filter(Boolean)
                .join(', '),
        )}
        {fact('Form', formName(item))}
        {[...(item.leaves.length > 0 ? (['leafCount', 'thickness'] as const) : []), ...kind.dimensions].map((id) =>
          fact(dimensionOf(id).name, text(id)),
        )}
        {fact(
          'May carry',
          item.ratingTyped ?? (kind.leaves === 'none' ? undefined : 'not known, not checked'),
          !item.ratingTyped,
        )}
        {fact('To be had', [availability(item), item.place ? `at ${item.place}` : ''].filter(Boolean).join(', '))}
        {fact('Price', partPrice(item))}
        {fact('Note', item.note)}
      </dl>
      {item.condition === 'used' && item.leaves.length > 0 ? (
        <p className="muted small">
          A used leaf may hide a crack or have sagged: look it over cleaned, and lay it beside its like before it is
          fitted.
        </p>
      ) : null}
      <PictureStrip
        pictures={item.photos.map((p) => ({ ...p, src: `/api/shelf/photos/${p.id}`, alt: p.caption }))}
        caption={item.name}
        onAdd={addPicture}
      />
      <div className="acts">
        <button type="button" className="act" onClick={onEdit}>
          Change this part
        </button>
        {item.kind === 'pack' ? (
          <Link className="act quiet" href={`/bench?pack=${item.id}`} prefetch={false}>
            Lay it on the bench
          </Link>
        ) : null}
      </div>
      <PartHistory item={item} />
    </Sheet>
  );
}

interface Past {
  version: number;
  by: string;
  at: string;
  was: { item?: Partial<ShelfItem> };
}

/** What the part was before it was changed. */
function PartHistory({ item }: { item: ShelfItem }) {
  const { data } = useQuery({
    queryKey: ['shelf-history', item.id, item.version],
    queryFn: () => call<Past[]>(`/api/shelf/${item.id}/history`, 'GET'),
    enabled: item.version > 1,
  });
  if (!data || data.length === 0) return null;
  return (
    <details className="part">
      <summary>Changed {data.length} times</summary>
      <ul className="stored">
        {data.map((past) => (
          <li key={past.version}>
            <Clock at={past.at} what="day" />, {past.by}: was {past.was.item?.name},{' '}
            {past.was.item?.quantity ?? 'uncounted'} there, price {past.was.item?.price ?? 'none'}
          </li>
        ))}
      </ul>
    </details>
  );
}
