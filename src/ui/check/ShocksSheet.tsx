'use client';
import Link from 'next/link';
import { type ShelfItem } from '@/contracts/shelf';
import { WHOLE_SHELF } from '@/contracts/wholeShelf';
import { dampingChange } from '@/core/travel/damping';
import { bestMount, rankShocks } from '@/core/travel/shockChoice';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { Length } from '../measured/Figure';
import { Quantity } from '../measured/Quantity';
import { availability, partPrice, valueOf } from '../shelf/partText';
import { useShelf } from '../shelf/useShelf';
import { type Travel } from './useTravel';

/** From this share less damping on somebody should think of other shocks. Chosen. */
const MUCH = 0.12;
/** As many as a person looks through. */
const SHOWN = 12;

export interface ShelfShock {
  item: ShelfItem;
  shut: number;
  open: number;
}

/** Shocks of the shelf by what they leave both ways on this axle as planned; one becomes a line of the plan. */
export function ShocksSheet({ travel, onTake }: { travel: Travel; onTake: (shock: ShelfShock) => void }) {
  const shelf = useShelf({ ...WHOLE_SHELF, kind: 'shock' });
  const parts = shelf.items.flatMap((item): ShelfShock[] => {
    const [shut, open] = [valueOf(item, 'closedLength'), valueOf(item, 'openLength')];
    return shut === undefined || open === undefined ? [] : [{ item, shut, open }];
  });
  const { read } = travel.known.travel!;
  const ranked = rankShocks(parts, read, travel.sits.will, travel.fittings).slice(0, SHOWN);
  const known = read.left.shockLength !== undefined || read.right.shockLength !== undefined;
  return (
    <Sheet title="Shocks of the shelf" aside={<span className="muted">most to spare at the tighter end first</span>}>
      {!known ? (
        <p>
          Read one shock bolt to bolt as it stands, under <a href="#read">read it</a>: then the shelf’s are ranked here.
        </p>
      ) : ranked.length === 0 ? (
        <p>{shelf.isFetching ? 'Looking…' : 'No shock on the shelf has both its lengths.'}</p>
      ) : (
        <div className="scroll">
          <table className="plain" aria-label="Shocks of the shelf">
            <thead>
              <tr>
                <th scope="col">shock</th>
                <th scope="col" className="number">
                  above the stop
                </th>
                <th scope="col" className="number">
                  down
                </th>
                <th scope="col">how it stands</th>
                <th scope="col">to be had</th>
                <th scope="col" className="number">
                  price
                </th>
                <th scope="col" aria-label="take it" />
              </tr>
            </thead>
            <tbody>
              {ranked.map(({ part, above, below, fits }) => (
                <tr key={part.item.id} data-shock={part.item.number}>
                  <td>
                    {part.item.name} <span className="muted small">{part.item.number}</span>
                  </td>
                  <td className="number">{above === null ? '' : <Length mm={above} unit={false} />}</td>
                  <td className="number">{below === null ? '' : <Length mm={below} unit={false} />}</td>
                  <td>
                    <Marked kind={fits ? 'done' : 'look'}>{fits ? 'fits' : 'too little'}</Marked>
                  </td>
                  <td>{availability(part.item)}</td>
                  <td className="number figure">{partPrice(part.item)}</td>
                  <td>
                    <button type="button" className="act quiet mend" onClick={() => onTake(part)}>
                      Take it
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <Moved travel={travel} />
      <Damped rate={travel.rate} job={travel.planned.id} />
      <p className="muted small">Eyes, stems and bolts must match, and a stiffer spring wants more rebound damping.</p>
    </Sheet>
  );
}

/** What the plan's rate does to shocks that stay as they are. */
function Damped({ rate, job }: { rate: Travel['rate']; job: string }) {
  if (!rate) return null;
  const perMm = (value: number) => `${value.toFixed(1)} N/mm`;
  const asked = new URLSearchParams({ sum: 'damping', job, was: perMm(rate.was), now: perMm(rate.will) });
  const share = (
    <Link href={`/handbook?${asked.toString()}`} prefetch={false}>
      With its maker’s force: the share of critical
    </Link>
  );
  const change = dampingChange(rate.was, rate.will);
  const percent = Math.abs(Math.round(100 * change));
  const rates = (
    <>
      <Quantity value={rate.was} of="rate" digits={1} /> → <Quantity value={rate.will} of="rate" digits={1} /> a side
    </>
  );
  if (percent < 3)
    return (
      <p className="muted">
        Rate {rates}: shocks that damped it well go on doing so. {share}
      </p>
    );
  return (
    <p>
      {change < -MUCH ? <Marked kind="look">rate</Marked> : 'Rate'} {rates}: the same shocks damp {percent} %{' '}
      {change < 0 ? 'less' : 'more'} of what is critical.{' '}
      {change < -MUCH ? 'It will bounce on longer: firmer ones.' : ''} {share}
    </p>
  );
}

/** What another hole or an extension plate would do for the shocks that are there. */
function Moved({ travel }: { travel: Travel }) {
  const best = travel.unplaced ? null : bestMount(travel.known.travel!.read, travel.sits.will, travel.fittings);
  if (!best) return null;
  return (
    <p>
      The same shocks with a mount moved so that their bolts stand <Length mm={Math.abs(best.by)} />{' '}
      {best.by > 0 ? 'further apart' : 'nearer together'} would leave <Length mm={best.above} /> above the stop and{' '}
      <Length mm={best.below} /> down: <Length mm={best.gain} /> more at the tighter end. Another hole, or an extension
      plate; both sides alike.
    </p>
  );
}
