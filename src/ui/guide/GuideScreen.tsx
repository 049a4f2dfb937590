import Markdown from 'react-markdown';
import { type Person } from '@/contracts/person';
import { PageFrame } from '../frame/PageFrame';

interface Props {
  /** As it is written in docs/guide.md. */
  text: string;
  people: readonly Person[];
  person: string;
}

/** The guide, with its pictures from this machine. */
export function GuideScreen({ text, people, person }: Props) {
  return (
    <PageFrame title="Guide" note="one job, told with pictures" people={people} person={person}>
      <article className="sheet guide">
        <Markdown
          urlTransform={(url) => url.replace(/^screenshots\//, '/guide/pictures/')}
          components={{
            // The page has its own first heading.
            h1: ({ children }) => <p className="guide-title">{children}</p>,
            // eslint-disable-next-line @next/next/no-img-element
            img: ({ src, alt }) => <img src={src} alt={alt} loading="lazy" />,
          }}
        >
          {text}
        </Markdown>
      </article>
    </PageFrame>
  );
}
