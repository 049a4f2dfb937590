'use client';
import { Tabs } from 'antd';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Mark, type MarkKind } from '../controls/Mark';
import { RoomBox } from '../drawing/RoomBox';

/** Stage, verdict and dock of a station: the page holds still, what is long scrolls inside its tab. */
export const Workbench = ({ className = '', children }: { className?: string; children: ReactNode }) => (
  <div className={`workbench ${className}`}>{children}</div>
);

interface StageProps {
  title: string;
  /** Beside the title: what the drawing is of, and how it is to be read; null where the drawing brings its own head. */
  aside?: ReactNode;
  /** Under the drawing. */
  foot?: ReactNode;
  children: ReactNode;
}

/** The drawing of a station, as large as its box allows. */
export function Stage({ title, aside, foot, children }: StageProps) {
  return (
    <section className="sheet stage" aria-label={title}>
      {aside === null ? null : (
        <header className="sheet-head">
          <h2>{title}</h2>
          {aside}
        </header>
      )}
      <RoomBox className="stage-room">{children}</RoomBox>
      {foot}
    </section>
  );
}

export interface DockTab {
  /** Also its place in the address, behind `#`. */
  id: string;
  name: string;
  /** How it stands, where that is worth a look before it is opened. */
  mark?: { kind: MarkKind | 'stop'; word: string } | undefined;
  /** What is long: the dock takes the room of the stage while it is open. */
  roomy?: boolean;
  /** Gone while another is open, for what stands elsewhere on the page then. */
  alone?: boolean;
  /** There before it was opened, for what other parts of the page read. */
  ready?: boolean;
  children: ReactNode;
}

interface DockProps {
  label: string;
  tabs: readonly DockTab[];
  /** Open at first, unless the address says another. */
  first: string;
  /** On a phone it lies along the bottom edge as its tabs alone, and one that is touched comes up over the drawing. */
  below?: boolean;
  /** What the page is at: another field or spot, and what had come up on a phone goes down again. */
  at?: string;
  /** Told which tab is open. */
  onOpen?: (id: string) => void;
}

const inAddress = (): string => window.location.hash.slice(1);

/** Everything else of a station, in tabs. What was opened once stays as it was left. */
export function Dock({ label, tabs, first, below = false, at = '', onOpen }: DockProps) {
  const [picked, setPicked] = useState<string | null>(null);
  const [asked, setTall] = useState<boolean | null>(null);
  const [raisedAt, setRaisedAt] = useState<string | null>(null);
  // A place in the address that this screen has no tab for brings nothing up.
  const raised = raisedAt === at && (picked === null || tabs.some((tab) => tab.id === picked));
  const now = useRef(at);
  useEffect(() => {
    now.current = at;
  }, [at]);
  useEffect(() => {
    const read = () => {
      const asked = inAddress();
      if (!asked) return;
      setPicked(asked);
      setRaisedAt(now.current);
    };
    read();
    window.addEventListener('hashchange', read);
    return () => window.removeEventListener('hashchange', read);
  }, []);
  const open = tabs.find((tab) => tab.id === picked) ?? tabs.find((tab) => tab.id === first) ?? tabs[0];
  const tall = asked ?? open?.roomy ?? false;
  const id = open?.id ?? '';
  useEffect(() => onOpen?.(id), [onOpen, id]);
  return (
    <section
      className={['sheet dock', tall ? 'tall' : '', below ? 'below' : '', raised ? 'raised' : ''].join(' ')}
      aria-label={label}
    >
      {below && raised ? (
        <button type="button" className="dock-lower" onClick={() => setRaisedAt(null)}>
          back to the drawing
        </button>
      ) : null}
      <button type="button" className="dock-taller" aria-pressed={tall} onClick={() => setTall(!tall)}>
        <svg viewBox="0 0 14 14" aria-hidden="true">
          <path d={tall ? 'M2 5l5 5l5 -5' : 'M2 9l5 -5l5 5'} fill="none" stroke="currentColor" strokeWidth="2" />
        </svg>
        <span className="taller-word">{tall ? 'drawing' : 'more room'}</span>
      </button>
      <Tabs
        activeKey={id}
        animated={false}
        // Also the tab that was open last is brought up by a touch.
        onTabClick={(id) => {
          setPicked(id);
          setRaisedAt(at);
        }}
        onChange={(id) => {
          setPicked(id);
          setTall(null);
          window.history.replaceState(null, '', `#${id}`);
        }}
        items={tabs.map(({ id, name, mark, ready = false, alone = false, children }) => ({
          key: id,
          forceRender: ready,
          destroyOnHidden: alone,
          label: (
            <>
              {name}
              {mark ? (
                <span
                  className={
                    mark.kind === 'stop' ? 'stop-word tab-mark' : mark.kind === 'look' ? 'look tab-mark' : 'tab-mark'
                  }
                >
                  {mark.kind === 'stop' ? null : <Mark kind={mark.kind} />} {mark.word}
                </span>
              ) : null}
            </>
          ),
          children,
        }))}
      />
    </section>
  );
}
