import fc from 'fast-check';
import { compose } from '../procedure/compose';
import { procedureOf } from '../suspension/registry';
import { about, arrivalOf, atLeast, offBy } from './arrival';
import { untilTheBay, type Task } from './calendar';
import { type Operation } from '../procedure/operation';
import { drawnOut, liftPlan, UNDER_TYRE, type Lifted } from './liftPlan';
import { lostTime, workTime } from './minutes';
import { hardwareOf, type HardwareFacts } from './needed';
import { toolsFor, type Tool } from './tools';

const order = (...kinds: string[]) => {
  const { start, operations, hazards } = procedureOf(
    'longitudinalLeaf',
    kinds.map((kind) => ({ kind })),
    { sides: 'one', bonded: true, packInPlace: false },
  )!;
  return compose(start, operations, hazards).steps.map((s) => s.operation);
};
const FACTS: HardwareFacts = {
  ...{ axles: 1, ubolts: null, uboltThread: null, oldUbolts: false, uboltsPlanned: false },
  ...{ centreBolt: { least: 74, most: 76 }, rusty: false, greased: null },
};

test('the list of hardware follows the steps: what comes off once is bought new, what will snap is spare', () => {
  const wanted = (facts: HardwareFacts, ...kinds: string[]) =>
    Object.fromEntries(hardwareOf(order(...kinds), facts).map((n) => [n.need, n.wanted]));
  expect(wanted(FACTS, 'addLeaf')).toMatchObject({ uBolts: 4, uboltNuts: 8, centreBolts: 2, eyeNuts: 2, shockNuts: 2 });
  expect(wanted({ ...FACTS, oldUbolts: true }, 'addLeaf')).not.toHaveProperty('uboltNuts');
  expect(wanted({ ...FACTS, uboltsPlanned: true }, 'block', 'ubolts')).toMatchObject({ uboltNuts: 8 });
  expect(wanted({ ...FACTS, uboltsPlanned: true }, 'block', 'ubolts')).not.toHaveProperty('uBolts');
  expect(wanted(FACTS, 'shackle')).not.toHaveProperty('uboltNuts');
  expect(wanted({ ...FACTS, rusty: true }, 'addLeaf', 'shocks')).toMatchObject({
    shockTops: 2,
    eyeBolts: 2,
    penetrant: 1,
  });
  for (const { step } of hardwareOf(order('pack', 'addLeaf', 'line'), { ...FACTS, rusty: true }))
    expect(order('pack', 'addLeaf', 'line').map((o) => o.id)).toContain(step);
  const bolt = hardwareOf(order('addLeaf'), FACTS).find((n) => n.need === 'centreBolts')!;
  expect(bolt.called.map((c) => [offBy(c, 70), offBy(c, 80), offBy(c, 120)])).toEqual([[-4, 0, 4]]);
});

test('a wrong piece is named with what it lacks; one that was changed and read again is right', () => {
  const called = [atLeast('threadLength', 60), { size: 'legLength' as const, value: 176, least: 174, most: 200 }];
  const read = [1, 2, 3].flatMap((piece) => [
    { piece, size: 'legLength' as const, value: piece === 3 ? 156 : 177 },
    { piece, size: 'threadLength' as const, value: 62 },
  ]);
  const { misfits, measured } = arrivalOf(4, called, read);
  expect(measured).toBe(3);
  expect(misfits.map((m) => [m.piece, m.called.size, m.by])).toEqual([[3, 'legLength', -20]]);
  expect(
    arrivalOf(
      4,
      called,
      read.map((r) => (r.value === 156 ? { ...r, value: 176 } : r)),
    ).misfits,
  ).toEqual([]);
  expect([offBy(about('thickness', 8), 8.3), offBy(about('thickness', 8), 8.5)]).toEqual([0, expect.closeTo(0.1)]);
});

