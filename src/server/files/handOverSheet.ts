import { type z } from 'zod';
import { type Content } from 'pdfmake/interfaces';
import { type handOverSheetSchema } from '@/contracts/door';
import { foretoldOf } from '@/contracts/foretold';
import { type AxleView, type JobView } from '@/contracts/job';
import { leftOpenOfJob } from '@/contracts/openList';
import { planText } from '@/contracts/planText';
import { partLines } from '@/contracts/preparation';
import { functionsOf } from '@/contracts/proving';
import { type UnitView } from '@/contracts/unitView';
import { unitView } from '@/contracts/units';
import { JOINTS } from '@/core/fastener/joints';
import { FUNCTIONS } from '@/core/followup/functions';
import { summarise } from '@/core/prediction/ledger';
import { axleName, isPaired } from '@/core/suspension/names';
import { decimalText, fractionText, quantityText } from '@/core/units/format';
import { SIDES } from '@/core/vehicle/side';
import { type Tx } from '@/data/client';
import { personUnits, shopName } from '@/data/shop';
import { makeLink } from '../door/shop';
import { type MadeFile } from '../http';
import { loadJob } from '../jobs';
import { fileName } from './fileName';
import { MM, onPaper } from './paper';
import { standsDrawing } from './standsDrawing';

const capital = (text: string): string => text.replace(/^./, (c) => c.toUpperCase());
const heading = (text: string): Content => ({ text, bold: true, fontSize: 14, margin: [0, 8, 0, 2] });

/** Figures as the person who prints the sheet wants them. */
interface Printed {
  /** Without its unit. */
  length: (mm: number | null) => string;
  unit: string;
  distance: (km: number) => string;
}
const printedIn = ({ length, distance }: UnitView): Printed => ({
  length: (v) => (v === null ? '–' : length === 'in' ? fractionText(v) : decimalText(Math.round(v), 0)),
  unit: length,
  distance: (km) => quantityText(km, distance).replace(/\.0 /, ' '),
});

const meanOf = (values: readonly (number | null)[]): number | null => {
  const there = values.filter((v): v is number => v !== null);
  return there.length === 0 ? null : there.reduce((sum, v) => sum + v, 0) / there.length;
};

/** Every height of an axle: before, foretold, by the tape; mm. */
function heightsOf(view: AxleView) {
  return SIDES.flatMap((side) =>
    view.states.flatMap((state) => {
      const ledger = foretoldOf(view)?.ledgers.find((l) => l.side === side && l.stateId === state.id);
      const told = ledger ? summarise(ledger.lines) : null;
      const outcome = view.outcomes.find((o) => o.side === side && o.stateId === state.id) ?? null;
      if (!told && !outcome) return [];
      return [
        {
          ...{ side, state, before: told?.before ?? null, wanted: state.wanted },
          foretold: outcome?.predicted ?? told?.after ?? null,
          half: outcome?.half90 ?? told?.half ?? null,
          after: outcome?.measured ?? null,
          inside: outcome?.inside ?? null,
        },
      ];
    }),
  );
}

function drawing(view: JobView, { length, unit }: Printed): Content[] {
  const at = (position: 'front' | 'rear') => {
    const of = [view, ...view.others].find((v) => (v.axle.position === 'front') === (position === 'front'));
    const rows = of ? heightsOf(of).filter((h) => h.wanted) : [];
    const [was, now] = [meanOf(rows.map((h) => h.before)), meanOf(rows.map((h) => h.after))];
    return {
      rise: was === null || now === null ? 0 : now - was,
      words:
        now === null
          ? of
            ? 'not read'
            : 'not worked on'
          : `${length(now)} ${unit}${was === null ? '' : `, was ${length(was)}`}`,
    };
  };
  const [front, rear] = [at('front'), at('rear')];
  const width = 150;
  const axles = view.axles
    .filter((a) => a.position !== 'secondRear')
    .map((a) => ({
      position: a.position === 'front' ? ('front' as const) : ('rear' as const),
      pair: isPaired(a.suspension),
    }));
  const { form, wheelbase } = view.vehicle;
  const { svg, height } = standsDrawing(
    {
      ...{ form, wheelbase, axles, rise: { front: front.rise, rear: rear.rise } },
      words: { front: front.words, rear: rear.words },
    },
    width,
  );
  return [{ svg, width: width * MM, height: height * MM }];
}

/** Ruled lines under one head. */
const table = (
  head: readonly string[],
  widths: (string | number)[],
  rows: readonly (readonly string[])[],
): Content => ({
  layout: 'lightHorizontalLines',
  table: {
    widths,
    headerRows: 1,
    dontBreakRows: true,
    body: [
      head.map((text) => ({ text, fontSize: 8.5 })),
      ...rows.map((row) =>
        row.map((text, k) => ({ text, ...(k > 0 && /^[-−+\d–]/.test(text) && { font: 'figure', fontSize: 9.5 }) })),
      ),
    ],
  },
});

function heights(view: AxleView, { length, unit }: Printed): Content[] {
  const rows = heightsOf(view);
  if (rows.length === 0) return [];
  return [
    { text: capital(axleName(view.axle.position, view.axle.suspension)), bold: true, margin: [0, 4, 0, 0] },
    table(
      [`load (heights in ${unit})`, 'side', 'before', 'foretold', '±', 'by the tape', 'difference'],
      ['*', 40, 50, 55, 30, 62, 110],
      rows.map((h) => [
        h.state.name,
        h.side,
        ...[h.before, h.foretold, h.half, h.after].map(length),
        h.after === null || h.foretold === null
          ? 'not read'
          : `${h.after >= h.foretold ? '+' : ''}${length(h.after - h.foretold)} ${h.inside ? 'inside its band' : 'OUTSIDE its band'}`,
      ]),
    ),
  ];
}

