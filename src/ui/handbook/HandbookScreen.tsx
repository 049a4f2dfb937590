'use client';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { findByFigure, findSums, SUMS } from '@/core/handbook/sums';
import { TextField } from '../controls/TextField';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { SumSheet } from './SumSheet';
import { type TableId } from './TableSheet';
import { useNetwork } from './useNetwork';

// Only when they are asked for.
const TableSheet = dynamic(() => import('./TableSheet').then((table) => table.TableSheet));
const QRCode = dynamic(() => import('@rc-component/qrcode').then((code) => code.QRCodeSVG), { ssr: false });
const BackToJob = dynamic(() => import('./BackToJob').then((back) => back.BackToJob));

/** The words of the trade, once somebody looks for one. */
const loadTerms = () => import('@/core/handbook/terms');

const TABLES = [
  {
    id: 'threads',
    title: 'Threads, nuts, head marks',
    words: 'metric inch stress area clearance hole across flats grade proof',
  },
  { id: 'drills', title: 'Drills', words: 'drill bit number letter fraction size' },
  { id: 'bushes', title: 'Bushes', words: 'bushing rubber polyurethane nylon bronze grease tighten' },
  { id: 'terms', title: 'Words of the trade', words: 'terms glossary names parts what is it called' },
  { id: 'limits', title: 'Inspection limits', words: 'wear limit crack sag play law stop replace' },
  {
    id: 'schools',
    title: 'Where the trade differs',
    words: 'rules of practice opinion schools reasons new u-bolts pairs',
  },
  { id: 'keys', title: 'Keys', words: 'keyboard shortcuts' },
] as const satisfies readonly { id: TableId; title: string; words: string }[];

/** The job that a sum was opened from, as it stands in the address. */
const JOB = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

interface Props {
  /** What stood in the address when the page was asked for. */
  asked: Readonly<Record<string, string>>;
}

/** The trade's sums and tables; everything typed stands in the address, so that it opens the same anywhere. */
export function HandbookScreen({ asked }: Props) {
  const [given, setGiven] = useState(asked);
  const [search, setSearch] = useState('');
  const [copied, setCopied] = useState<'' | 'address' | 'text'>('');
  const [code, setCode] = useState('');
  const network = useNetwork();
  // The day stands on the paper, not on the screen.
  const [printed, setPrinted] = useState('');
  useEffect(() => {
    if (printed) window.print();
  }, [printed]);
  // Without a network the page comes out of the cache and was asked for under another address.
  useEffect(() => {
    const read = () => setGiven(Object.fromEntries(new URLSearchParams(window.location.search)));
    if (window.location.search !== `?${new URLSearchParams(asked).toString()}`) read();
    window.addEventListener('popstate', read);
    return () => window.removeEventListener('popstate', read);
  }, [asked]);
  const put = (next: Record<string, string>, newPlace = false) => {
    const address = `/handbook?${new URLSearchParams(next).toString()}`;
    if (newPlace) window.history.pushState(null, '', address);
    else window.history.replaceState(null, '', address);
    setGiven(next);
    setCopied('');
    setCode('');
  };
  const table = TABLES.find((t) => t.id === given.sum);
  const open = table ? null : (SUMS.find((s) => s.id === given.sum) ?? SUMS[0]!);
  const found = findSums(search);
  const figures = findByFigure(search);
  const [findTerms, setFindTerms] = useState<Awaited<ReturnType<typeof loadTerms>>['findTerms']>();
  useEffect(() => {
    if (search !== '') void loadTerms().then((loaded) => setFindTerms(() => loaded.findTerms));
  }, [search]);
  const terms = findTerms && search.trim() ? findTerms(search) : [];
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const tables = TABLES.filter((t) => words.every((w) => `${t.title} ${t.words}`.toLowerCase().includes(w)));
  const groups = [...new Set(found.map((s) => s.group))];
  const entry = (id: string, title: string, to: Record<string, string>) => (
    <li key={`${id}${JSON.stringify(to)}`}>
      <button
        type="button"
        className="link"
        aria-current={id === (open?.id ?? table?.id) ? 'page' : undefined}
        onClick={() => put(to, true)}
      >
        {title}
      </button>
    </li>
  );
  const copy = (what: 'address' | 'text') => {
    const answer = document.querySelector('[data-testid=answer]')?.textContent ?? '';
    const foot = [...document.querySelectorAll('.sum-foot p')].map((p) => p.textContent).join('\n');
    const text =
      what === 'address' ? window.location.href : `${open?.title ?? ''}: ${answer}\n${foot}\n${window.location.href}`;
    void navigator.clipboard.writeText(text).then(() => setCopied(what));
  };
  return (
    <PageFrame title="Handbook" note={network.words} tape={<StationTape current="handbook" />} fixed>
      <div className="handbook">
        <nav className="sheet handbook-list" aria-label="Sums">
          <TextField label="Find by any word or figure" most={80} value={search} onChange={setSearch} />
          {figures.length > 0 ? (
            <section>
              <h2>with {search.trim()}</h2>
              <ul>{figures.map(({ sum, texts }) => entry(sum.id, sum.title, { sum: sum.id, ...texts }))}</ul>
            </section>
          ) : null}
          {terms.length > 0 && terms.length < 6 ? (
            <section>
              <h2>words</h2>
              <ul>{terms.map((t) => entry('', t.name, { sum: 'terms', find: t.name }))}</ul>
            </section>
          ) : null}
          {groups.map((group) => (
            <section key={group}>
              <h2>{group}</h2>
              <ul>{found.filter((s) => s.group === group).map((s) => entry(s.id, s.title, { sum: s.id }))}</ul>
            </section>
          ))}
          {tables.length > 0 ? (
            <section>
              <h2>tables</h2>
              <ul>{tables.map((t) => entry(t.id, t.title, { sum: t.id }))}</ul>
            </section>
          ) : null}
          {found.length + figures.length + terms.length + tables.length === 0 ? (
            <p className="muted">Nothing is called that here.</p>
          ) : null}
        </nav>
        <div className="handbook-open">
          {printed ? <p className="print-only">Gravelwort, Handbook, printed {printed}</p> : null}
          {open ? (
            <SumSheet
              key={open.id}
              sum={open}
              texts={given}
              onText={(id, text) => put({ ...given, sum: open.id, [id]: text })}
            />
          ) : (
            <TableSheet id={table!.id} find={given.find ?? ''} />
          )}
          {open && JOB.test(given.job ?? '') ? <BackToJob job={given.job!} title={open.title} /> : null}
          <div className="acts no-print">
            <button type="button" className="act quiet" onClick={() => copy('address')}>
              {copied === 'address' ? 'Address copied' : 'Copy its address'}
            </button>
            {open ? (
              <button type="button" className="act quiet" onClick={() => copy('text')}>
                {copied === 'text' ? 'Text copied' : 'Copy as text'}
              </button>
            ) : null}
            <button
              type="button"
              className="act quiet"
              aria-expanded={code !== ''}
              onClick={() => setCode(code ? '' : window.location.href)}
            >
              Code for a phone
            </button>
            <button type="button" className="act quiet" onClick={() => setPrinted(new Date().toLocaleString())}>
              Print
            </button>
          </div>
          {code ? (
            <figure className="sheet code">
              <QRCode value={code} size={220} marginSize={2} />
              <figcaption className="muted small">{code}</figcaption>
            </figure>
          ) : null}
        </div>
      </div>
    </PageFrame>
  );
}
