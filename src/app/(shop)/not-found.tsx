import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="bench">
      <section className="sheet lost">
        <h1>There is nothing here</h1>
        <p>The job was never made, or belongs to another shop.</p>
        <Link className="act" href="/">
          To the Board
        </Link>
      </section>
    </main>
  );
}
