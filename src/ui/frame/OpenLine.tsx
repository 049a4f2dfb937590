'use client';
import { Popover } from 'antd';
import { type OpenItem } from '@/contracts/openList';
import { Marked } from '../controls/Mark';

/** Things named before the rest is folded away. */
const NAMED = 4;

const Item = ({ item }: { item: OpenItem }) =>
  item.stop ? <span className="stop-word">STOP {item.text}</span> : <Marked kind="untouched">{item.text}</Marked>;

/** What a station still asks for; it is done when this is gone. */
export function OpenLine({ open }: { open: readonly OpenItem[] }) {
  const stops = open.filter((item) => item.stop);
  const rest = open.filter((item) => !item.stop);
  const items = [...stops, ...rest];
  return (
    <section className="open-line" aria-label="Still open here">
      <strong>Still open:</strong>
      <ul>
        {items.slice(0, NAMED).map((item) => (
          <li key={item.text}>
            <Item item={item} />
          </li>
        ))}
      </ul>
      {items.length > NAMED ? (
        <details>
          <summary>and {items.length - NAMED} more</summary>
          <ul>
            {items.slice(NAMED).map((item) => (
              <li key={item.text}>
                <Item item={item} />
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </section>
  );
}

/** The same in the head of a station that holds still: counted, and told where it is touched. */
export function OpenBadge({ open }: { open: readonly OpenItem[] }) {
  const stops = open.filter((item) => item.stop);
  const items = [...stops, ...open.filter((item) => !item.stop)];
  return (
    <Popover
      trigger="click"
      placement="bottom"
      content={
        <section className="open-list" aria-label="Still open here">
          <ul>
            {items.map((item) => (
              <li key={item.text}>
                <Item item={item} />
              </li>
            ))}
          </ul>
        </section>
      }
    >
      <button type="button" className="act quiet open-badge">
        {stops.length > 0 ? <span className="stop-word">STOP {stops.length}</span> : null}
        <Marked kind="open">{open.length} open</Marked>
      </button>
    </Popover>
  );
}
