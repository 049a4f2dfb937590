// One word to all servers of a shop's database, and which of them holds the instruments.
import { randomUUID } from 'node:crypto';
import { Client } from 'pg';
import { z } from 'zod';

const CHANNEL = 'gravelwort_instruments';
/** Known to every server; whoever has it holds the instruments. */
const LOCK = 'gravelwort instruments';
/** Between two tries for the lock or a connection, ms. */
const AGAIN = 1500;

export interface Exchange {
  /** Said to all other servers; lost where the database is away. */
  tell: (message: object) => void;
  close: () => Promise<void>;
}

const wordSchema = z.object({ from: z.string(), message: z.record(z.string(), z.unknown()) });

/** The database's own address: a pooler passes on neither locks nor words. Undefined where only the pooler is known. */
export const directUrl = (): string | undefined =>
  process.env.GRAVELWORT_DIRECT_DATABASE_URL ??
  (process.env.GRAVELWORT_POOLER === 'yes' ? undefined : process.env.APP_DATABASE_URL);

/**
 * Keeps one connection for listening and for the lock, and makes it anew when it is lost; with it the lock goes to another server.
 * @param onHeld told whenever this server begins or ceases to hold the lock
 */
export function openExchange(
  url: string,
  onWord: (message: Record<string, unknown>) => void,
  onHeld: (held: boolean) => void,
): Exchange {
  const self = randomUUID();
  let [client, closed, held]: [Client | undefined, boolean, boolean] = [undefined, false, false];
  let timer: NodeJS.Timeout | undefined;
  const set = (now: boolean) => {
    if (now === held) return;
    held = now;
    onHeld(now);
  };
  const lost = (of: Client) => {
    if (client !== of) return;
    client = undefined;
    clearTimeout(timer);
    void of.end().catch(() => undefined);
    set(false);
    if (!closed) timer = setTimeout(() => void open(), AGAIN);
  };
  const tryLock = async (of: Client) => {
    const { rows } = await of.query<{ got: boolean }>('SELECT pg_try_advisory_lock(hashtext($1)) AS got', [LOCK]);
    if (client !== of) return;
    if (rows[0]?.got) set(true);
    else timer = setTimeout(() => void tryLock(of).catch(() => lost(of)), AGAIN);
  };
  const open = async () => {
    const of = new Client({ connectionString: url, connectionTimeoutMillis: 5000, keepAlive: true });
    client = of;
    of.on('error', () => lost(of));
    of.on('end', () => lost(of));
    of.on('notification', ({ payload }) => {
      try {
        const word = wordSchema.parse(JSON.parse(payload ?? ''));
        if (word.from !== self) onWord(word.message);
      } catch {
        // What nobody here can read was said by another release.
      }
    });
    try {
      await of.connect();
      // A word that is lost with the machine was of that moment only.
      await of.query(`SET synchronous_commit = off; LISTEN ${CHANNEL}`);
      await tryLock(of);
    } catch {
      lost(of);
    }
  };
  void open();
  return {
    tell: (message) => {
      const text = JSON.stringify({ from: self, message });
      void client?.query('SELECT pg_notify($1, $2)', [CHANNEL, text]).catch(() => undefined);
    },
    close: async () => {
      closed = true;
      clearTimeout(timer);
      const last = client;
      client = undefined;
      await last?.end().catch(() => undefined);
    },
  };
}
