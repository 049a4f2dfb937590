'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type Person } from '@/contracts/person';
import { Drop } from '../controls/Drop';
import { ProblemNote } from '../job/ProblemNote';
import { call } from '../job/api';
import { useSend } from '../job/useSend';
import { askAtDoor } from './ask';

/** What this screen kept of jobs to work on without a network; what was said and not sent yet stays. */
async function forgetHere(): Promise<void> {
  if (typeof navigator === 'undefined' || !('serviceWorker' in navigator)) return;
  const { active } = (await navigator.serviceWorker.getRegistration('/')) ?? {};
  active?.postMessage({ forget: true });
  const { forgetViews } = await import('../job/outbox');
  await forgetViews().catch(() => undefined);
}

/** Who works at this screen: hands change here, and whoever is done signs out. */
export function PersonMenu({ people, person }: { people: readonly Person[]; person: string }) {
  const { busy, problem, run } = useSend();
  const router = useRouter();
  const me = people.find((p) => p.id === person);
  if (!me) return null;
  const out = (everywhere: boolean) =>
    void run(async () => {
      await call('/api/door/out', 'POST', { everywhere });
      await forgetHere();
      router.push('/sign-in');
    });
  return (
    <Drop says={me.name}>
      <div className="person-menu" role="group" aria-label="At work">
        <p className="muted small">
          {me.name}, {me.role}
        </p>
        {people.length > 1 ? <p>Change hands:</p> : null}
        {people
          .filter((p) => p.id !== person)
          .map((p) => (
            <button
              key={p.id}
              type="button"
              className="act quiet"
              onClick={() => void askAtDoor('From now on what is saved here is signed by another name.', p.id)}
            >
              {p.name}
            </button>
          ))}
        <Link href="/you" prefetch={false}>
          Password and PIN
        </Link>
        {me.role === 'owner' ? (
          <Link href="/shop" prefetch={false}>
            People, tablets, what was done
          </Link>
        ) : null}
        <button type="button" className="act quiet" disabled={busy} onClick={() => out(false)}>
          Sign out
        </button>
        <button type="button" className="act quiet" disabled={busy} onClick={() => out(true)}>
          Sign out everywhere
        </button>
        <ProblemNote problem={problem} />
      </div>
    </Drop>
  );
}
