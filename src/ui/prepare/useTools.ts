'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type ToolEdit, type ToolRow } from '@/contracts/tool';
import { call } from '../job/api';

const KEY = ['tools'];

/** The shop's tools, and how one of them is saved. */
export function useTools(): { tools: readonly ToolRow[]; save: (edit: ToolEdit) => Promise<void> } {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey: KEY, queryFn: () => call<ToolRow[]>('/api/tools', 'GET') });
  return {
    tools: data ?? [],
    save: async (edit) => {
      client.setQueryData(KEY, await call<ToolRow[]>('/api/tools', 'PUT', edit));
    },
  };
}
