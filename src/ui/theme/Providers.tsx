'use client';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { ConfigProvider } from 'antd';
import { createContext, useContext, useState, type ReactNode } from 'react';
import { CHOSEN_DIMENSIONS, METRIC_VIEW, type UnitView } from '@/contracts/units';
import { call } from '../job/api';
import { ZoneContext } from '../measured/Clock';
import { antdTheme } from './antdTheme';
import { useMedia } from './useMedia';

export type LengthView = 'mm' | 'in';
interface View {
  /** The unit of every quantity as the person at work wants it. */
  units: UnitView;
  setUnits: (v: UnitView) => void;
  lengths: LengthView;
  dark: boolean;
  /** Whether fields bring their own keypad. */
  keypad: boolean;
  setKeypad: (v: boolean) => void;
  setDark: (v: boolean) => void;
}
const ViewContext = createContext<View>({
  units: METRIC_VIEW,
  setUnits: () => undefined,
  lengths: 'mm',
  dark: false,
  keypad: false,
  setKeypad: () => undefined,
  setDark: () => undefined,
});
export const useView = (): View => useContext(ViewContext);

const remember = (name: string, value: string) => {
  document.cookie = `${name}=${value}; path=/; max-age=31536000; samesite=strict`;
};

/**
 * Query cache, component theme and how this screen shows figures. Units are the person's own, kept by the server; light and keypad are
 * this screen's, kept in cookies. Both are there with the first paint.
 */
export function Providers({
  units: first,
  zone,
  dark: firstDark,
  keypad: firstKeypad,
  children,
}: {
  units: UnitView;
  /** Time zone of the shop. */
  zone: string;
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
  const [units, setUnits] = useState(first);
  // Another person at work, or the same one on another screen, brings other units with the page.
  const [brought, setBrought] = useState(first);
  if (JSON.stringify(brought) !== JSON.stringify(first)) {
    setBrought(first);
    setUnits(first);
  }
  const [dark, setDark] = useState(firstDark);
  const [keypad, setKeypad] = useState(firstKeypad);
  const touched = useMedia('(pointer: coarse)');
  const view: View = {
    units,
    lengths: units.length === 'in' ? 'in' : 'mm',
    dark,
    keypad: keypad ?? touched,
    setKeypad: (v) => {
      setKeypad(v);
      remember('gravelwort-keypad', v ? 'on' : 'off');
    },
    setUnits: (v) => {
      setUnits(v);
      const chosen = CHOSEN_DIMENSIONS.map((dimension) => ({ dimension, unit: v[dimension] }));
      // A choice that could not be kept still holds on this screen.
      void call('/api/people/units', 'PUT', { units: chosen }).catch(() => undefined);
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
        <ZoneContext value={zone}>
          <ViewContext value={view}>{children}</ViewContext>
        </ZoneContext>
      </ConfigProvider>
    </QueryClientProvider>
  );
}
