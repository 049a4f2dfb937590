import { foreign } from './origin';

const from = (host: string, origin?: string) =>
  foreign(new Headers({ host, ...(origin === undefined ? {} : { origin }) }));

test('only this machine’s own pages are answered', () => {
  expect(from('127.0.0.1:4680')).toBeUndefined();
  expect(from('localhost:4680', 'http://localhost:4680')).toBeUndefined();
  for (const [host, origin] of [
    ['rebound.example:4680'],
    ['127.0.0.1:4680', 'http://other.example'],
    ['127.0.0.1:4680', 'http://127.0.0.1:9999'],
    ['127.0.0.1:4680', 'null'],
  ] as const)
    expect(from(host!, origin)?.code).toBe('foreign-origin');
});
