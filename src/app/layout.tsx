import '@fontsource/barlow-condensed/500.css';
import '@fontsource/barlow-condensed/600.css';
import '@fontsource/jetbrains-mono/500.css';
import '@fontsource/jetbrains-mono/700.css';
import { AntdRegistry } from '@ant-design/nextjs-registry';
import { type Metadata } from 'next';
import { cookies } from 'next/headers';
import { type ReactNode } from 'react';
import { viewOfPerson } from '@/server/pages';
import { Providers } from '@/ui/theme/Providers';
import { TOKENS_CSS } from '@/ui/theme/tokens';
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
import '@/ui/theme/handbook.css';
import '@/ui/theme/narrow.css';

export const metadata: Metadata = { title: 'Gravelwort', description: 'Predict and prove ride height' };

export default async function Layout({ children }: { children: ReactNode }) {
  const kept = await cookies();
  const dark = kept.get('gravelwort-theme')?.value === 'dark';
  const { units, zone } = await viewOfPerson();
  const keypad = kept.get('gravelwort-keypad')?.value;
  return (
    <html lang="en" data-theme={dark ? 'dark' : 'light'}>
      <head>
        <style>{TOKENS_CSS}</style>
      </head>
      <body>
        <AntdRegistry>
          <Providers dark={dark} units={units} zone={zone} keypad={keypad === undefined ? null : keypad === 'on'}>
            {children}
          </Providers>
        </AntdRegistry>
      </body>
    </html>
  );
}