function torques(view: AxleView): Content[] {
  const rows = view.torqueReadings.map((r) => [
    JOINTS[r.joint].name,
    r.bolt,
    r.typed,
    r.instrument,
    `${r.person}, ${r.readAt.slice(0, 10)}`,
  ]);
  const entries = view.torques.filter((t) => t.value !== null && !view.torqueReadings.some((r) => r.joint === t.joint));
  const plain = entries.map((t) => [
    JOINTS[t.joint].name,
    'all',
    t.value !== null && t.unit ? quantityText(t.value, t.unit) : '–',
    'not read bolt by bolt',
    t.stage,
  ]);
  return rows.length + plain.length === 0
    ? [{ text: 'No torque was written down.' }]
    : [table(['joint', 'bolt', 'read', 'with', 'by'], [90, '*', 70, 90, 100], [...rows, ...plain])];
}

function parts(view: AxleView): string[] {
  return partLines(view)
    .filter((l) => l.state !== 'notWanted')
    .map((l) => `${l.wanted} × ${l.what}${l.part?.source ? `, ${l.part.source}` : ''}`);
}

const WORDS = { ok: 'ok', notOk: 'NOT OK', notDone: 'not tried' } as const;

function content(view: JobView, link: string | null, printed: Printed): Content[] {
  const axles = [view, ...view.others];
  // Checks to come stand under their own head.
  const open = leftOpenOfJob(view).filter(({ text }) => !text.includes('check to come: '));
  const dues = view.due.filter((d) => d.doneAt === null);
  const bought = axles.flatMap(parts);
  const stops = open.filter((i) => i.stop).length;
  const tried = axles.flatMap((v) =>
    functionsOf(v).flatMap((id) => {
      const said = v.functionChecks.find((c) => c.item === id);
      return said ? [[FUNCTIONS[id].name, WORDS[said.answer], said.note, said.person]] : [];
    }),
  );
  return [
    ...(stops > 0
      ? [
          {
            text: `STOP: not to be driven, not handed over. ${stops} in the way, see “Open”.`,
            bold: true,
            fontSize: 16,
          },
        ]
      : []),
    heading('How it stands now'),
    ...drawing(view, printed),
    ...axles.flatMap((axle) => heights(axle, printed)),
    heading('What was done'),
    {
      ul: axles.map(
        (v) => `${axleName(v.axle.position, v.axle.suspension)}: ${foretoldOf(v)?.planName ?? planText(v.plan)}`,
      ),
    },
    ...(bought.length > 0
      ? [
          { text: 'Parts', bold: true },
          { ul: bought, fontSize: 10 },
        ]
      : []),
    heading('Torque'),
    ...axles.flatMap(torques),
    heading('Tried before it left'),
    tried.length === 0
      ? { text: 'Nothing was tried yet.' }
      : table(['what', 'found', 'note', 'by'], ['*', 60, 150, 90], tried),
    heading('Open'),
    open.length === 0
      ? { text: 'Nothing.' }
      : { ul: open.map(({ text, stop }) => ({ text: stop ? `STOP ${text}` : text, bold: stop })) },
    ...axles
      .flatMap((axle) => axle.defects)
      .filter((d) => d.endedAt === null && d.limits !== '')
      .map((d): Content => ({ text: `Until ${d.dueOn}: ${d.limits}`, bold: true })),
    heading('Come back'),
    dues.length === 0
      ? { text: 'No check was set.' }
      : table(
          ['what', 'by the day', 'or after', 'whose word'],
          ['*', 80, 80, 130],
          dues.map((d) => [d.what, d.dueOn, printed.distance(d.afterKm), d.source || 'common practice']),
        ),
    {
      text: 'Nuts and heights settle in the first kilometres. Stop at any knock, lean or smell and look. No more aboard than the lowest of axle, tyre, wheel, hanger and maker’s plate allows.',
      fontSize: 10,
      margin: [0, 4, 0, 6],
    },
    {
      unbreakable: true,
      columns: [
        {
          width: '*',
          stack: [
            { text: 'Workshop ______________________________', margin: [0, 18, 0, 10] },
            {
              text: `Taken by ______________________________${view.handOver ? `  (${view.handOver.takenBy}, ${view.handOver.handedAt.slice(0, 10)})` : ''}`,
            },
          ],
        },
        link === null
          ? { text: '' }
          : {
              width: 130,
              stack: [
                { qr: link, fit: 110 },
                { text: 'this job to look at', fontSize: 8.5 },
              ],
            },
      ],
    },
  ];
}

/** The sheet that goes along with the vehicle, with a code that opens the job read-only where one is asked for. */
export async function handOverSheet(
  tx: Tx,
  jobAxleId: string,
  { id, days }: z.output<typeof handOverSheetSchema>,
  origin: string,
): Promise<MadeFile> {
  const link =
    days === null ? null : `${origin}${(await makeLink(tx, jobAxleId, { id, said: 'hand-over sheet', days })).path}`;
  const view = await loadJob(tx, jobAxleId);
  const body = await onPaper({
    title: 'Hand-over',
    of: `${view.vehicle.name}. ${view.job.complaint}`,
    foot: `${await shopName(tx)}, ${view.today}. The shop’s record holds every reading.`,
    content: content(view, link, printedIn(unitView(await personUnits(tx)))),
    working: false,
  });
  return { type: 'application/pdf', name: fileName(view, 'hand-over', 'pdf'), body };
}
