'use client';
import { useEffect, useState } from 'react';
import { type Outbox } from '../job/useOutbox';
import { Drop } from '../controls/Drop';

const WORDS = {
  '/steps': 'tick',
  '/incidents': 'note',
  '/torque-readings': 'reading',
  '/leg-threads': 'reading',
  '/photos': 'picture',
} as const;

/** What was said here and has not reached the server, always in sight; nothing when all has. */
export function OutboxBadge({ outbox, kept: pageKept, person }: { outbox: Outbox; kept: boolean; person: string }) {
  const { kept, since, drop } = outbox;
  const refused = kept.filter((k) => k.refused);
  const waiting = kept.length - refused.length;
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    if (since === null) return;
    const told = () => setNow(Date.now());
    const first = setTimeout(told, 0);
    const timer = setInterval(told, 20_000);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [since]);
  if (kept.length === 0 && since === null) return null;
  const minutes = since === null || now === null ? 0 : Math.round((now - since) / 60_000);
  return (
    <span className="unsent">
      <Drop
        says={[
          since === null ? null : minutes < 1 ? 'no network' : `no network for ${minutes} min`,
          waiting > 0 ? `${waiting} kept here, unsent` : null,
          refused.length > 0 ? `${refused.length} refused` : null,
        ]
          .filter(Boolean)
          .join(', ')}
      >
        <div className="outbox" role="status" aria-label="Not sent yet">
          <p>
            {waiting > 0
              ? 'Kept on this screen and sent by itself when the server answers; a reload or a flat battery loses nothing of it.'
              : 'The server does not answer. Ticks, readings and what went wrong are kept on this screen meanwhile.'}
            {pageKept ? ' This page opens again without a network.' : ''}
          </p>
          <ul className="stored">
            {kept.map((item) => (
              <li key={item.id}>
                {WORDS[item.path]}:{' '}
                {String(item.body.step ?? item.body.bolt ?? item.body.leg ?? item.body.what ?? item.body.caption)}
                {item.body.done === false ? ', taken back' : ''}
                {item.person === person ? null : (
                  <span className="muted"> said by {item.person}, sent when they are at this screen</span>
                )}
                {item.refused ? (
                  <>
                    {' '}
                    <span className="look">{item.refused}</span>{' '}
                    <button type="button" className="link" onClick={() => drop(item.id)}>
                      throw it away
                    </button>
                  </>
                ) : null}
              </li>
            ))}
          </ul>
        </div>
      </Drop>
    </span>
  );
}
