'use client';
import { useSyncExternalStore } from 'react';
import { liveSchema, type Live } from '@/contracts/instrument';

/** One stream for the whole page, and none while nobody looks: a browser has few connections to a server. */
class LiveStream {
  private source: EventSource | undefined;
  private readonly listeners = new Set<() => void>();
  private readonly byId = new Map<string, Live>();
  private list: Live[] = [];

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
    const said = liveSchema.safeParse(JSON.parse(data));
    if (!said.success) return;
    this.byId.set(said.data.id, said.data);
    this.list = [...this.byId.values()].sort((p, q) => p.name.localeCompare(q.name));
    for (const listener of this.listeners) listener();
  }
}

const stream = new LiveStream();
const NONE: Live[] = [];

/** What the instruments say, live; empty where there are none. */
export const useInstruments = (): Live[] => useSyncExternalStore(stream.subscribe, stream.get, () => NONE);
