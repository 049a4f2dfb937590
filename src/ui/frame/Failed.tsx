'use client';

/** Shown when a page cannot be loaded, mostly because the database is not up. */
export default function Failed({ reset }: { reset: () => void }) {
  return (
    <main className="bench">
      <section className="sheet lost">
        <h1>This page could not be loaded just now</h1>
        <p>Nothing saved is lost. If the server was restarted, it may need a few seconds.</p>
        <button type="button" className="act" onClick={reset}>
          Try again
        </button>
      </section>
    </main>
  );
}
