'use client';
import { useQuery } from '@tanstack/react-query';
import { type JobView } from '@/contracts/job';
import { type Residual } from '@/contracts/prove';
import { call } from '../job/api';

/** Where the heights that were read may come from; asked once for a set of readings, when one lies outside its band or somebody wants it. */
export function useResidual(
  view: JobView,
  wanted: boolean,
): { residual: Residual | null; busy: boolean; failed: boolean } {
  const read = view.outcomes.map((o) => o.readingId).join();
  const { data, isFetching, isError } = useQuery({
    queryKey: ['residual', view.id, read],
    queryFn: () => call<Residual>(`/api/jobs/${view.id}/residual`, 'GET'),
    enabled: wanted && view.outcomes.length > 0,
    staleTime: Infinity,
  });
  return { residual: data ?? null, busy: isFetching, failed: isError };
}
