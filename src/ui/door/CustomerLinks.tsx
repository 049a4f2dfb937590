'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type ViewerLink } from '@/contracts/door';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { call } from '../job/api';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { Taken } from './ShopScreen';

const DAYS = [7, 30, 90] as const;

/** Links by which a customer sees this job and nothing else. */
export function CustomerLinks({ jobId }: { jobId: string }) {
  const path = `/api/jobs/${jobId}/links`;
  const key = ['links', jobId];
  const client = useQueryClient();
  const { data = [] } = useQuery({ queryKey: key, queryFn: () => call<ViewerLink[]>(path, 'GET') });
  const { busy, problem, run } = useSend();
  const [said, setSaid] = useState('');
  const [days, setDays] = useState<(typeof DAYS)[number]>(30);
  const [made, setMade] = useState<string | null>(null);
  const make = () =>
    void run(async () => {
      const given = { id: crypto.randomUUID(), said, days };
      const { path: at, links } = await call<{ path: string; links: ViewerLink[] }>(path, 'POST', given);
      client.setQueryData(key, links);
      setMade(`${window.location.origin}${at}`);
      setSaid('');
    });
  return (
    <Sheet title="Let the customer look">
      <p className="muted small">
        A link shows this job’s heights and work to whoever has it, and changes nothing. It ends by itself.
      </p>
      <ul className="door-rows">
        {data
          .filter((l) => !l.over)
          .map((l) => (
            <li key={l.id}>
              <strong>{l.said}</strong>
              <span className="muted">
                ends <Clock at={l.endsAt} what="day" />
              </span>
              <Taken
                path={`/api/links/${l.id}`}
                says="Take it back"
                onDone={() => void client.invalidateQueries({ queryKey: key })}
              />
            </li>
          ))}
      </ul>
      {made ? (
        <div className="note" role="status">
          <p>
            Copy it now, it is shown once: <span className="figure link-once">{made}</span>
          </p>
        </div>
      ) : null}
      <div className="door-new">
        <TextField label="Who it is for" value={said} most={120} onChange={setSaid} />
        <Chips
          label="Days it lasts"
          shown
          options={DAYS.map((d) => ({ id: String(d), name: String(d) }))}
          value={String(days)}
          onPick={(d) => setDays(Number(d) as (typeof DAYS)[number])}
        />
        <button type="button" className="act quiet" disabled={busy || said === ''} onClick={make}>
          Make a link
        </button>
      </div>
      <ProblemNote problem={problem} />
    </Sheet>
  );
}
