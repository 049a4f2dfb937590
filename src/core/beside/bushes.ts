import { told, unread, waits, type BesideRead, type ReadRow } from './readRow';
import { BUSH_PLACE_IDS, BUSH_PLACES, type BushPlace, type BushPoint } from '../sheet/bushes';
import { worstFirst } from '../verdict';
import { boltFit, pressFit, pressTools, widthFit, type BushFit } from '../bush/fit';
import { BUSH_TYPES } from '../bush/types';
import { ASSUMED_SHEAR, eyeTurn, falseHeight, LASTING_STRAIN, windUpStrain } from '../bush/windUp';

export const BUSH_ITEMS = ['bushFront', 'bushRear', 'bushHanger', 'bushTwist'] as const;
export type BushItem = (typeof BUSH_ITEMS)[number];
const ITEM: Record<BushPlace, BushItem> = { front: 'bushFront', rear: 'bushRear', hanger: 'bushHanger' };

/** What the rows need to know besides the bushes' own sizes. */
export interface BushesOf {
  /** Of the rolled eyes, mm; null where nobody read one. */
  eyes: { front: number | null; rear: number | null };
  /** Eye to centre bolt, mm. */
  halves: { front: number | null; rear: number | null };
  /** Rubber held fast on both sides, or a bush that turns on its sleeve; null where nobody said. */
  kind: 'bonded' | 'turns' | null;
  /** How far the hub hangs below its planned place with the wheels free, and how far it goes up until the stop is solid, mm; null where not known. */
  hangs: number | null;
  up: number | null;
  /** Of the spring as planned, N/mm; null where it is not solved. */
  rate: number | null;
}

/** Every place where the spring turns on a bolt, and what tightening it hanging would do. */
export const bushRows = (read: BesideRead, of: BushesOf): ReadRow<BushItem>[] => [
  ...BUSH_PLACE_IDS.map((place) => told(ITEM[place], () => placeRow(place, read, of))),
  ...(of.kind === 'turns' ? [] : [told<BushItem>('bushTwist', () => twistRow(read, of))]),
];

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function placeRow(place: BushPlace, read: BesideRead, { eyes, kind }: BushesOf): ReadRow<BushItem> {
  const bore = place === 'hanger' ? (read.hangerBore ?? null) : eyes[place];
  const [shell, sleeve, bolt, length, inside] = (['Shell', 'Sleeve', 'Bolt', 'Length', 'Inside'] as const).map(
    (size) => read[`${place}${size}`],
  );
  const wanted: BushPoint[] = [`${place}Shell`, `${place}Sleeve`, `${place}Bolt`, `${place}Length`, `${place}Inside`];
  const wants = [...unread(read, wanted), ...(place === 'hanger' && bore === null ? (['hangerBore'] as const) : [])];
  const fits: BushFit[] = [
    ...(bore !== null && shell !== undefined ? [pressFit(bore, shell)] : []),
    ...(sleeve !== undefined && bolt !== undefined ? [boltFit(sleeve, bolt)] : []),
    ...(inside !== undefined && length !== undefined ? [widthFit(inside, length)] : []),
  ];
  if (fits.length === 0) return waits(ITEM[place], wants);
  const worst = fits.toSorted(worstFirst)[0]!;
  const tools =
    bore !== null && shell !== undefined && kind !== 'turns'
      ? ` Press it with up to ${pressTools(bore, shell).pusher} mm across, into something wider than ${pressTools(bore, shell).receiver} mm.`
      : '';
  return {
    ...{ item: ITEM[place], state: worst.state, wants, half90: 0.14 },
    text: `${capital(fits.map((f) => f.text).join('; '))}.${tools}`,
    figure: { quantity: worst.item, dimension: 'length', value: worst.value, limit: 0, margin: worst.value },
    working: fits.map((f) =>
      f.item === 'press'
        ? `press = shell ${shell} − bore ${bore} = ${f.value.toFixed(2)}; 0.05 to 0.35 holds (chosen; the maker’s figure goes before it)`
        : f.item === 'bolt'
          ? `play = sleeve ${sleeve} − bolt ${bolt} = ${f.value.toFixed(2)}`
          : `to close = inside ${inside} − sleeve ${length} = ${f.value.toFixed(2)}`,
    ),
  };
}

/** Wall of sleeve and of shell where only their other face was read, mm. Memory. */
const WALL = 3;
function twistRow(read: BesideRead, { halves, kind, hangs, up, rate }: BushesOf): ReadRow<BushItem> {
  const places = (['front', 'rear'] as const).flatMap((place) => {
    const [shell, sleeve, length, half] = [
      read[`${place}Shell`],
      read[`${place}Sleeve`],
      read[`${place}Length`],
      halves[place],
    ];
    if (shell === undefined || sleeve === undefined || length === undefined || half === null) return [];
    const bush = {
      ...{ inner: sleeve + 2 * WALL, outer: shell - WALL, length },
      shearModulus: ASSUMED_SHEAR.value,
    };
    return bush.outer > bush.inner + 1 ? [{ place, bush, half }] : [];
  });
  const wants = unread(read, ['frontShell', 'frontSleeve', 'frontLength']);
  if (places.length === 0 || hangs === null || kind === null) return waits('bushTwist', wants);
  const strain = (travel: number) =>
    Math.max(...places.map(({ bush, half }) => windUpStrain(bush, eyeTurn(Math.max(0, travel), half))));
  const [hung, bumped] = [strain(hangs), up === null ? 0 : strain(up)];
  const most = Math.max(hung, bumped);
  const held =
    rate === null
      ? null
      : falseHeight(
          rate,
          places.map(({ bush, half }) => ({ bush, half, turn: eyeTurn(Math.max(0, hangs), half) })),
        );
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  return {
    ...{ item: 'bushTwist', state: most > LASTING_STRAIN ? 'look' : 'fits', wants, half90: 0.3 * most },
    text:
      `Tightened with the weight on, its rubber is strained ${percent(hung)} where it hangs` +
      `${up === null ? '' : ` and ${percent(bumped)} where the stop is solid`}${most > LASTING_STRAIN ? `: more than ${percent(LASTING_STRAIN)} tears it in time` : ''}. ` +
      `Tightened hanging it would stand strained ${percent(hung)} for good` +
      `${held === null ? '' : ` and hold the body up by about ${Math.max(1, held).toFixed(0)} mm at first`}: ${BUSH_TYPES.bonded.tighten.split(';')[0]}.`,
    working: [
      `the eye turns 1.75 × travel ÷ half (1.5 for leaves alike all along, 2 for a pack stressed alike): ${places
        .map(
          ({ place, half }) =>
            `${BUSH_PLACES[place].toLowerCase()} ${eyeTurn(Math.max(0, hangs), half).toFixed(2)} rad`,
        )
        .join(', ')}`,
      'γ = 2φ ÷ (1 − (rᵢ/rₒ)²); M = φ·4πLG ÷ (1/rᵢ² − 1/rₒ²) (Freakley & Payne, from memory)',
      `G ${ASSUMED_SHEAR.value} ± ${ASSUMED_SHEAR.half90} MPa and walls of ${WALL} mm assumed`,
    ],
  };
}
