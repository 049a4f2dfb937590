import { type ReactNode } from 'react';

/** A panel drawn as a sheet of the drawing office. */
export function Sheet({
  title,
  aside,
  children,
  id,
}: {
  title: string;
  aside?: ReactNode;
  children: ReactNode;
  id?: string;
}) {
  return (
    <section className="sheet" id={id} aria-label={title}>
      <header className="sheet-head">
        <h2>{title}</h2>
        {aside}
      </header>
      {children}
    </section>
  );
}
