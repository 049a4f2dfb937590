'use client';
import { createContext, useContext, useState, type ReactNode } from 'react';
import { CHOSEN_DIMENSIONS, METRIC_VIEW, type UnitView } from '@/contracts/unitView';
import { ZoneContext } from '../measured/Clock';
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

export interface FirstView {
  units: UnitView;
  /** Time zone of the shop. */
  zone: string;
  dark: boolean;
  /** null: where a finger is the pointer. */
  keypad: boolean | null;
}

/**
 * How this screen shows figures. Units are the person's own, kept by the server; light and keypad are this screen's, kept in cookies. Both are
 * there with the first paint.
 */
export function ViewProvider({ first, children }: { first: FirstView; children: ReactNode }) {
  const [units, setUnits] = useState(first.units);
  // Another person at work, or the same one on another screen, brings other units with the page.
  const [brought, setBrought] = useState(first.units);
  if (JSON.stringify(brought) !== JSON.stringify(first.units)) {
    setBrought(first.units);
    setUnits(first.units);
  }
  const [dark, setDark] = useState(first.dark);
  const [keypad, setKeypad] = useState(first.keypad);
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
      // A choice that could not be kept still holds on this screen. What speaks to the server is fetched when something is to be said.
      void import('../job/api')
        .then(({ call }) => call('/api/people/units', 'PUT', { units: chosen }))
        .catch(() => undefined);
    },
    setDark: (v) => {
      setDark(v);
      document.documentElement.dataset.theme = v ? 'dark' : 'light';
      remember('gravelwort-theme', v ? 'dark' : 'light');
    },
  };
  return (
    <ZoneContext value={first.zone}>
      <ViewContext value={view}>{children}</ViewContext>
    </ZoneContext>
  );
}
