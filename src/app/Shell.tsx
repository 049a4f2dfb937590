import '@fontsource/barlow-condensed/500.css';
import '@fontsource/barlow-condensed/600.css';
import '@fontsource/jetbrains-mono/500.css';
import '@fontsource/jetbrains-mono/700.css';
import { cookies } from 'next/headers';
import { type ReactNode } from 'react';
import { viewOfPerson } from '@/server/pages';
import { TOKENS_CSS } from '@/ui/theme/tokens';
import { ViewProvider } from '@/ui/theme/View';
import '@/ui/theme/tokens.css';
import '@/ui/theme/words.css';
import '@/ui/theme/page.css';
import '@/ui/theme/fields.css';
import '@/ui/theme/drawing.css';
import '@/ui/theme/figure.css';
import '@/ui/theme/stations.css';
import '@/ui/theme/shelf.css';
import '@/ui/theme/bench.css';
import '@/ui/theme/candidates.css';
import '@/ui/theme/board.css';
import '@/ui/theme/workbench.css';
import '@/ui/theme/check.css';
import '@/ui/theme/prepare.css';
import '@/ui/theme/prove.css';
import '@/ui/theme/fleet.css';
import '@/ui/theme/build.css';
import '@/ui/theme/handbook.css';
import '@/ui/theme/door.css';
import '@/ui/theme/narrow.css';

/** The document of every screen: its light, its units and its styles are there with the first paint. */
export async function Shell({ children }: { children: ReactNode }) {
  const kept = await cookies();
  const dark = kept.get('gravelwort-theme')?.value === 'dark';
  const keypad = kept.get('gravelwort-keypad')?.value;
  const { units, zone } = await viewOfPerson();
  return (
    <html lang="en" data-theme={dark ? 'dark' : 'light'}>
      <head>
        <style>{TOKENS_CSS}</style>
      </head>
      <body>
        <ViewProvider first={{ units, zone, dark, keypad: keypad === undefined ? null : keypad === 'on' }}>
          {children}
        </ViewProvider>
      </body>
    </html>
  );
}
