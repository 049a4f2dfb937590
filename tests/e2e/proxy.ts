import { once } from 'node:events';
import { createServer, request, type Server } from 'node:http';
import { type AddressInfo } from 'node:net';

/** How often each server is asked whether it is to be sent to, ms. */
const ASKED = 150;

/** A plain proxy: spreads requests in turn over the servers that say they are ready. It repeats nothing and keeps nothing. */
export class Proxy {
  private ready = new Set<number>();
  private turn = 0;
  private readonly timer: NodeJS.Timeout;
  /** How many requests each server was sent. */
  readonly sent = new Map<number, number>();

  private constructor(
    private readonly server: Server,
    private readonly ports: readonly number[],
  ) {
    this.timer = setInterval(() => void this.ask(), ASKED);
    server.on('request', (from, to) => {
      const ready = this.ports.filter((p) => this.ready.has(p));
      const port = ready[this.turn++ % Math.max(1, ready.length)];
      if (port === undefined) return void to.writeHead(503).end();
      this.sent.set(port, (this.sent.get(port) ?? 0) + 1);
      const headers = { ...from.headers, 'x-forwarded-for': from.socket.remoteAddress, connection: 'close' };
      const on = request({ host: '127.0.0.1', port, method: from.method, path: from.url, headers }, (answer) => {
        to.writeHead(answer.statusCode ?? 502, answer.headers);
        answer.pipe(to);
      });
      on.on('error', () => (to.headersSent ? to.destroy() : to.writeHead(502).end()));
      to.on('close', () => on.destroy());
      from.pipe(on);
    });
  }

  static async before(ports: readonly number[]): Promise<Proxy> {
    const server = createServer().listen(0, '127.0.0.1');
    await once(server, 'listening');
    const proxy = new Proxy(server, ports);
    await proxy.ask();
    return proxy;
  }

  get url(): string {
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }

  private async ask(): Promise<void> {
    for (const port of this.ports) {
      const { ok } = await fetch(`http://127.0.0.1:${port}/readyz`).catch(() => ({ ok: false }));
      if (ok) this.ready.add(port);
      else this.ready.delete(port);
    }
  }

  close(): void {
    clearInterval(this.timer);
    this.server.closeAllConnections();
    this.server.close();
  }
}
