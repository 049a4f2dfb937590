import { createServer, type Server } from 'node:http';
import { once } from 'node:events';
import { type AddressInfo } from 'node:net';
import { isNear, postTo } from './post';

let server: Server;
const heard: string[] = [];
beforeAll(async () => {
  server = createServer((from, to) => {
    heard.push(String(from.headers['x-word']));
    to.writeHead(from.url === '/on' ? 302 : 204, { Location: '/elsewhere' }).end();
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
});
afterAll(() => server.close());
afterEach(() => delete process.env.GRAVELWORT_HOOKS_NEAR);

test('addresses of this machine and of private networks are near, however they are written', () => {
  for (const address of [
    '127.0.0.1',
    '10.1.2.3',
    '172.31.0.1',
    '192.168.1.1',
    '169.254.169.254',
    '100.64.0.1',
    '0.0.0.0',
    '::1',
    '::',
    'fd00::1',
    'fe80::1',
    '::ffff:127.0.0.1',
  ])
    expect([address, isNear(address)]).toEqual([address, true]);
  for (const address of ['93.184.216.34', '172.32.0.1', '2606:2800:220:1::1'])
    expect([address, isNear(address)]).toEqual([address, false]);
});

test('nothing is said to a near address unless that is allowed, and nobody is led on', async () => {
  const { port } = server.address() as AddressInfo;
  for (const host of ['127.0.0.1', 'localhost', '[::1]', '2130706433'])
    await expect(postTo(`http://${host}:${port}/`, '{}', { 'x-word': 'a' })).rejects.toThrow('network of the inside');
  expect(heard).toEqual([]);
  process.env.GRAVELWORT_HOOKS_NEAR = 'yes';
  expect(await postTo(`http://127.0.0.1:${port}/`, '{}', { 'x-word': 'b' })).toBe(204);
  expect(await postTo(`http://127.0.0.1:${port}/on`, '{}', { 'x-word': 'c' })).toBe(302);
  expect(heard).toEqual(['b', 'c']);
});
