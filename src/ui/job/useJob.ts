'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { type DayRow, type NewReading, type ReadingRow } from '@/contracts/reading';
import { readingKey } from '@/contracts/readingKey';
import { type JobView } from '@/contracts/job';
import { type Conflict } from '@/contracts/problem';
import { call } from './api';
import { ApiProblem } from './ApiProblem';

type Place = Pick<NewReading, 'point' | 'side' | 'leafId' | 'stateId' | 'phase'>;

export interface JobHandle {
  view: JobView;
  /** Sends a change of this job, made of what the server now holds where it must be, and shows what it then holds. */
  send: (
    path: string,
    method: 'POST' | 'PATCH' | 'PUT',
    body: object | ((now: JobView) => object) | undefined,
  ) => Promise<JobView>;
  /** Sends a form with a file. */
  upload: (path: string, form: FormData) => Promise<JobView>;
  /** The current reading of a field. */
  at: (place: Place) => ReadingRow | undefined;
  /** Appends a reading begun on the saved reading `base`; a newer one there is a conflict. */
  saveReading: (
    reading: Omit<NewReading, 'id' | 'supersedes' | 'dayId'>,
    base: Conflict['version'] | null,
    path?: string,
  ) => Promise<void>;
}

/** Ids of readings under way: a retry after a lost answer sends the same id, so it never doubles a reading. */
const underWay = new Map<string, string>();
/** One change after the other; but one that hangs holds the others up no longer than this, ms. */
const PATIENCE = 4000;
let line: Promise<unknown> = Promise.resolve();
const orLater = (sent: Promise<unknown>): Promise<unknown> =>
  Promise.race([sent.catch(() => undefined), new Promise((resolve) => setTimeout(resolve, PATIENCE))]);
/** Counts what was sent, so that an answer that comes late never shows an older state of the job. */
let sentSoFar = 0;
let shownSoFar = 0;

/** The measuring day at work: the last one of its phase. */
export const dayOf = (view: JobView, phase: NewReading['phase']): DayRow | undefined =>
  view.days.findLast((day) => day.phase === phase);

/** When this tab last saved something, and how long a page rendered meanwhile may still be on its way, ms. */
const SAVED_AT = 'gravelwort-saved-at';
const JUST_NOW = 15_000;

/** One job in the query cache; the page brings the first copy. */
export function useJob(first: JobView): JobHandle {
  const client = useQueryClient();
  const id = first.id;
  const { data: view } = useQuery({
    queryKey: ['job', id],
    queryFn: () => call<JobView>(`/api/jobs/${id}`, 'GET'),
    initialData: first,
  });
  // A page brings the newest copy; it replaces what an earlier page left in the cache.
  useEffect(() => {
    client.setQueryData(['job', first.id], first);
    // A page asked for while a save was under way may be older than that save: then it is read once more.
    if (Date.now() - Number(sessionStorage.getItem(SAVED_AT) ?? 0) < JUST_NOW)
      void client.invalidateQueries({ queryKey: ['job', first.id] });
  }, [client, first]);

  const inLine = (action: () => Promise<JobView>): Promise<JobView> => {
    const before = line;
    let number = 0;
    const sent = before.then(() => {
      number = ++sentSoFar;
      return action();
    });
    const shown = sent.then(
      async (next) => {
        sessionStorage.setItem(SAVED_AT, String(Date.now()));
        // A read begun before this save knows nothing of it: it must not overwrite what the save brought.
        await client.cancelQueries({ queryKey: ['job', id] });
        if (number > shownSoFar) {
          shownSoFar = number;
          client.setQueryData(['job', id], next);
        } else void client.invalidateQueries({ queryKey: ['job', id] });
        return next;
      },
      (problem: unknown) => {
        // Somebody else was faster: bring what they saved.
        if (problem instanceof ApiProblem && problem.conflict) void client.invalidateQueries({ queryKey: ['job', id] });
        throw problem;
      },
    );
    line = before.then(() => orLater(shown));
    return shown;
  };
  const send: JobHandle['send'] = (path, method, body) =>
    inLine(() => {
      const now = client.getQueryData<JobView>(['job', id]) ?? view;
      return call<JobView>(`/api/jobs/${id}${path}`, method, typeof body === 'function' ? body(now) : body);
    });
  return {
    view,
    send,
    upload: (path, form) => inLine(() => call<JobView>(`/api/jobs/${id}${path}`, 'POST', form)),
    at: (place) => view.readings.find((r) => readingKey(r) === readingKey(place)),
    saveReading: async (reading, base, path = '/readings') => {
      const supersedes = typeof base === 'string' ? base : null;
      const attempt = `${id}|${readingKey(reading)}|${reading.typed}|${reading.rolled}|${supersedes}`;
      const readingId = underWay.get(attempt) ?? crypto.randomUUID();
      underWay.set(attempt, readingId);
      await send(path, 'POST', (now) => ({
        ...reading,
        id: readingId,
        dayId: dayOf(now, reading.phase)?.id ?? null,
        supersedes,
      }));
      underWay.delete(attempt);
    },
  };
}
