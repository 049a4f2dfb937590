'use client';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { ConfigProvider } from 'antd';
import { useState, type ReactNode } from 'react';
import { antdTheme } from './antdTheme';
import { useView } from './View';

/** Query cache and component theme of the shop's own screens; stands inside a `ViewProvider`. */
export function Providers({ children }: { children: ReactNode }) {
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: { queries: { staleTime: Infinity, retry: 1, refetchOnWindowFocus: 'always' } },
      }),
  );
  const { dark } = useView();
  return (
    <QueryClientProvider client={client}>
      <ConfigProvider theme={antdTheme(dark)} wave={{ disabled: true }}>
        {children}
      </ConfigProvider>
    </QueryClientProvider>
  );
}
