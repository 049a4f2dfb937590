import { connect, type Socket } from 'node:net';
import { type Instrument, type Live } from '@/contracts/instrument';
import { readLine, type InstrumentLine } from '@/contracts/instrumentLine';

/** What a driver tells; a real device is one more driver that tells the same. */
export interface Driver {
  zero: () => void;
  close: () => void;
}
export type Tell = (live: Live) => void;

/** No line for this long is silence, ms. */
const SILENCE = 2500;
/** A wrench speaks once a pull and is silent otherwise: its peak waits this long to be taken, ms. */
const PEAK_HELD = 60_000;
/** Between two tries to connect, ms. */
const AGAIN = 1500;
/** A line longer than this is none; what came so far is dropped. */
const LONGEST = 400;

/** Talks the line protocol over TCP; connects again by itself. Nothing that an instrument does throws. */
export class LineDriver implements Driver {
  private socket: Socket | undefined;
  private pending = '';
  private garbled = 0;
  private badInRow = 0;
  private watch: NodeJS.Timeout | undefined;
  private retry: NodeJS.Timeout | undefined;
  private closed = false;

  constructor(
    private readonly instrument: Instrument,
    private readonly tell: Tell,
  ) {
    this.open();
  }

  private say(state: Live['state'], read?: InstrumentLine): void {
    const { id, name, kind, side } = this.instrument;
    const { values = [], word = null, number: reading = null } = read ?? {};
    this.tell({ id, name, kind, side, state, values, word, reading, garbled: this.garbled });
  }

  private open(): void {
    if (this.closed) return;
    this.pending = '';
    this.badInRow = 0;
    const socket = connect({ host: this.instrument.host, port: this.instrument.port });
    this.socket = socket;
    socket.setEncoding('latin1');
    socket.setNoDelay(true);
    socket.on('connect', () => this.heard());
    socket.on('data', (text: string) => this.take(text));
    socket.on('error', () => undefined);
    socket.on('close', () => {
      clearTimeout(this.watch);
      if (this.closed) return;
      this.say('cutOff');
      this.retry = setTimeout(() => this.open(), AGAIN);
    });
  }

  private heard(silence = SILENCE): void {
    clearTimeout(this.watch);
    this.watch = setTimeout(() => this.say('silent'), silence);
  }

  private take(text: string): void {
    this.heard();
    const lines = (this.pending + text).split('\n');
    this.pending = lines.pop() ?? '';
    if (this.pending.length > LONGEST) this.pending = '';
    for (const line of lines) {
      const read = readLine(line.trim());
      if (!read) {
        this.garbled += 1;
        this.badInRow += 1;
        // One bad line is dropped; several in a row are said.
        if (this.badInRow >= 3) this.say('garbled');
        continue;
      }
      this.badInRow = 0;
      if (read.word === 'peak') this.heard(PEAK_HELD);
      this.say(read.settled ? 'settled' : 'settling', read);
    }
  }

  zero(): void {
    this.socket?.write('ZERO\n', () => undefined);
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.watch);
    clearTimeout(this.retry);
    this.socket?.destroy();
  }
}
