import { type Content } from 'pdfmake/interfaces';
import { finalJoints } from '@/contracts/holds';
import { type JobView } from '@/contracts/job';
import { liftOf } from '@/contracts/lifting';
import { orientationCards } from '@/contracts/orientation';
import { type ToolRow } from '@/contracts/tool';
import { storedFacts } from '@/contracts/fit';
import { LIFTING_CAUTIONS } from '@/core/prepare/liftPlan';
import { shopTools } from '@/data/prepare';
import { standsDrawing } from './standsDrawing';
import { orderOfWork, standsBy, type Stand } from '@/contracts/orderOfWork';
import { planText } from '@/contracts/planText';
import { partLines } from '@/contracts/preparation';
import { type TorqueRow } from '@/contracts/torque';
import { ProblemError } from '@/contracts/problem';
import { boltsOf, isOf, JOINTS, type JointId } from '@/core/fastener/joints';
import { type Operation } from '@/core/procedure/operation';
import { type Removal } from '@/core/procedure/removal';
import { formOf } from '@/core/vehicle/form';
import { quantityText } from '@/core/units/format';
import { axleName } from '@/core/suspension/names';
import { jointsOf } from '@/core/suspension/registry';
import { type Tx } from '@/data/client';
import { type MadeFile } from '../http';
import { loadJob } from '../jobs';
import { fileName } from './fileName';
import { cardSvg } from './cardSvg';
import { uboltOutline, wedgeOutline } from './oneToOne';
import { box, MM, onPaper } from './paper';

const STANDS: Record<Stand, string> = { ground: 'On the ground', air: 'In the air', weight: 'Weight on' };

const capital = (text: string): string => text.replace(/^./, (c) => c.toUpperCase());

/** What a joint is to get; null while nobody wrote it down. */
const figureOf = (entry: TorqueRow | undefined): string | null =>
  entry && entry.value !== null && entry.unit ? quantityText(entry.value, entry.unit) : null;

/** What a step asks besides, smaller under it. */
const notes = ({ mark, caution, loose, two }: Operation): Content[] =>
  [
    two ? 'Two people.' : '',
    mark ? `First: ${mark}` : '',
    caution ? `Mind: ${caution}` : '',
    loose ? `Stays loose: ${loose}` : '',
  ].flatMap((text) => (text ? [{ text, fontSize: 9.5, color: '#444' }] : []));

/** One step a line with a box for each side, in the order of the work, and what must be read of it. */
function buildCard(view: JobView): Content[] {
  const order = orderOfWork(view);
  if (!order) return [{ text: 'Nothing is planned, or the order of the work on this kind of axle is not written.' }];
  const rows = standsBy(order.steps).flatMap(({ stand, lines }): Content[] =>
    lines.length === 0
      ? []
      : [
          { text: STANDS[stand], bold: true, fontSize: 14, margin: [0, 6, 0, 2] },
          {
            layout: 'lightHorizontalLines',
            table: {
              widths: [22, '*', 74, 50],
              dontBreakRows: true,
              body: lines.map(({ number, steps }) => {
                const { operation } = steps[0]!;
                const asked = finalJoints(view, operation).map((joint) => {
                  const entry = view.torques.find((t) => t.joint === joint);
                  return figureOf(entry) ?? `${JOINTS[joint].name}: ______`;
                });
                return [
                  { text: String(number), font: 'figure', alignment: 'right' },
                  { stack: [capital(operation.act), ...notes(operation)] },
                  { stack: asked.map((text) => ({ text, fontSize: 9.5 })) },
                  {
                    columns:
                      steps.length > 1 || operation.side
                        ? steps.map((s) => ({ stack: [box(), { text: s.operation.side ?? '', fontSize: 8 }] }))
                        : [box()],
                  },
                ];
              }),
            },
          },
        ],
  );
  return [...removed(order.removal), ...rows, ...waysRound(view), ...drawings(view)];
}

/** How little comes off. */
const removed = ({ off, slackened, stays }: Removal): Content[] =>
  [
    ['Comes off', off],
    ['Only slackened', slackened],
    ['Stays tight', stays],
  ].flatMap(([name, places]) =>
    places!.length > 0 ? [{ text: `${name as string}: ${(places as string[]).join(', ')}.`, fontSize: 10 }] : [],
  );

