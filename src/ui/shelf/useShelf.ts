'use client';
import { useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query';
import { type PartEdit, type ShelfAsk, type ShelfCount, type ShelfItem, type ShelfPage } from '@/contracts/shelf';
import { call } from '../job/api';

/** The shelf as a filter shows it, page by page. */
export function useShelf(ask: ShelfAsk, first?: ShelfPage) {
  const pages = useInfiniteQuery({
    queryKey: ['shelf', ask],
    queryFn: ({ pageParam }) => call<ShelfPage>('/api/shelf/page', 'POST', { ...ask, after: pageParam }),
    initialPageParam: null as ShelfAsk['after'],
    getNextPageParam: (page) => page.next,
    placeholderData: (old) => old,
    ...(first && { initialData: { pages: [first], pageParams: [null] } }),
  });
  const count = useQuery({
    queryKey: ['shelf-count', ask],
    queryFn: () => call<ShelfCount>('/api/shelf/count', 'POST', ask),
    placeholderData: (old) => old,
  });
  return {
    ...pages,
    items: pages.data?.pages.flatMap((page) => page.items) ?? [],
    /** Pieces that open jobs keep for themselves, by part. */
    kept: Object.assign({}, ...(pages.data?.pages.map((page) => page.kept ?? {}) ?? [])) as Record<string, number>,
    count: count.data,
  };
}

/** Saving parts; every list that shows them is read again. */
export function useParts() {
  const client = useQueryClient();
  const refresh = async () => {
    await client.invalidateQueries({ queryKey: ['shelf'] });
    await client.invalidateQueries({ queryKey: ['shelf-count'] });
  };
  return {
    refresh,
    save: async (part: PartEdit): Promise<ShelfItem> => {
      const saved = await call<ShelfItem>(`/api/shelf/${part.id}`, 'PUT', part);
      await refresh();
      return saved;
    },
  };
}
