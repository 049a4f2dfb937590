import { type Metadata } from 'next';
import { type ReactNode } from 'react';
import { Shell } from '../Shell';

export const metadata: Metadata = { title: 'Gravelwort, sign in', robots: { index: false } };

/** What is seen before the shop's door. */
export default function Layout({ children }: { children: ReactNode }) {
  return <Shell>{children}</Shell>;
}