/** Which way round the planned parts go in, left beside right. */
function waysRound(view: JobView): Content[] {
  const cards = orientationCards(view, (mm) => quantityText(mm, 'mm'));
  if (cards.length === 0) return [];
  const cell = ({ name, side, says, height, lines, words }: (typeof cards)[number]): Content => ({
    stack: [
      { text: `${name}, ${side}`, bold: true },
      { text: says, fontSize: 9, color: '#444' },
      { svg: cardSvg({ height, lines, words }), width: 76 * MM },
    ],
  });
  const rows = Array.from({ length: Math.ceil(cards.length / 2) }, (_, k) => cards.slice(2 * k, 2 * k + 2));
  const table = (pairs: typeof rows): Content => ({
    layout: 'noBorders',
    table: {
      widths: ['*', '*'],
      dontBreakRows: true,
      body: pairs.map((pair) => [cell(pair[0]!), pair[1] ? cell(pair[1]) : { text: '' }]),
    },
  });
  return [
    {
      unbreakable: true,
      stack: [
        { text: 'Which way round, seen from its own side', bold: true, fontSize: 14, margin: [0, 10, 0, 2] },
        table(rows.slice(0, 1)),
      ],
    },
    ...(rows.length > 1 ? [table(rows.slice(1))] : []),
  ];
}

/** Upright, so that a long leg has room; one longer than the paper is told. */
function laid(leg: number, inside: number, thread: number): Content[] {
  const { svg, width, height } = uboltOutline(leg, inside, thread);
  return height > 235
    ? [{ text: 'It is longer than the paper: the tape decides.' }]
    : [{ svg, width: width * MM, height: height * MM }];
}

/** What can be laid on the paper: only when the print was not scaled. */
function drawings(view: JobView): Content[] {
  const found: Content[] = [];
  const wedge = view.plan.changes.find((c) => c.kind === 'wedge');
  if (wedge)
    found.push(
      { text: `Wedge, thick end to the ${wedge.thick}, one to one`, bold: true, margin: [0, 10, 0, 2] },
      { svg: wedgeOutline(wedge.height, wedge.angle, wedge.thick), width: 150 * MM },
    );
  const ubolts = partLines(view).find((l) => l.called.some((c) => c.size === 'legLength'));
  const size = (id: string) => ubolts?.called.find((c) => c.size === id)?.value;
  const [leg, inside] = [size('legLength'), size('insideWidth')];
  if (leg !== undefined && inside !== undefined)
    found.push({
      unbreakable: true,
      stack: [
        { text: `${capital(ubolts!.what)}, one to one: lay it on the paper`, bold: true, margin: [0, 10, 0, 2] },
        ...laid(leg, inside, size('threadLength') ?? leg / 3),
      ],
    });
  return found.length === 0
    ? []
    : [
        ...found,
        {
          svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 180 12"><path d="M1 2v5h50v-5" fill="none" stroke="#000" stroke-width=".5"/><text x="54" y="7" font-size="4.2">this bar is 50 mm: measure it, a scaled print is no gauge</text></svg>`,
          width: 180 * MM,
        },
      ];
}

const isLegged = (joint: JointId): boolean => joint === 'uBolts' || joint === 'pairUBolts';

/** Every joint with its figure and where it comes from, and a line for every bolt. */
function torqueSheet(view: JobView): Content[] {
  return jointsOf(view.axle.suspension, view.pack).map((joint): Content => {
    const entry = view.torques.find((t) => t.joint === joint);
    const figure = figureOf(entry) ?? '__________';
    return {
      unbreakable: true,
      margin: [0, 4, 0, 4],
      stack: [
        {
          columns: [
            { text: JOINTS[joint].name, bold: true, fontSize: 13 },
            { text: figure, font: 'figure', fontSize: 14, alignment: 'right' },
          ],
        },
        {
          text: [
            JOINTS[joint].note,
            entry ? `source: ${entry.source}, thread: ${entry.lubrication}` : 'source: ______',
            entry?.running ? `set the wrench ${entry.runningTyped ?? ''} higher: its locking nut runs at that` : '',
          ]
            .filter(Boolean)
            .join('. '),
          fontSize: 9.5,
        },
        {
          layout: 'lightHorizontalLines',
          table: {
            widths: ['*', 90, 70, 70],
            body: [
              ['bolt', 'read, with unit', 'thread out', 'by'].map((text) => ({ text, fontSize: 8.5 })),
              ...boltsOf(joint).map((bolt) => {
                const read = view.torqueReadings.find((r) => r.joint === joint && isOf(bolt, r.bolt));
                return [
                  { text: bolt },
                  { text: read?.typed ?? '', font: 'figure' },
                  {
                    text:
                      view.legThreads.find((l) => isLegged(joint) && l.what === 'thread' && l.leg === bolt)?.typed ??
                      '',
                    font: 'figure',
                  },
                  { text: read?.person ?? '', fontSize: 9 },
                ];
              }),
            ],
          },
        },
      ],
    };
  });
}

