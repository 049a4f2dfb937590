'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { type Door } from '@/contracts/door';
import { call } from '../job/api';
import { offerDoor } from './ask';
import { DoorForm } from './DoorForm';

interface Asked {
  why: string;
  person: string | undefined;
  done: (shown: boolean) => void;
}

/** Opens over whatever is on the screen, which stays as it is; nothing typed is lost. */
export function DoorDialog({ person }: { person: string }) {
  const router = useRouter();
  const box = useRef<HTMLDialogElement>(null);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [door, setDoor] = useState<Door | null>(null);
  useEffect(
    () =>
      offerDoor(
        (why, next) =>
          new Promise((done) => {
            setAsked({ why, person: next, done });
            setDoor(null);
            box.current?.showModal();
            call<Door>('/api/door/here', 'GET')
              .then(setDoor)
              .catch(() => setDoor({ shop: null, tablet: null, person: null, people: [] }));
          }),
      ),
    [],
  );
  const end = (shown: boolean) => {
    asked?.done(shown);
    setAsked(null);
    box.current?.close();
  };
  return (
    <dialog
      ref={box}
      className="sheet door-dialog"
      aria-label="Who is it?"
      onClose={() => {
        if (asked) end(false);
      }}
    >
      {asked ? (
        <>
          <h2>Who is it?</h2>
          <p>{asked.why}</p>
          {door ? (
            <DoorForm
              door={door}
              person={asked.person}
              says="It is me"
              onIn={(now) => {
                end(true);
                if (now !== person) router.refresh();
              }}
            >
              <button type="button" className="act quiet" onClick={() => end(false)}>
                Not now
              </button>
            </DoorForm>
          ) : (
            <p className="muted">…</p>
          )}
        </>
      ) : null}
    </dialog>
  );
}
