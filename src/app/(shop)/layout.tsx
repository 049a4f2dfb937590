import { AntdRegistry } from '@ant-design/nextjs-registry';
import { type Metadata } from 'next';
import { type ReactNode } from 'react';
import { Providers } from '@/ui/theme/Providers';
import { Shell } from '../Shell';

export const metadata: Metadata = { title: 'Gravelwort', description: 'Predict and prove ride height' };

/** The shop's own screens. */
export default function Layout({ children }: { children: ReactNode }) {
  return (
    <Shell>
      <AntdRegistry>
        <Providers>{children}</Providers>
      </AntdRegistry>
    </Shell>
  );
}