/** What comes off and into a bag: side, what becomes of it. Single-use things are replaced. */
const BAGS: readonly { step: string; what: string; then: string }[] = [
  { step: 'shockOff', what: 'Shock, lower bolt and washers, as they sat', then: 'keep; nut: replace' },
  { step: 'uboltsOff', what: 'Plate, block and wedge as they sat', then: 'keep; U-bolts: replace' },
  { step: 'shackleOff', what: 'Shackle plates and bolts', then: 'keep if the plan says so; nuts: replace' },
  { step: 'frontOff', what: 'Front eye bolt and washers', then: 'keep if sound; nut: replace' },
  { step: 'centreOff', what: 'Centre bolt', then: 'discard' },
  { step: 'coilOff', what: 'Coil retainers and seats', then: 'keep if sound' },
  { step: 'freeLines', what: 'Clips of hoses and wires', then: 'keep; broken: replace' },
];

function labels(view: JobView): Content[] {
  const order = orderOfWork(view)?.steps.map(({ operation }) => operation) ?? [];
  const wanted = BAGS.flatMap((bag) =>
    order.filter(({ id }) => id.split('.')[0] === bag.step).map(({ side }) => ({ ...bag, side })),
  );
  const cell = ({ what, then, side }: (typeof wanted)[number]): Content => ({
    stack: [
      { text: side ? side.toUpperCase() : 'AXLE', bold: true, fontSize: 18 },
      { text: what, fontSize: 12 },
      { text: then, fontSize: 11 },
      { text: `${view.vehicle.name}, ${view.axle.position}`, fontSize: 9, margin: [0, 4, 0, 0] },
      { text: 'this end to the front: ______', fontSize: 9 },
    ],
    margin: [4, 4, 4, 8],
  });
  if (wanted.length === 0) return [{ text: 'Nothing comes off that would go into a bag.' }];
  const rows = Array.from({ length: Math.ceil(wanted.length / 2) }, (_, k) => wanted.slice(2 * k, 2 * k + 2));
  return [
    {
      table: {
        widths: ['*', '*'],
        dontBreakRows: true,
        body: rows.map((pair) => [cell(pair[0]!), pair[1] ? cell(pair[1]) : { text: '' }]),
      },
    },
  ];
}

function partsSheet(view: JobView): Content[] {
  return [
    {
      layout: 'lightHorizontalLines',
      table: {
        widths: [20, '*', 90, 60, 40, 18],
        headerRows: 1,
        dontBreakRows: true,
        body: [
          ['', 'what', 'from', 'due', 'step', ''].map((text) => ({ text, fontSize: 8.5 })),
          ...partLines(view)
            .filter((l) => l.state !== 'notWanted')
            .map(({ wanted, what, why, part, stepNumber }) => [
              { text: String(wanted), font: 'figure', alignment: 'right' as const },
              { stack: [capital(what), ...(why ? [{ text: why, fontSize: 9, color: '#444' }] : [])] },
              { text: part?.source ?? '', fontSize: 10 },
              { text: part?.dueOn ?? '', fontSize: 10 },
              { text: stepNumber === null ? '' : String(stepNumber), font: 'figure' },
              box(4),
            ]),
        ],
      },
    },
  ];
}

