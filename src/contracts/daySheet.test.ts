import { type BoardRow } from './board';
import { daySheet } from './daySheet';

const TODAY = '2026-11-28';
const row = (jobId: string, more: Partial<BoardRow> = {}): BoardRow => ({
  ...{ id: jobId, jobId, vehicle: jobId, form: 'truck', wheelbase: 3000, axles: [], axle: 'rear' },
  ...{ suspension: 'longitudinalLeaf', complaint: '', wantedChange: 20, wantedTyped: '20', tolerance: 5 },
  ...{ wantedState: null, predictedChange: null, predictedHalf: null, readings: 0, changes: 0, predictions: 0 },
  ...{ built: false, outcomes: 0, outside: 0, nextDue: null, lastDone: null, odometer: null, closedAt: null, waits: 0 },
  ...{ createdAt: '2026-11-01T00:00:00Z', open: [] },
  ...more,
});
const due = (dueOn: string, more: object = {}): Partial<BoardRow> => ({
  nextDue: {
    ...{
      id: 'd',
      what: 'U-bolts',
      reads: 'torque' as const,
      source: '',
      afterKm: 800,
      fromKm: null,
      dueOn,
      doneAt: null,
      doneBy: null,
      figures: '',
    },
    ...more,
  },
});

test('jobs stand by what presses most; a check due counts before the station, a closed job only for its check', () => {
  const sheet = daySheet(
    [
      row('planned'),
      row('bay', { built: true }),
      row('proven', { built: true, outcomes: 2, ...due('2027-01-01') }),
      row('week', { built: true, ...due('2026-12-02') }),
      row('late', { outcomes: 1, closedAt: '2026-11-20T00:00:00Z', ...due('2026-11-20') }),
      row('later', { ...due('2026-11-19') }),
      row('driven', { ...due('2027-03-01', { fromKm: 1000 }), odometer: 1900 }),
      row('today', { ...due(TODAY) }),
      row('shut', { outcomes: 1, closedAt: '2026-11-20T00:00:00Z' }),
    ],
    TODAY,
  );
  expect(sheet.map(({ section, axles }) => `${section} ${axles[0].vehicle}`)).toEqual([
    'overdue later',
    'overdue late',
    'overdue driven',
    'today today',
    'thisWeek week',
    'bay bay',
    'toClose proven',
    'planned planned',
    'closed shut',
  ]);
});

test('the axles of a job stand in one line', () => {
  const sheet = daySheet([row('a'), row('a', { id: 'a2', axle: 'front', built: true }), row('b')], TODAY);
  expect(sheet.map(({ section, axles }) => [section, axles.map((r) => r.id)])).toEqual([
    ['bay', ['a', 'a2']],
    ['planned', ['b']],
  ]);
});
