'use client';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { ConfigProvider } from 'antd';
import { createContext, useContext, useState, type ReactNode } from 'react';
import { antdTheme } from './antdTheme';
import { useMedia } from './useMedia';

export type LengthView = 'mm' | 'in';
interface View {
  lengths: LengthView;
  dark: boolean;
  /** Whether fields bring their own keypad. */
  keypad: boolean;
  setKeypad: (v: boolean) => void;
  setLengths: (v: LengthView) => void;
  setDark: (v: boolean) => void;
}
const ViewContext = createContext<View>({
  lengths: 'mm',
  dark: false,
  keypad: false,
  setKeypad: () => undefined,
  setLengths: () => undefined,
  setDark: () => undefined,
});
export const useView = (): View => useContext(ViewContext);

const remember = (name: string, value: string) => {
  document.cookie = `${name}=${value}; path=/; max-age=31536000; samesite=strict`;
};

/** Query cache, component theme and how this screen shows lengths; the choices are kept in cookies so the first paint is right. */
export function Providers({
  lengths: first,
  dark: firstDark,
  keypad: firstKeypad,
  children,
}: {
  lengths: LengthView;
  dark: boolean;
  /** null: where a finger is the pointer. */
  keypad: boolean | null;
  children: ReactNode;
}) {
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: { queries: { staleTime: Infinity, retry: 1, refetchOnWindowFocus: 'always' } },
      }),
  );
  const [lengths, setLengths] = useState(first);
  const [dark, setDark] = useState(firstDark);
  const [keypad, setKeypad] = useState(firstKeypad);
  const touched = useMedia('(pointer: coarse)');
  const view: View = {
    lengths,
    dark,
    keypad: keypad ?? touched,
    setKeypad: (v) => {
      setKeypad(v);
      remember('gravelwort-keypad', v ? 'on' : 'off');
    },
    setLengths: (v) => {
      setLengths(v);
      remember('gravelwort-lengths', v);
    },
    setDark: (v) => {
      setDark(v);
      document.documentElement.dataset.theme = v ? 'dark' : 'light';
      remember('gravelwort-theme', v ? 'dark' : 'light');
    },
  };
  return (
    <QueryClientProvider client={client}>
      <ConfigProvider theme={antdTheme(dark)} wave={{ disabled: true }}>
        <ViewContext value={view}>{children}</ViewContext>
      </ConfigProvider>
    </QueryClientProvider>
  );
}
