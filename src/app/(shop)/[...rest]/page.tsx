import { notFound } from 'next/navigation';

/** Whatever else is asked for: nothing is there, told inside the shop's own frame. */
export default function Page() {
  notFound();
}