test('the calendar against a plan worked by hand', () => {
  // Day 100 is today. Stripping 1, then coating 3: hard on 104. U-bolts come on 105. Three evenings of oil before the day.
  const tasks: Task[] = [
    { id: 'strip', name: 'strip', days: 1 },
    { id: 'coat', name: 'coat', days: 3, after: ['strip'] },
    { id: 'ubolts', name: 'U-bolts', days: 0, arrives: 105 },
    { id: 'soak', name: 'soak', days: 3, late: true },
  ];
  const { earliest, bay, late, tasks: drawn } = untilTheBay(tasks, 100, null);
  expect([earliest, bay, late]).toEqual([105, 105, null]);
  expect(drawn.map((t) => [t.id, t.begins, t.ends, t.spare, t.longest])).toEqual([
    ['strip', 100, 101, 1, false],
    ['coat', 101, 104, 1, false],
    ['ubolts', 100, 105, 0, true],
    ['soak', 102, 105, 2, false],
  ]);
  // One goes back and comes four days later: the day moves with it, by four.
  const later = untilTheBay(
    tasks.map((t) => (t.id === 'ubolts' ? { ...t, arrives: 109 } : t)),
    100,
    105,
  );
  expect([later.bay, later.late]).toEqual([109, 4]);
  expect(untilTheBay(tasks, 100, 112)).toMatchObject({ bay: 112, late: 0 });
  // Nothing is begun on 105 and 106 by itself; on a day that somebody names it is.
  const off = (day: number) => day === 105 || day === 106;
  expect(untilTheBay(tasks, 100, null, off)).toMatchObject({ earliest: 107, bay: 107, late: null });
  expect(untilTheBay(tasks, 100, 106, off)).toMatchObject({ bay: 106, late: 0 });
  expect(untilTheBay(tasks, 100, 103, off)).toMatchObject({ bay: 107, late: 4 });
  expect(() =>
    untilTheBay(
      [
        { id: 'a', name: 'a', days: 1, after: ['b'] },
        { id: 'b', name: 'b', days: 1, after: ['a'] },
      ],
      0,
      null,
    ),
  ).toThrow('waits for itself');
});

test('no task begins before what it waits for, and slipping by its spare days never moves the day', () => {
  const task = fc.record({ days: fc.integer({ min: 0, max: 9 }), after: fc.integer({ min: 0, max: 8 }) });
  fc.assert(
    fc.property(fc.array(task, { minLength: 1, maxLength: 9 }), fc.integer({ min: 0, max: 30 }), (made, wanted) => {
      const tasks = made.map(({ days, after }, k): Task => ({
        ...{ id: String(k), name: String(k), days, after: after < k ? [String(after)] : [] },
      }));
      const plan = untilTheBay(tasks, 0, wanted);
      for (const t of plan.tasks) {
        expect(t.ends).toBeLessThanOrEqual(plan.bay);
        for (const id of t.after) expect(t.begins).toBeGreaterThanOrEqual(plan.tasks[Number(id)]!.ends);
        const slipped = tasks.map((x) => (x.id === t.id ? { ...x, days: x.days + t.spare } : x));
        expect(untilTheBay(slipped, 0, wanted).bay).toBe(plan.bay);
        const more = tasks.map((x) => (x.id === t.id ? { ...x, days: x.days + t.spare + 1 } : x));
        expect(untilTheBay(more, 0, wanted).bay).toBe(plan.bay + 1);
      }
    }),
  );
});

test('the frame is held so high that the tyre hangs free, by the moments about the other axle', () => {
  const at: Lifted = {
    wheelbase: 3000,
    frame: 520,
    ahead: 600,
    droop: 85,
    clear: UNDER_TYRE,
    squash: 20,
    axleMass: 992,
  };
  const free = liftPlan(at, null);
  // 130 mm at the axle, four fifths of it where the stand is: 624; 992 kg over 0.8.
  expect(free).toMatchObject({
    least: 624,
    raise: 104,
    raiseAtAxle: 130,
    clear: 25,
    lifts: 1240,
    eachStand: 620,
    relieved: 248,
  });
  const stood = liftPlan(at, { lowest: 400, highest: 700, notch: 45 });
  expect(stood).toMatchObject({ set: 625, notch: 6 });
  expect(stood.clear).toBeCloseTo(26.25);
  expect(liftPlan(at, { lowest: 300, highest: 600, notch: 20 }).set).toBeNull();
  expect(() => liftPlan({ ...at, ahead: 2900 }, null)).toThrow();
});

