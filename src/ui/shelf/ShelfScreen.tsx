'use client';
import { useState } from 'react';
import { type Person } from '@/contracts/person';
import { type ShelfAsk, type ShelfItem, type ShelfPage } from '@/contracts/shelf';
import { WHOLE_SHELF } from '@/contracts/wholeShelf';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { Sheet } from '../controls/Sheet';
import { ProblemNote } from '../job/ProblemNote';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';
import { FileSheet } from './FileSheet';
import { availability, partPrice, sizesText } from './partText';
import { PartGlyph } from './PartGlyph';
import { PartSheet } from './PartSheet';
import { ShelfFilter } from './ShelfFilter';
import { useShelf } from './useShelf';
import { kindOf } from '@/core/parts/kinds';

const EVERYTHING = WHOLE_SHELF;

/** Parts in stock and from catalogues: found, looked at, changed, brought in and taken out as a file. */
export function ShelfScreen({
  first,
  open,
  people,
  person,
}: {
  first: ShelfPage;
  /** The part somebody came for. */
  open: ShelfItem | null;
  people: readonly Person[];
  person: string;
}) {
  const [ask, setAsk] = useState<ShelfAsk>(EVERYTHING);
  const shelf = useShelf(ask, JSON.stringify(ask) === JSON.stringify(EVERYTHING) ? first : undefined);
  const [picked, setPicked] = useState<string | 'new' | null>(open?.id ?? null);
  const { lengths } = useView();
  const lengthText = useLengthText();
  const bare = (mm: number) => lengthText(mm).replace(/ (mm|in)$/, '');
  const item = shelf.items.find((i) => i.id === picked) ?? null;
  const [kept, setKept] = useState<ShelfItem | null>(open);
  // A part that a new filter hides stays in sight until another one is picked.
  const shown = item ?? (kept?.id === picked ? kept : null);
  const pick = (next: ShelfItem | null) => {
    setKept(next);
    setPicked(next?.id ?? null);
  };
  return (
    <PageFrame
      title="Shelf"
      note="what lies here, and what can be ordered"
      people={people}
      person={person}
      tape={<StationTape current="shelf" />}
      fixed
    >
      <div className="sheets shelf-grid">
        <div className="sheets">
          <ShelfFilter ask={ask} onAsk={setAsk} />
          <Sheet
            title="Parts"
            aside={
              <span className="muted" aria-live="polite" data-testid="found">
                {shelf.count ? `${shelf.count.more ? 'more than ' : ''}${shelf.count.found} found` : 'looking…'}
              </span>
            }
          >
            {shelf.error ? <ProblemNote problem={shelf.error} /> : null}
            {shelf.items.length === 0 && !shelf.isFetching ? (
              <p>
                Nothing on the shelf is like that. Take a filter away, put the part on the shelf, or bring in a list of
                parts as a file.
              </p>
            ) : (
              <div className="scroll">
                <table className="plain parts">
                  <thead>
                    <tr>
                      <th scope="col">part</th>
                      <th scope="col">to one scale</th>
                      <th scope="col">sizes, {lengths === 'mm' ? 'mm' : 'inches'}</th>
                      <th scope="col">to be had</th>
                      <th scope="col" className="number">
                        price
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    {shelf.items.map((part) => (
                      <tr key={part.id} aria-selected={part.id === picked} data-part={part.number}>
                        <td>
                          <button type="button" className="link job" onClick={() => pick(part)}>
                            {part.name}
                          </button>
                          <br />
                          <span className="muted small">
                            {[kindOf(part.kind).name, part.maker, part.number, part.condition === 'used' ? 'used' : '']
                              .filter(Boolean)
                              .join(', ')}
                          </span>
                        </td>
                        <td>
                          <PartGlyph item={part} />
                        </td>
                        <td>{sizesText(part, bare)}</td>
                        <td>
                          {availability(part)}
                          {shelf.kept[part.id] ? (
                            <>
                              <br />
                              <span className="muted small">{shelf.kept[part.id]} kept for a job</span>
                            </>
                          ) : null}
                        </td>
                        <td className="number figure">{partPrice(part)}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            )}
            {shelf.hasNextPage ? (
              <div className="acts">
                <button
                  type="button"
                  className="act quiet"
                  disabled={shelf.isFetchingNextPage}
                  onClick={() => void shelf.fetchNextPage()}
                >
                  {shelf.isFetchingNextPage ? 'Fetching…' : 'Show more'}
                </button>
              </div>
            ) : null}
          </Sheet>
        </div>
        <div
          className={`sheets pinned ${picked ? 'open' : ''}`}
          role="region"
          aria-label="The part picked"
          tabIndex={0}
        >
          <PartSheet key={picked ?? 'none'} item={shown} isNew={picked === 'new'} onSaved={pick} />
          <div className="acts">
            <button type="button" className="act" onClick={() => setPicked('new')}>
              Put a part on the shelf
            </button>
          </div>
          <FileSheet ask={ask} />
        </div>
      </div>
    </PageFrame>
  );
}
