import { type OpenItem } from '@/contracts/openList';
import { Marked } from '../controls/Mark';

/** Things named before the rest is folded away. */
const NAMED = 4;

/** What a station still asks for; it is done when this is gone. */
export function OpenLine({ open }: { open: readonly OpenItem[] }) {
  const stops = open.filter((item) => item.stop);
  const rest = open.filter((item) => !item.stop);
  const items = [...stops, ...rest];
  const one = (item: OpenItem) =>
    item.stop ? <span className="stop-word">STOP {item.text}</span> : <Marked kind="untouched">{item.text}</Marked>;
  return (
    <section className="open-line" aria-label="Still open here">
      <strong>Still open:</strong>
      <ul>
        {items.slice(0, NAMED).map((item) => (
          <li key={item.text}>{one(item)}</li>
        ))}
      </ul>
      {items.length > NAMED ? (
        <details>
          <summary>and {items.length - NAMED} more</summary>
          <ul>
            {items.slice(NAMED).map((item) => (
              <li key={item.text}>{one(item)}</li>
            ))}
          </ul>
        </details>
      ) : null}
    </section>
  );
}
