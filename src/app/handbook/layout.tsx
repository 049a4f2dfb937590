import { type Metadata } from 'next';
import { type ReactNode } from 'react';
import { Shell } from '../Shell';

export const metadata: Metadata = {
  title: 'Gravelwort, Handbook',
  description: 'Sums and tables for leaf springs and beam axles',
};

/** Apart from the shop's screens, so that a phone at the roadside loads neither their component library nor their query cache. */
export default function Layout({ children }: { children: ReactNode }) {
  return <Shell>{children}</Shell>;
}
