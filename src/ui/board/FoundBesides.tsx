import Link from 'next/link';
import { type Found } from '@/contracts/search';
import { SUBJECTS } from '@/contracts/searchSubjects';

/** What a search found that is no job: parts, vehicles, what was learnt; and, where nothing holds the words, that these are only like them. */
export function FoundBesides({
  found: { things, nearly },
  words,
  jobs,
}: {
  found: Found;
  words: string;
  jobs: number;
}) {
  if (things.length === 0 && jobs === 0)
    return (
      <section className="day-sheet empty">
        <p>Nothing found for “{words}”: no vehicle, owner, job, finding, part, tool or picture says it.</p>
      </section>
    );
  if (things.length === 0 && !nearly) return null;
  return (
    <section className="found-besides" aria-label="Found besides jobs">
      {nearly ? <p role="status">Nothing says “{words}”. These come near it:</p> : null}
      {things.length === 0 ? null : (
        <ul>
          {things.map(({ subject, href, title, says }) => (
            <li key={`${subject} ${href} ${says}`}>
              <span className="muted small">{SUBJECTS[subject]}</span>{' '}
              <Link className="link" href={href} prefetch={false}>
                {title}
              </Link>{' '}
              <span className="muted small">{says}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
