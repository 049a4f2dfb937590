import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { once } from 'node:events';
import { type Live } from '@/contracts/instrument';
import { writeLine } from '@/contracts/instrumentLine';
import { LineDriver } from './lineDriver';

let server: Server;
let sockets: Socket[];
let told: Live[];
let driver: LineDriver;

const line = (number: number, value: number, settled = true) =>
  `${writeLine({ number, values: [{ quantity: 'mass', value, unit: 'kg' }], settled, word: null }, 1)}\n`;
const until = async (holds: () => boolean) => {
  for (let k = 0; k < 4000 && !holds(); k++) await new Promise((r) => setTimeout(r, 20));
  expect(holds()).toBe(true);
};

beforeEach(async () => {
  sockets = [];
  told = [];
  server = createServer((socket) => {
    socket.on('error', () => undefined);
    sockets.push(socket);
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  driver = new LineDriver({ id: 'pad', name: 'Pad', kind: 'scalePad', side: 'left', host: '127.0.0.1', port }, (live) =>
    told.push(live),
  );
  await until(() => sockets.length === 1);
});
afterEach(() => {
  driver.close();
  sockets.forEach((s) => s.destroy());
  server.close();
});

test('a line in two pieces is one reading', async () => {
  const text = line(1, 541.2);
  sockets[0]!.write(text.slice(0, 9));
  await new Promise((r) => setTimeout(r, 40));
  expect(told).toEqual([]);
  sockets[0]!.write(text.slice(9));
  await until(() => told.length === 1);
  expect(told[0]).toMatchObject({ state: 'settled', values: [{ value: 541.2, unit: 'kg' }] });
});

test('one garbled line is dropped, several are said, and a good one ends it', async () => {
  sockets[0]!.write(`rubbish\n${line(2, 10)}`);
  await until(() => told.length === 1);
  expect(told[0]).toMatchObject({ state: 'settled', garbled: 1 });
  sockets[0]!.write('a\nb\nc\n');
  await until(() => told.at(-1)!.state === 'garbled');
  sockets[0]!.write(line(3, 11, false));
  await until(() => told.at(-1)!.state === 'settling');
});

test('silence is said, and cut off in mid-reading it is said, nothing is made of the half line, and it connects again', async () => {
  await until(() => told.at(-1)?.state === 'silent');
  sockets[0]!.write(line(4, 500).slice(0, 12));
  sockets[0]!.destroy();
  // A busy machine may have gone on to the next state before it is looked at.
  await until(() => told.some((t) => t.state === 'cutOff'));
  expect(told.every((t) => t.values.length === 0)).toBe(true);
  await until(() => sockets.length === 2);
  sockets[1]!.write(line(1, 499));
  await until(() => told.some((t) => t.state === 'settled'));
});
