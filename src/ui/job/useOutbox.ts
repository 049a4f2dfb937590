'use client';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type JobView } from '@/contracts/job';
import { call } from './api';
import { ApiProblem } from './ApiProblem';
import { dropKept, keep, keepView, keptOf, keptPicture, viewOf, type Kept } from './outbox';
import { saidSoFar } from './saidSoFar';
import { type JobHandle } from './useJob';

/** Tried again this often while something waits, ms. */
const AGAIN = 8000;
/** Not reached, or too slow: what was said is kept. Anything else is an answer. */
const UNREACHED = ['offline', 'slow'];

export interface Outbox {
  /** The job with what was said here and not sent yet. */
  job: JobHandle;
  kept: readonly Kept[];
  /** Since when nothing could be reached, ms; null while the server answers. */
  since: number | null;
  /** Says something of the job: sent when it can be, kept until then. @throws what the server refuses at once */
  say: (path: Kept['path'], body: Record<string, unknown>, file?: Blob) => Promise<void>;
  /** Addresses of pictures that are only here yet, by their ids. */
  pictures: ReadonlyMap<string, string>;
  /** Throws away what the server would not have. */
  drop: (id: string) => void;
}

/** What is said of a job at the vehicle, with a network or without one. @param person who is at work */
export function useOutbox(job: JobHandle, person: string): Outbox {
  const jobId = job.view.id;
  const [kept, setKept] = useState<readonly Kept[]>([]);
  const [since, setSince] = useState<number | null>(null);
  const sending = useRef(false);
  const give = useRef<(item: Pick<Kept, 'path' | 'body' | 'file'>) => Promise<unknown>>(null);
  useEffect(() => {
    give.current = ({ path, body, file }) => {
      if (!file) return job.send(path, 'POST', body);
      const form = new FormData();
      for (const [name, value] of Object.entries(body)) form.set(name, String(value));
      form.set('file', file);
      return job.upload(path, form);
    };
  });

  const flush = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    try {
      for (const item of await keptOf(jobId)) {
        if (item.refused || item.person !== person) continue;
        const held = item.path === '/steps' ? { heldFor: Math.round((Date.now() - item.at) / 1000) } : {};
        try {
          await give.current!({ ...item, body: { ...item.body, ...held } });
          setSince(null);
          await dropKept(item.id);
        } catch (error) {
          if (!(error instanceof ApiProblem)) throw error;
          if (UNREACHED.includes(error.problem.code)) break;
          // Who may say it is asked for at the door; the server that cannot just now is asked again.
          if (['sign-in', 'server'].includes(error.problem.code)) break;
          await keep({ ...item, refused: error.message });
        }
      }
    } finally {
      sending.current = false;
      setKept(await keptOf(jobId));
    }
  }, [jobId, person]);

  useEffect(() => {
    void flush();
    const online = () => void flush();
    window.addEventListener('online', online);
    return () => window.removeEventListener('online', online);
  }, [flush]);
  // A page that came from this screen's own keeping may be older than what this screen saw last.
  const client = useQueryClient();
  const [isNow, setIsNow] = useState(false);
  useEffect(() => {
    void client
      .fetchQuery({
        queryKey: ['job', jobId],
        queryFn: () => call<JobView>(`/api/jobs/${jobId}`, 'GET'),
        staleTime: 0,
        retry: false,
        networkMode: 'always',
      })
      .catch(async (error: unknown) => {
        if (!(error instanceof ApiProblem) || !UNREACHED.includes(error.problem.code)) return;
        setSince((was) => was ?? Date.now());
        const seen = await viewOf(jobId);
        if (seen) client.setQueryData(['job', jobId], seen);
      })
      .finally(() => setIsNow(true));
  }, [client, jobId]);
  useEffect(() => {
    if (isNow) void keepView(job.view);
  }, [isNow, job.view]);
  const waiting = kept.some((k) => !k.refused && k.person === person);
  useEffect(() => {
    if (!waiting) return;
    const timer = setInterval(() => void flush(), AGAIN);
    return () => clearInterval(timer);
  }, [waiting, flush]);

  const say: Outbox['say'] = async (path, body, file) => {
    const item: Kept = { id: String(body.id), jobId, path, body, person, at: Date.now(), ...(file && { file }) };
    // Behind what waits already it waits too: what was said first is sent first.
    if (!waiting) {
      try {
        await give.current!(item);
        setSince(null);
        return;
      } catch (error) {
        if (!(error instanceof ApiProblem) || !UNREACHED.includes(error.problem.code)) throw error;
        setSince((was) => was ?? item.at);
      }
    }
    await keep(item);
    setKept(await keptOf(jobId));
  };
  const view = useMemo(
    () =>
      saidSoFar(
        job.view,
        kept.filter((k) => !k.refused),
      ),
    [job.view, kept],
  );
  const pictures = useMemo(
    () => new Map(kept.flatMap((k) => (k.file ? [[k.id, keptPicture(k)!] as const] : []))),
    [kept],
  );
  return {
    pictures,
    job: { ...job, view },
    kept,
    since: since ?? (waiting ? (kept[0]?.at ?? null) : null),
    say,
    drop: (id) => void dropKept(id).then(async () => setKept(await keptOf(jobId))),
  };
}
