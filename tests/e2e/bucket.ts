import { once } from 'node:events';
import { createServer, type Server } from 'node:http';
import { type AddressInfo } from 'node:net';
import { AwsV4Signer } from 'aws4fetch';

/** A store of objects on this machine that takes and gives only what is signed with its key, as the stores of others do. */
export class Bucket {
  readonly objects = new Map<string, Buffer>();
  away = false;
  private constructor(private readonly server: Server) {}
  static readonly KEY = 'a-key-of-the-tests';
  static readonly SECRET = 'a-secret-of-the-tests';

  static async open(): Promise<Bucket> {
    const server = createServer().listen(0, '127.0.0.1');
    await once(server, 'listening');
    const bucket = new Bucket(server);
    server.on('request', (from, to) => {
      const pieces: Buffer[] = [];
      from.on('data', (piece: Buffer) => pieces.push(piece));
      from.on('end', () => {
        const path = from.url ?? '';
        const { authorization = '', 'x-amz-date': date } = from.headers;
        const signed = /SignedHeaders=([^,]+)/.exec(authorization)?.[1]?.split(';') ?? [];
        const headers = Object.fromEntries(
          signed.filter((n) => n !== 'host' && n !== 'x-amz-date').map((n) => [n, String(from.headers[n])]),
        );
        const signer = new AwsV4Signer({
          ...{
            url: `${bucket.url}${path}`,
            method: from.method!,
            accessKeyId: Bucket.KEY,
            secretAccessKey: Bucket.SECRET,
          },
          ...{ service: 's3', region: 'auto', datetime: String(date), headers, allHeaders: true },
        });
        void signer.sign().then(({ headers: own }) => {
          const same = own.get('authorization')?.split('Signature=')[1] === authorization.split('Signature=')[1];
          if (bucket.away) to.writeHead(400).end();
          else if (!same) to.writeHead(403).end();
          else if (from.method === 'PUT') {
            bucket.objects.set(path, Buffer.concat(pieces));
            to.writeHead(200).end();
          } else if (bucket.objects.has(path)) to.writeHead(200).end(bucket.objects.get(path));
          else to.writeHead(404).end();
        });
      });
    });
    return bucket;
  }
  get url(): string {
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }
  close(): void {
    this.server.closeAllConnections();
    this.server.close();
  }
}
