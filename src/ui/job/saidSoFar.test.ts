import { type JobView } from '@/contracts/job';
import { type Kept } from './outbox';
import { saidSoFar } from './saidSoFar';

const VIEW = {
  ticks: [],
  incidents: [],
  torqueReadings: [],
  legThreads: [],
  photos: [],
} as Partial<JobView> as JobView;
const AT = Date.UTC(2026, 10, 30, 8);
const kept = (path: Kept['path'], body: Record<string, unknown>): Kept => {
  const id = crypto.randomUUID();
  return { id, jobId: 'a', path, body: { id, ...body }, person: 'Oona Skerrow', at: AT };
};
const read = (typed: string, value: number) => ({
  ...{
    joint: 'uBolts',
    bolt: 'left, front outer leg',
    typed,
    value,
    unit: 'N·m',
    state: 'hanging',
    instrument: 'click',
  },
});

test('what was said and not sent shows as it will stand: the last word of each counts, under the name of who said it', () => {
  const now = saidSoFar(VIEW, [
    kept('/steps', { step: 'chock', done: true, note: '' }),
    kept('/steps', { step: 'chock', done: false, note: '' }),
    kept('/steps', { step: 'crack.left', done: true, note: 'nut was loose' }),
    kept('/incidents', { step: 'crack.left', kind: 'snapped', what: 'wheel stud, left' }),
    kept('/torque-readings', read('39 N·m', 39_000)),
    kept('/torque-readings', read('40 N·m', 40_000)),
    kept('/leg-threads', { leg: 'left, front outer leg', typed: '11', value: 11 }),
    kept('/photos', { subject: 'step:freeLines', caption: 'how the lines run' }),
  ]);
  expect(now.ticks.map((t) => [t.step, t.done, t.note])).toEqual([
    ['chock', false, ''],
    ['crack.left', true, 'nut was loose'],
  ]);
  expect(now.incidents).toMatchObject([
    { kind: 'snapped', person: 'Oona Skerrow', happenedAt: '2026-11-30T08:00:00.000Z' },
  ]);
  expect(now.torqueReadings.map((r) => r.value)).toEqual([40_000]);
  expect(now.legThreads).toMatchObject([{ leg: 'left, front outer leg', value: 11 }]);
  expect(now.photos).toMatchObject([{ subject: 'step:freeLines', person: 'Oona Skerrow' }]);
});

test('what an older program kept and nobody can read any more breaks no page', () => {
  expect(saidSoFar(VIEW, [kept('/steps', { done: 'yes' }), kept('/leg-threads', { leg: 'fifth' })])).toEqual(VIEW);
});
