import { type Metadata } from 'next';
import { type ReactNode } from 'react';
import { Shell } from '../Shell';

export const metadata: Metadata = {
  title: 'Gravelwort, guide',
  description: 'One job from the first tape to the hand-over',
};

/** Apart from the shop's screens, as the Handbook is: it is read, and nothing is entered on it. */
export default function Layout({ children }: { children: ReactNode }) {
  return <Shell>{children}</Shell>;
}
