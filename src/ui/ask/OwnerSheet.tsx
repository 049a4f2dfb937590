'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type OwnerRecord } from '@/contracts/owner';
import { download } from '../controls/download';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { call } from '../job/api';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { useKept } from '../measured/useKept';
import { SaveActs } from './SaveActs';

interface Draft {
  name: string;
  phone: string;
  plate: string;
  version: number;
}
const EMPTY: Draft = { name: '', phone: '', plate: '', version: 0 };

/** The person the vehicle belongs to: kept only where the shop needs it, handed out and erased on request. */
export function OwnerSheet({ jobId }: { jobId: string }) {
  const path = `/api/jobs/${jobId}/owner`;
  const key = ['owner', jobId];
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => call<OwnerRecord>(path, 'GET'),
  });
  const [edit, setEdit, forget] = useKept<Draft | null>(`${jobId}|owner`, null);
  const [asked, setAsked] = useState(false);
  const { busy, problem, run } = useSend();
  const kept = data?.owner ?? null;
  const now: Draft = edit ?? kept ?? EMPTY;
  const field = (of: 'name' | 'phone' | 'plate', label: string, most: number) => (
    <TextField
      label={label}
      value={now[of]}
      most={most}
      onChange={(text) =>
        setEdit({
          name: now.name,
          phone: now.phone,
          plate: now.plate,
          version: edit?.version ?? kept?.version ?? 0,
          [of]: text,
        })
      }
    />
  );
  const send = (method: 'PUT' | 'DELETE', body?: Draft) =>
    void run(async () => {
      client.setQueryData(key, await call<OwnerRecord>(path, method, body));
      forget();
      setAsked(false);
    });
  return (
    <Sheet title="Whose it is">
      <div className="owner-fields">
        {field('name', 'Owner', 120)}
        {field('phone', 'Phone', 60)}
        {field('plate', 'Plate', 30)}
      </div>
      <ProblemNote problem={problem} />
      <SaveActs
        what="the owner"
        edited={edit !== null}
        ready={Boolean(now.name.trim() || now.phone.trim() || now.plate.trim())}
        busy={busy}
        onSave={() => edit && send('PUT', edit)}
        onDrop={forget}
      >
        {kept ? (
          <>
            <button
              type="button"
              className="act quiet"
              onClick={() => data && download('owner.json', 'application/json', JSON.stringify(data, null, 2))}
            >
              Hand it out
            </button>
            <button
              type="button"
              className="act quiet"
              disabled={busy}
              onClick={() => (asked ? send('DELETE') : setAsked(true))}
            >
              {asked ? 'Erase it for good' : 'Erase it'}
            </button>
            <span className="muted">
              {kept.by}, <Clock at={kept.at} />
            </span>
          </>
        ) : null}
      </SaveActs>
      <p className="muted small">
        All of it may stay empty. Erased, it is gone for good here, and the record of the work stays whole; names typed
        into complaints or notes, and backups made before, are not touched.
      </p>
    </Sheet>
  );
}
