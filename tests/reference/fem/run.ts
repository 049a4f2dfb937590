// npx tsx tests/reference/fem/run.ts [NAME…]: runs the decks where `ccx` (Debian package calculix-ccx) is installed and
// stores what it found in results.json. The test beside it compares the stored results with the core.
import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { promisify } from 'node:util';
import { clampHalf } from '@/core/mechanics/leafpack/pack';
import { CASES, type FemCase } from './cases';
import { writeDeck, type FemMesh } from './deck';
import { type FemResult, type FemResults } from './results';

const run = promisify(execFile);
const FILE = join(import.meta.dirname, 'results.json');
const ELEMENT = 4;

type Frame = { shift: Map<number, number[]>; stress: Map<number, number[]> };

/** Displacements and nodal stresses at the end of each step, from the program's ASCII result file. */
function readFrames(text: string): Frame[] {
  const frames: Frame[] = [];
  let block: Map<number, number[]> | undefined;
  for (const line of text.split('\n')) {
    if (line.startsWith(' -4  DISP')) {
      frames.push({ shift: new Map(), stress: new Map() });
      block = frames.at(-1)!.shift;
    } else if (line.startsWith(' -4  STRESS')) block = frames.at(-1)!.stress;
    else if (line.startsWith(' -4')) block = undefined;
    else if (line.startsWith(' -3')) block = undefined;
    else if (line.startsWith(' -1') && block) {
      const values: number[] = [];
      for (let at = 13; at + 12 <= line.trimEnd().length + 1; at += 12) values.push(Number(line.slice(at, at + 12)));
      block.set(Number(line.slice(3, 13)), values);
    }
  }
  return frames;
}

/** Arch, eye distance and the largest bending stress of each leaf away from clamp and contact edges. */
function readState(fem: FemCase, mesh: FemMesh, frame: Frame, load: number) {
  const at = (leaf: number, node: number) => {
    const p = mesh.leaves[leaf]!.start.get(node)!;
    const [dx, dy] = frame.shift.get(node)!;
    return { x: p.x + dx!, y: p.y + dy! };
  };
  const tip = at(0, mesh.tips.rear);
  const pin = at(0, mesh.seat);
  const eye = mesh.tips.front === null ? { x: 2 * pin.x - tip.x, y: tip.y } : at(0, mesh.tips.front);
  const edge = clampHalf(fem.clamp);
  const stress = fem.leaves.map((leaf, i) => {
    const { s, sections } = mesh.leaves[i]!;
    let peak = 0;
    sections.forEach(([under, , top], j) => {
      // One thickness and a half from the clamp's edge the section is bent as a beam.
      if (Math.abs(s[j]!) < edge + 1.5 * leaf.thickness || j === 0 || j === sections.length - 1) return;
      const along = (node: number) => {
        const k = [under, top].indexOf(node) * 2;
        const [p, q] = [at(i, sections[j - 1]![k]!), at(i, sections[j + 1]![k]!)];
        const long = Math.hypot(q.x - p.x, q.y - p.y);
        const [tx, ty] = [(q.x - p.x) / long, (q.y - p.y) / long];
        const [xx, yy, , xy] = frame.stress.get(node)!;
        return xx! * tx * tx + yy! * ty * ty + 2 * xy! * tx * ty;
      };
      peak = Math.max(peak, Math.abs(along(top) - along(under)) / 2);
    });
    return peak;
  });
  // With a level eye line the arch at the pin is the mean eye height.
  if (Math.abs(eye.y - tip.y) > 1e-3) throw new Error('the eye line is not level');
  const eyeDistance = Math.hypot(tip.x - eye.x, tip.y - eye.y);
  return { load, arch: (tip.y + eye.y) / 2 - pin.y, eyeDistance, stress };
}

async function solveCase(fem: FemCase, element: number): Promise<FemResult> {
  const mesh = writeDeck(fem, element);
  const folder = mkdtempSync(join(tmpdir(), 'fem-'));
  try {
    writeFileSync(join(folder, 'pack.inp'), mesh.deck);
    const since = performance.now();
    const { stdout } = await run('ccx', ['pack'], {
      cwd: folder,
      maxBuffer: 1 << 28,
      env: { ...process.env, OMP_NUM_THREADS: '1' },
    });
    if (!stdout.includes('Job finished')) throw new Error(`${fem.name}: ${stdout.slice(-1500)}`);
    const seconds = (performance.now() - since) / 1000;
    const frames = readFrames(readFileSync(join(folder, 'pack.frd'), 'utf8'));
    const loads = fem.loads;
    if (frames.length !== loads.length) throw new Error(`${fem.name}: ${frames.length} of ${loads.length} steps`);
    const states = frames.map((frame, k) => readState(fem, mesh, frame, loads[k]!));
    return { element, seconds: Math.round(seconds), states };
  } finally {
    if (!process.env['KEEP']) rmSync(folder, { recursive: true });
    else console.error(folder);
  }
}

const asked = process.argv.slice(2);
let results: FemResults = { program: '', cases: {}, convergence: [] };
try {
  results = JSON.parse(readFileSync(FILE, 'utf8')) as FemResults;
} catch {
  // The first run begins the file.
}
const { stdout: version } = await run('ccx', ['-v']).catch((e: { stdout: string }) => e);
results.program = `CalculiX (Debian calculix-ccx): ${version.trim().replace(/\s+/g, ' ')}`;
for (const fem of CASES) {
  if (asked.length > 0 && !asked.some((word) => fem.name.includes(word) || word === 'all')) continue;
  const found = await solveCase(fem, ELEMENT).catch((e: Error & { stdout?: string }) => {
    console.error(fem.name, e.message.slice(0, 300), e.stdout?.slice(-1500));
    process.exitCode = 1;
  });
  if (!found) continue;
  results.cases[fem.name] = found;
  console.log(fem.name, found.seconds, 's', found.states.map((s) => `${s.load}: ${s.arch.toFixed(2)}`).join('  '));
  writeFileSync(FILE, `${JSON.stringify(results, null, 1)}\n`);
}
if (asked.includes('convergence')) {
  const fem = CASES.find((c) => c.name === 'nipped')!;
  results.convergence = [];
  for (const element of [16, 8, 4, 2]) {
    results.convergence.push(await solveCase(fem, element));
    console.log(
      'convergence',
      element,
      results.convergence
        .at(-1)!
        .states.map((s) => s.arch.toFixed(3))
        .join(' '),
    );
  }
  writeFileSync(FILE, `${JSON.stringify(results, null, 1)}\n`);
}