test('a spanner that is slack is no spanner; what carries too little is not taken', () => {
  const tool = (t: Partial<Tool>): Tool => ({
    ...{ kind: 'spanner', name: 'x', across: null, low: null, high: null, notch: null, capacity: null, state: 'here' },
    ...t,
  });
  const facts = {
    fasteners: [{ name: 'U-bolts', across: 21 }],
    torques: { least: 60e3, most: 110e3 },
    eachStand: 620,
    lifts: 1240,
    standTop: 624,
    pressing: null,
    onHoist: false,
  };
  const need = (tools: Tool[], id: string) =>
    toolsFor(order('block'), facts, tools).find((n) => n.need.startsWith(id))!;
  expect(need([tool({ name: '22', across: 21.3 })], 'spanner').nearMiss?.why).toContain('0.3 mm slack');
  expect(need([tool({ name: '13/16', across: 20.64 })], 'spanner').nearMiss?.why).toContain('too tight');
  expect(need([tool({ name: '21', across: 21 }), tool({ name: '22', across: 22 })], 'spanner').has?.name).toBe('21');
  expect(need([tool({ name: '21', across: 21, state: 'lent' })], 'spanner').has).toBeNull();
  const wrench = (low: number, high: number) => need([tool({ kind: 'torqueWrench', low, high })], 'torqueWrench').has;
  expect([wrench(20e3, 200e3) !== null, wrench(40e3, 100e3), wrench(70e3, 300e3)]).toEqual([true, null, null]);
  expect(need([tool({ kind: 'jack', capacity: 1000 })], 'jack').has).toBeNull();
  const stands = tool({ kind: 'stand', capacity: 3000, high: 700 });
  expect(need([stands], 'stands').has).not.toBeNull();
  expect(need([stands], 'axleStands').has).toBeNull();
});

test('how long it takes is told by steps that were timed, and by no other', () => {
  const steps = order('block');
  const seen = [4, 5, 6, 7, 30].map((minutes) => ({ step: 'crack', minutes }));
  expect(workTime(steps, seen)).toEqual({ low: 10, high: 14, timed: 2, steps: steps.length });
  expect(workTime(steps, seen.slice(0, 2))).toMatchObject({ low: 0, timed: 0 });
});

test('two at work, each on a side, take as long as one side takes', () => {
  const pair = (id: string): Operation[] =>
    (['left', 'right'] as const).map((side) => ({ id: `${id}.${side}`, side, act: id, needs: {}, gives: {} }));
  const seen = ['p', 'q'].flatMap((step) => [10, 10, 10].map((minutes) => ({ step, minutes })));
  const steps = [...pair('p'), ...pair('q')];
  expect([workTime(steps, seen).low, workTime(steps, seen, true).low]).toEqual([40, 20]);
});

test('a bolt that comes out downwards wants its own length and a hand below it', () => {
  // 420 over the ground, raised by 104: 524 of room; 480 and a hand of 60 want 540.
  expect(drawnOut(420, 480, 104)).toEqual({ room: 524, short: 16 });
  expect(drawnOut(420, 300, 104).short).toBe(0);
  expect(drawnOut(420, 300, 104, 200).short).toBe(36);
});

test('a step in which something went wrong is told with its time, against what it usually takes', () => {
  const minute = 60_000;
  const ticks = [
    { step: 'unload.left', at: 10 * minute },
    { step: 'uboltsOff.left', at: 58 * minute },
    { step: 'uboltsOff.right', at: 500 * minute },
  ];
  const seen = [12, 20, 14, 16].map((minutes) => ({ step: 'uboltsOff', minutes }));
  expect(lostTime(30 * minute, 'uboltsOff.left', ticks, seen)).toEqual({ minutes: 48, usual: { low: 13.5, high: 17 } });
  expect(lostTime(30 * minute, 'uboltsOff.left', ticks, [])).toEqual({ minutes: 48, usual: null });
  // A night lies between; nothing was ticked since; nothing was ticked before.
  expect(lostTime(60 * minute, 'uboltsOff.right', ticks, seen)).toBeNull();
  expect(lostTime(600 * minute, 'uboltsOff.right', ticks, seen)).toBeNull();
  expect(lostTime(5 * minute, 'unload.left', ticks, seen)).toBeNull();
});