/** How high it is held, what carries it, and what is to be looked at before anybody goes under. */
function liftSheet(view: JobView, tools: readonly ToolRow[]): Content[] {
  const lift = liftOf(view, storedFacts(view)?.travel ?? null, tools);
  const { at, plan, stand, ahead } = lift;
  const cautions: Content = { ul: [...LIFTING_CAUTIONS], fontSize: 10.5, margin: [0, 8, 0, 0] };
  if (!at || !plan || ahead === null)
    return [
      {
        text: lift.refused
          ? `These figures cannot be: ${lift.refused}.`
          : `How high it is held wants: ${lift.wants.join('; ')}. Droop is that of the stored prediction: store one for the plan as it is.`,
      },
      cautions,
    ];
  const rear = view.axle.position === 'rear';
  const mm = (v: number) => `${Math.round(v)} mm`;
  const top = plan.set ?? plan.least;
  const hang = { front: rear ? 0 : plan.clear, rear: rear ? plan.clear : 0 };
  const { hitched } = formOf(view.vehicle.form);
  const words = {
    front: hitched ? 'coupling held' : 'chocked both ways',
    rear: 'chocked both ways',
    [view.axle.position]: `clear by ${mm(plan.clear)}`,
  };
  const pair = view.axle.suspension.startsWith('tandem');
  const { svg } = standsDrawing(
    {
      ...{ form: view.vehicle.form, wheelbase: view.vehicle.wheelbase, dashes: 'as it stands on its wheels', words },
      axles: [
        ...(hitched ? [] : [{ position: 'front' as const, pair: pair && !rear }]),
        { position: 'rear', pair: pair && rear },
      ],
      ...{ rise: { front: rear ? 0 : plan.raiseAtAxle, rear: rear ? plan.raiseAtAxle : 0 }, hangs: hang },
      stand: { behind: rear ? view.vehicle.wheelbase - ahead : ahead, top, words: mm(top) },
    },
    182,
  );
  const kg = (v: number) => quantityText(v, 'kg');
  const rows: [string, string][] = [
    [
      stand ? `${capital(stand.name)}${plan.notch === null ? '' : `, notch ${plan.notch}`}` : 'Stands, top at least',
      mm(top),
    ],
    ['Stand from the axle, towards the other one', mm(ahead)],
    ['Frame there, as it stands', mm(at.frame)],
    ['Frame rises at the axle', mm(plan.raiseAtAxle)],
    ['Axle drops away', mm(at.droop)],
    ['Tyre clear by', mm(plan.clear)],
    ['Jack reaches', mm(plan.jack)],
    ['Jack lifts there', kg(plan.lifts)],
    ['Each stand carries', kg(plan.eachStand)],
    [hitched ? 'Coupling carries less by' : 'Other axle carries less by', kg(plan.relieved)],
    ...(lift.drawn
      ? ([
          lift.drawn.short > 0
            ? ['Longest bolt downwards: too low by', mm(lift.drawn.short)]
            : ['Longest bolt downwards: room under its head', mm(lift.drawn.room)],
        ] as [string, string][])
      : []),
  ];
  const stops = [
    stand && plan.set === null ? `STOP: ${stand.name} do not reach it. Take higher ones, no timber.` : '',
    stand && stand.capacity !== null && stand.capacity < plan.eachStand
      ? `STOP: ${stand.name} carry ${kg(stand.capacity)} each.`
      : '',
  ].filter(Boolean);
  return [
    ...stops.map((text): Content => ({ text, bold: true, fontSize: 13 })),
    { svg, width: 182 * MM },
    {
      layout: 'lightHorizontalLines',
      margin: [0, 8, 0, 0],
      table: {
        widths: ['*', 90, 18],
        body: rows.map(([name, value]) => [
          { text: name },
          { text: value, font: 'figure', alignment: 'right' as const },
          box(4),
        ]),
      },
    },
    cautions,
  ];
}

const PRINTS = {
  card: { title: 'Build card', make: buildCard },
  torque: { title: 'Torque sheet', make: torqueSheet },
  labels: { title: 'Labels', make: labels },
  parts: { title: 'Parts and hardware', make: partsSheet },
  lift: { title: 'Lifting plan', make: liftSheet },
} as const;

/** One of a job's sheets as PDF. */
export async function printFile(tx: Tx, jobAxleId: string, query: URLSearchParams): Promise<MadeFile> {
  const what = query.get('what') ?? 'card';
  if (!Object.hasOwn(PRINTS, what))
    throw new ProblemError(400, { code: 'bad-input', message: 'There is no such sheet.', field: 'what' });
  const { title, make } = PRINTS[what as keyof typeof PRINTS];
  const view = await loadJob(tx, jobAxleId);
  const tools = what === 'lift' ? await shopTools(tx) : [];
  const body = await onPaper({
    title,
    of: `${view.vehicle.name}, ${axleName(view.axle.position, view.axle.suspension)}. ${planText(view.plan)}`,
    foot: `Gravelwort, ${view.today}. Common practice where no maker's sheet is named; the plan as it stood that day.`,
    content: make(view, tools),
  });
  return { type: 'application/pdf', name: fileName(view, what, 'pdf'), body };
}
