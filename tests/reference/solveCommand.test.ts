import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { springCaseSchema } from '@/contracts/springCase';
import { solveCase, type SpringAnswer } from '@/core/springCase/springCase';

const folder = mkdtempSync(join(tmpdir(), 'gravelwort-solve-'));
afterAll(() => rmSync(folder, { recursive: true }));

const good = {
  format: 'spring-case/1',
  material: { E: 206_800 },
  leaves: [{ front: 640, rear: 660, width: 70, thickness: 8, freeRadius: 2100 }],
  clamp: { kind: 'bolt' },
  ends: { kind: 'rollers' },
  friction: 0,
  loads: [0, 800],
};

/** What the command prints for a file of this text; no file at all when undefined. */
function solve(text?: string): { status: number | null; answer: Record<string, unknown> } {
  const file = join(folder, 'case.json');
  if (text !== undefined) writeFileSync(file, text);
  const args = ['--import', 'tsx', 'scripts/solve.ts', text === undefined ? join(folder, 'none.json') : file];
  const { status, stdout } = spawnSync(process.execPath, args, { encoding: 'utf8' });
  // Exactly one JSON object, whatever happens.
  return { status, answer: JSON.parse(stdout) as Record<string, unknown> };
}

test('a case is answered with one object and exit code 0', () => {
  const { status, answer } = solve(JSON.stringify(good));
  expect(status).toBe(0);
  expect(answer).toMatchObject({ format: 'spring-answer/1', states: [{ load: 0 }, { load: 800 }] });
  const [free, loaded] = answer.states as { arch: number; rate: number; peakBendingStress: number[] }[];
  // Sag of a circular leaf of radius 2,100 mm between ends 640 and 660 mm of arc from the pin: about ab/2R.
  expect(free!.arch).toBeCloseTo((640 * 660) / (2 * 2100), -1);
  expect(free!.arch - loaded!.arch).toBeGreaterThan(800 / 16);
  expect(free!.peakBendingStress).toEqual([0]);
});

test.each([
  ['no such file', undefined, 'unreadable'],
  ['text that is not JSON', '{ "format": ', 'unreadable'],
  ['another format', JSON.stringify({ ...good, format: 'spring-case/9' }), 'bad-input'],
  ['no leaf', JSON.stringify({ ...good, leaves: [] }), 'bad-input'],
  ['a word for a number', JSON.stringify({ ...good, friction: 'dry' }), 'bad-input'],
  ['an unknown field', JSON.stringify({ ...good, colour: 'red' }), 'bad-input'],
  ['a negative thickness', JSON.stringify({ ...good, leaves: [{ ...good.leaves[0], thickness: -8 }] }), 'bad-input'],
  ['an endless load', JSON.stringify({ ...good, loads: [1e12] }), 'bad-input'],
])('%s prints an error object and exits with 1', (_, text, code) => {
  const { status, answer } = solve(text);
  expect(status).toBe(1);
  expect(answer).toMatchObject({ format: 'spring-error/1', code, message: expect.any(String) });
});

test('the field at fault is named', () => {
  const bad = { ...good, leaves: [{ ...good.leaves[0], width: 4 }] };
  expect(solve(JSON.stringify(bad)).answer.field).toBe('leaves[0].width');
});

test('a case a line on stdin is answered a line each, in order, on all processors; a bad one says so in its place', () => {
  const cases = Array.from({ length: 90 }, (_, k) => ({
    ...good,
    leaves: [{ ...good.leaves[0]!, thickness: 7 + (k % 7) / 10 }],
    loads: [500 + k],
  }));
  const lines = cases.map((one, k) => (k === 40 ? '{ "format": ' : JSON.stringify(one)));
  const { status, stdout } = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/solve.ts'], {
    encoding: 'utf8',
    input: `${lines.join('\n')}\n\n`,
  });
  expect(status).toBe(1);
  const answers = stdout
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as SpringAnswer | { code: string });
  expect(answers).toHaveLength(90);
  expect(answers[40]).toMatchObject({ format: 'spring-error/1', code: 'unreadable' });
  for (const k of [0, 24, 25, 39, 41, 89]) {
    const [state] = (answers[k] as SpringAnswer).states as { load: number; arch: number }[];
    const [alone] = solveCase(springCaseSchema.parse(cases[k])).states as { arch: number }[];
    expect(state!.load).toBe(500 + k);
    // What a neighbour left warm is a first guess, never the answer.
    expect(state!.arch).toBeCloseTo(alone!.arch, 4);
  }
});
