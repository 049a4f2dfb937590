// Simulated instruments of the demo: small TCP services that speak the line protocol of docs/formats.md.
import { writeFileSync } from 'node:fs';
import { createServer, type AddressInfo, type Socket } from 'node:net';
import { type Instrument, type InstrumentKind } from '@/contracts/instrument';
import { writeLine, type InstrumentLine } from '@/contracts/instrumentLine';
import { type UnitId } from '@/core/units/units';
import { uniformFrom } from '@/workers/random';
import { Gauge, type Fault } from './model';
import { demoPack, pressLoop } from './press';

const TICK = 0.2;

/** Something that says a line every tick, or nothing. */
interface Device {
  say: () => Omit<InstrumentLine, 'number'> | null;
  zero: () => void;
  load: (truth: number) => void;
}

function gaugeDevice(
  quantity: string,
  unit: UnitId,
  truth: number,
  noise: number,
  drift: number,
  seed: number,
): () => Device {
  return () => {
    const gauge = new Gauge({ truth, noise, settling: 0.7, drift }, uniformFrom(seed));
    return {
      say: () => {
        const { value, settled } = gauge.step(TICK);
        return { values: [{ quantity, value, unit }], settled, word: null };
      },
      zero: () => gauge.tare(),
      load: (next) => gauge.load(next),
    };
  };
}

/** Says the peak of each pull once, every few seconds another. */
function wrenchDevice(): Device {
  const uniform = uniformFrom(11);
  let ticks = 0;
  return {
    say: () => {
      if (ticks++ % 20 !== 0) return null;
      const peak = 112_000 + 9000 * uniform();
      return { values: [{ quantity: 'torque', value: peak, unit: 'N·m' }], settled: true, word: 'peak' };
    },
    zero: () => undefined,
    load: () => undefined,
  };
}

/** Runs its loop over and over. */
function pressDevice(): Device {
  const points = pressLoop(demoPack(), 6000, 12);
  let at = 0;
  let ticks = 0;
  return {
    say: () => {
      const { force, archTop, branch } = points[at]!;
      if (ticks++ % 4 === 3) at = (at + 1) % points.length;
      const values = [
        { quantity: 'force', value: force, unit: 'N' as const },
        { quantity: 'arch', value: archTop, unit: 'mm' as const },
      ];
      return { values, settled: ticks % 4 === 3, word: branch };
    },
    zero: () => undefined,
    load: () => undefined,
  };
}

interface Spec {
  id: string;
  name: string;
  kind: InstrumentKind;
  side: Instrument['side'];
  decimals: number;
  device: () => Device;
}

const SPECS: Spec[] = [
  {
    id: 'pad-left',
    name: 'Scale pad, left',
    kind: 'scalePad',
    side: 'left',
    decimals: 1,
    device: gaugeDevice('mass', 'kg', 541, 0.4, 0.002, 1),
  },
  {
    id: 'pad-right',
    name: 'Scale pad, right',
    kind: 'scalePad',
    side: 'right',
    decimals: 1,
    device: gaugeDevice('mass', 'kg', 549, 0.4, -0.001, 2),
  },
  {
    id: 'height',
    name: 'Height gauge',
    kind: 'heightGauge',
    side: null,
    decimals: 1,
    device: gaugeDevice('length', 'mm', 489, 0.15, 0, 3),
  },
  {
    id: 'angle',
    name: 'Angle gauge',
    kind: 'angleGauge',
    side: null,
    decimals: 1,
    device: gaugeDevice('angle', 'deg', (101 * Math.PI) / 180, 0.001, 0, 4),
  },
  { id: 'wrench', name: 'Torque wrench', kind: 'torqueWrench', side: null, decimals: 1, device: wrenchDevice },
  { id: 'press', name: 'Spring press', kind: 'springPress', side: null, decimals: 2, device: pressDevice },
];

/** One client: lines every tick, until it goes or the instrument is told to fail. Commands: ZERO, LOAD n, FAULT kind. */
function attend(socket: Socket, spec: Spec): void {
  const device = spec.device();
  let fault: Fault = 'none';
  let number = 0;
  socket.setEncoding('ascii');
  socket.on('error', () => undefined);
  socket.on('data', (text: string) => {
    for (const line of String(text).split('\n')) {
      const [command, value] = line.trim().split(' ');
      if (command === 'ZERO') device.zero();
      if (command === 'LOAD' && Number.isFinite(Number(value))) device.load(Number(value));
      if (command === 'FAULT' && ['none', 'silent', 'garbled', 'cutOff'].includes(value ?? '')) fault = value as Fault;
    }
  });
  const timer = setInterval(() => {
    const said = device.say();
    if (!said) return;
    number += 1;
    if (fault === 'silent') return;
    const line = writeLine({ ...said, number }, spec.decimals);
    if (fault === 'cutOff') {
      socket.write(line.slice(0, line.length >> 1));
      socket.destroy();
    } else socket.write(`${fault === 'garbled' ? line.replace(/\d/, '#') : line}\n`);
  }, TICK * 1000);
  socket.on('close', () => clearInterval(timer));
}

const file = process.argv[2];
if (!file) throw new Error('usage: tsx instruments/serve.ts FILE');
const found: Instrument[] = [];
for (const spec of SPECS) {
  const server = createServer((socket) => attend(socket, spec)).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { id, name, kind, side } = spec;
  found.push({ id, name, kind, side, host: '127.0.0.1', port: (server.address() as AddressInfo).port });
}
writeFileSync(file, JSON.stringify(found, null, 1));
process.stdout.write(`      ${found.length} simulated instruments are on\n`);
