import { foreign } from './origin';

const from = (host: string, origin?: string, method = 'POST') =>
  foreign(new Headers({ host, ...(origin === undefined ? {} : { origin }) }), method);

afterEach(() => {
  delete process.env.GRAVELWORT_HOSTS;
  delete process.env.GRAVELWORT_TLS;
});

test('only its own pages are answered: of this machine, or under a name it was given', () => {
  expect(from('127.0.0.1:4680', undefined, 'GET')).toBeUndefined();
  expect(from('localhost:4680', 'http://localhost:4680')).toBeUndefined();
  process.env.GRAVELWORT_HOSTS = 'bench.shop.example, other:8443';
  expect(from('Bench.shop.example:4680', 'https://bench.shop.example:4680')).toBeUndefined();
  expect(from('other:8443', 'https://other:8443')).toBeUndefined();
  for (const [host, origin] of [
    ['rebound.example:4680', undefined],
    ['other:80', 'http://other:80'],
    ['127.0.0.1:4680', 'http://other.example'],
    ['127.0.0.1:4680', 'http://127.0.0.1:9999'],
    ['127.0.0.1:4680', 'null'],
    // A write of which nobody says what page it comes from.
    ['127.0.0.1:4680', undefined],
  ] as const)
    expect([host, from(host, origin)?.code]).toEqual([host, 'foreign-origin']);
  expect(foreign(new Headers({ host: 'localhost', 'sec-fetch-site': 'same-origin' }), 'PUT')).toBeUndefined();
  // A page in the clear is no page of a server that has none.
  process.env.GRAVELWORT_TLS = 'yes';
  expect(from('localhost:4680', 'http://localhost:4680')?.code).toBe('foreign-origin');
});
