'use client';
import { type NewBay } from '@/contracts/needed';
import { bayOf } from '@/contracts/preparation';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';

/** Says how the job goes into the bay: a part of it, the rest as the server now holds it. */
export function useBay(job: JobHandle): { setBay: (part: Partial<Omit<NewBay, 'id'>>) => void; problem: unknown } {
  const { problem, run } = useSend();
  const setBay = (part: Partial<Omit<NewBay, 'id'>>) =>
    void run(() =>
      job.send('/bay', 'POST', (now) => {
        const { onHoist, ...said } = bayOf(now);
        return { ...said, ...part, id: crypto.randomUUID() } satisfies NewBay;
      }),
    );
  return { setBay, problem };
}
