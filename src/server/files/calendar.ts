import ical from 'ical-generator';
import { calendarOf, partLines } from '@/contracts/preparation';
import { notFound } from '@/contracts/problem';
import { axleName } from '@/core/suspension/names';
import { atDoor, withShop, type Tx } from '@/data/client';
import { liveCalendar } from '@/data/door';
import { openDue } from '@/data/due';
import { tokenHash } from '../door/secrets';
import { type MadeFile } from '../http';
import { loadJob } from '../jobs';
import { fileName } from './fileName';

const DAY = 864e5;
/** Whole days, so that no calendar shifts one by its zone. */
const dayOf = (day: number) => ({
  ...{ start: new Date(day * DAY), end: new Date((day + 1) * DAY), allDay: true as const },
});

/** What has to be done, fetched or waited for before the work, and the day in the bay, as days of a calendar. */
export async function calendarFile(tx: Tx, jobAxleId: string): Promise<MadeFile> {
  const view = await loadJob(tx, jobAxleId);
  const lines = partLines(view);
  const { tasks, bay } = calendarOf(view, lines);
  const where = `${view.vehicle.name}, ${axleName(view.axle.position, view.axle.suspension)}`;
  const calendar = ical({ name: `Gravelwort, ${where}`, prodId: { company: 'gravelwort', product: 'gravelwort' } });
  const event = (id: string, day: number, summary: string) =>
    calendar.createEvent({ id: `${id}.${view.id}@gravelwort`, ...dayOf(day), summary: `${where}: ${summary}` });
  for (const task of tasks) {
    if (task.id === 'soak')
      for (let day = task.begins; day < task.ends; day += 1) event(`soak.${day}`, day, 'oil the nuts and bolts');
    else if (task.begins === task.ends || lines.some((l) => l.need === task.id))
      event(task.id, task.ends, `comes: ${task.name}`);
    else {
      event(`${task.id}.begins`, task.begins, `begin: ${task.name}`);
      event(`${task.id}.ends`, task.ends, `done: ${task.name}`);
    }
  }
  event('bay', bay, 'into the bay');
  return {
    ...{ type: 'text/calendar; charset=utf-8', name: fileName(view, 'calendar', 'ics') },
    body: calendar.toString(),
  };
}

/** The calendar that an address of the shop opens. @throws ProblemError not-found: it was taken back, or is none */
export async function calendarOfToken(token: string): Promise<MadeFile> {
  const key = tokenHash(token.slice(0, 100));
  const live = await atDoor(key, (tx) => liveCalendar(tx, key));
  if (!live) throw notFound('This calendar');
  return withShop(live.shop, live.madeBy, dueCalendar);
}

/** Every check of the shop that is still to come, as days of a calendar. */
export async function dueCalendar(tx: Tx): Promise<MadeFile> {
  const calendar = ical({
    name: 'Gravelwort, checks to come',
    prodId: { company: 'gravelwort', product: 'gravelwort' },
  });
  for (const { id, what, dueOn, afterKm, vehicle } of await openDue(tx))
    calendar.createEvent({
      ...{ id: `${id}@gravelwort`, ...dayOf(Math.round(Date.parse(dueOn) / DAY)) },
      ...{ summary: `${vehicle}: ${what}`, description: `or after ${afterKm} km` },
    });
  return { type: 'text/calendar; charset=utf-8', name: 'gravelwort-checks.ics', body: calendar.toString() };
}
