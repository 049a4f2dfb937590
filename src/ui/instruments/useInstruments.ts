'use client';
import { useSyncExternalStore } from 'react';
import { type Live } from '@/contracts/instrument';
import { STATE_WORDS, valueText } from './liveText';

/** A figure that changes is shown this often at most, ms. */
const EVERY = 250;

/** What of a live value can be seen: two that look alike are the same. */
const seen = (l: Live): string =>
  [
    STATE_WORDS[l.state],
    l.word ?? '',
    l.word === 'peak' ? l.reading : '',
    l.garbled,
    ...l.values.map((v) => `${v.quantity} ${valueText(v)}`),
  ].join('|');

/**
 * One stream for the whole page, and none while nobody looks: a browser has few connections to a server. Listeners hear of it four
 * times a second at most, and only when something that is shown has changed.
 */
class LiveStream {
  private source: EventSource | undefined;
  private readonly listeners = new Set<() => void>();
  private readonly byId = new Map<string, Live>();
  private readonly told = new Map<string, string>();
  private list: Live[] = [];
  /** The pull of each wrench that went to a bolt. */
  private readonly used = new Map<string, number | null>();
  private timer: ReturnType<typeof setTimeout> | undefined;

  subscribe = (listener: () => void): (() => void) => {
    if (this.listeners.size === 0) document.addEventListener('visibilitychange', this.turn);
    this.listeners.add(listener);
    this.turn();
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size === 0) document.removeEventListener('visibilitychange', this.turn);
      this.turn();
    };
  };

  get = (): Live[] => this.list;
  of = (kind: Live['kind']): Live | undefined => this.list.find((l) => l.kind === kind);
  /** The pull that no bolt has yet. */
  pull = (): Live | undefined =>
    this.list.find(
      (l) => l.kind === 'torqueWrench' && l.state === 'settled' && l.reading !== (this.used.get(l.id) ?? null),
    );
  /** One pull is one bolt; one that could not be stored is free again. */
  use = ({ id, reading }: Live, used: boolean): void => {
    this.used.set(id, used ? reading : null);
    for (const listener of this.listeners) listener();
  };

  private readonly turn = (): void => {
    const wanted = this.listeners.size > 0 && document.visibilityState === 'visible';
    if (wanted && !this.source) {
      this.source = new EventSource('/api/instruments');
      this.source.onmessage = ({ data }: MessageEvent<string>) => this.take(data);
    }
    if (!wanted && this.source) {
      this.source.close();
      this.source = undefined;
    }
  };

  private take(data: string): void {
    const said = JSON.parse(data) as Live;
    this.byId.set(said.id, said);
    // Connected anew it counts from one again.
    if (said.state === 'cutOff') this.used.delete(said.id);
    this.timer ??= setTimeout(this.tell, EVERY);
  }

  private readonly tell = (): void => {
    this.timer = undefined;
    let changed = false;
    this.list = [...this.byId.values()]
      .map((l) => {
        const was = this.list.find((old) => old.id === l.id);
        const text = seen(l);
        if (was && this.told.get(l.id) === text) return was;
        this.told.set(l.id, text);
        changed = true;
        return l;
      })
      .sort((p, q) => p.name.localeCompare(q.name));
    if (changed) for (const listener of this.listeners) listener();
  };
}

const stream = new LiveStream();
const NONE: Live[] = [];

/** What the instruments say, live; empty where there are none. */
export const useInstruments = (): Live[] => useSyncExternalStore(stream.subscribe, stream.get, () => NONE);

/** One instrument of a kind; who asks for it redraws only when that one says something else. */
export const useInstrument = (kind: Live['kind']): Live | undefined =>
  useSyncExternalStore(
    stream.subscribe,
    () => stream.of(kind),
    () => undefined,
  );

/** A wrench's pull that no bolt has yet, and how it is used up; who asks redraws only when there is another. */
export const usePull = (): { pull: Live | undefined; use: (pull: Live, used: boolean) => void } => ({
  pull: useSyncExternalStore(stream.subscribe, stream.pull, () => undefined),
  use: stream.use,
});
