import { otherOf, type Side, SIDES } from '../../vehicle/side';
import { fuelDiffers } from '../../vehicle/likeWithLike';
import { leafInertia, GRAVITY, SPRING_STEEL_E } from '../../material/steel';
import { AXLE_CLASSES } from '../../sheet/axleClass';
import { leafPointOf, type LeafPoint } from './points';
import { type Flag as SheetFlag, type FlagAt as SheetFlagAt, type Said } from '../../sheet/flag';
import { extraAxleMass, readingAt } from '../../sheet/reading';
import { sheetOfSide, type Sheet } from './sheet';

type FlagAt = SheetFlagAt<LeafPoint>;
export type Flag = SheetFlag<LeafPoint, FlagRule>;

/** What is watched. The limits below are chosen well above what a tape and a caliper read apart; a test holds that. */
export const FLAG_RULES = {
  packSum: 'leaf thicknesses against the pack',
  eyeSum: 'half lengths against eye to eye',
  heightSum: 'ground to hub and hub to lip against ground to lip',
  sides: 'left against right',
  archHeight: 'arch against height, side by side',
  loadOrder: 'a heavier load stands lower',
  loadSum: 'loads against one another',
  archLoad: 'loaded arch against load and rate',
  oddLeaf: 'one leaf against the others',
  leafOrder: 'longest to shortest',
  leafTurned: 'front and rear of a leaf',
  thread: 'thread against itself',
  dowel: 'dowel against its hole',
  lookAlike: 'a figure that looks like another unit',
  wheelbase: 'hub to hub against the wheelbase',
  fuel: 'fill of the tank between two loads',
} as const;
export type FlagRule = keyof typeof FLAG_RULES;

/** mm */
const LIMIT = { pack: 1.5, eye: 14, height: 9, side: 30, arch: 16, wheelbase: 30, twist: 16, leaf: 6, square: 15 };
/** Thread pitches of U-bolts and the threads per inch of inch ones. Common practice. */
const PITCHES = [1, 1.25, 1.5, 1.75, 2, 2.5, 3, ...[8, 9, 10, 11, 12, 13, 14, 16, 18, 20, 24, 28].map((n) => 25.4 / n)];
/** What a reading is off by when its unit was mistaken: inch for mm, cm for mm, pound for kg. */
const MISTAKES = [
  { name: 'inches', factor: 25.4, dimension: 'length' },
  { name: 'centimetres', factor: 10, dimension: 'length' },
  { name: 'pounds', factor: 0.45359237, dimension: 'mass' },
] as const;

const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((p, q) => p - q);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
};

/** Everything in a sheet's before readings that does not go together. Empty when nothing contradicts. */
export function consistency(sheet: Sheet): Flag[] {
  const { own } = sheet;
  if (!own) return new Watch(sheet).flags();
  // Each pack against itself; what one side reads says nothing of the other side's spring.
  const base = new Watch(sheetOfSide(sheet, otherOf(own.side))).flags().filter((flag) => !BETWEEN_SIDES.has(flag.rule));
  const ownFlags = new Watch(sheetOfSide(sheet, own.side)).ofSpring();
  const placed = ownFlags.map((flag) => ({
    ...flag,
    at: flag.at.map((at) => (leafPointOf(at.point).ofSpring ? { ...at, side: own.side } : at)),
  }));
  return [...base, ...placed];
}

/** Rules that set one side's spring against the other's. */
const BETWEEN_SIDES: ReadonlySet<FlagRule> = new Set(['sides', 'archHeight']);

class Watch {
  private readonly found: Flag[] = [];
  private readonly base: string | null;

  constructor(private readonly sheet: Sheet) {
    this.base = sheet.states[0]?.id ?? null;
  }

  /** Only what concerns the leaves of one pack. */
  ofSpring(): Flag[] {
    this.leaves();
    return this.found;
  }

  flags(): Flag[] {
    this.stack();
    this.heights();
    this.sides();
    this.loads();
    this.leaves();
    this.spring();
    this.fasteners();
    this.lookAlikes();
    return this.found;
  }

  private at(point: LeafPoint, side: Side | null = null, leafId: string | null = null, stateId = this.base): FlagAt {
    return { point, side, leafId, stateId: leafPointOf(point).loaded ? stateId : null };
  }
  private read(point: LeafPoint, side: Side | null = null, leafId: string | null = null, stateId = this.base) {
    return readingAt(this.sheet, this.at(point, side, leafId, stateId))?.value;
  }
  private flag(rule: FlagRule, said: Said[], ...at: FlagAt[]): void {
    this.found.push({ rule, said, at });
  }

  private stack(): void {
    const pack = this.read('packThickness');
    const leaves = this.sheet.leafIds.map((id) => this.read('leafThickness', null, id));
    if (pack === undefined || leaves.some((t) => t === undefined)) return;
    const liners = (leaves.length - 1) * (this.read('leafLiner') ?? 0);
    const sum = (leaves as number[]).reduce((s, t) => s + t, liners);
    if (Math.abs(pack - sum) <= LIMIT.pack + 0.4 * Math.sqrt(leaves.length)) return;
    this.flag(
      'packSum',
      [
        liners > 0 ? 'Leaves and liners add up to ' : 'The leaves add up to ',
        { mm: sum },
        ', the pack was read as ',
        { mm: pack },
        pack > sum
          ? '. A leaf or a liner is not on the sheet, or one reading is wrong.'
          : '. One thickness is too much.',
      ],
      this.at('packThickness'),
      ...this.sheet.leafIds.map((id) => this.at('leafThickness', null, id)),
    );
  }

  private heights(): void {
    for (const side of SIDES) {
      const [hub, up, lip] = (['groundToHub', 'hubToLip', 'groundToLip'] as const).map((p) => this.read(p, side));
      if (hub === undefined || up === undefined || lip === undefined) continue;
      if (Math.abs(hub + up - lip) > LIMIT.height)
        this.flag(
          'heightSum',
          [
            `${side}: ground to hub and hub to lip make `,
            { mm: hub + up },
            ', ground to lip was read as ',
            { mm: lip },
            '.',
          ],
          this.at('groundToLip', side),
          this.at('groundToHub', side),
          this.at('hubToLip', side),
        );
    }
    for (const side of SIDES) {
      const length = this.read('hubToHub', side);
      if (length !== undefined && Math.abs(length - this.sheet.wheelbase) > LIMIT.wheelbase)
        this.flag(
          'wheelbase',
          [`Hub to hub ${side} is `, { mm: length }, ', the wheelbase in Ask is ', { mm: this.sheet.wheelbase }, '.'],
          this.at('hubToHub', side),
        );
    }
  }

  private pair(point: LeafPoint, stateId = this.base): [number, number] | undefined {
    const [left, right] = SIDES.map((side) => this.read(point, side, null, stateId));
    return left === undefined || right === undefined ? undefined : [left, right];
  }

  private sides(): void {
    const limits = {
      hubToLip: LIMIT.side,
      loadedArch: LIMIT.arch,
      groundToHub: LIMIT.arch,
      freeArch: LIMIT.arch,
      hubToHub: LIMIT.square,
    } as const;
    for (const [point, limit] of Object.entries(limits) as [LeafPoint, number][]) {
      const both = this.pair(point);
      if (!both || Math.abs(both[0] - both[1]) <= limit) continue;
      this.flag(
        'sides',
        [
          `${leafPointOf(point).label}: left and right differ by `,
          { mm: Math.abs(both[0] - both[1]) },
          '. Read both again before a part is blamed.',
        ],
        this.at(point, 'left'),
        this.at(point, 'right'),
      );
    }
    // A spring that stands lower is flatter: what one side's arch says, its height must say too.
    const [height, arch] = [this.pair('hubToLip'), this.pair('loadedArch')];
    if (height && arch && Math.abs(height[0] - height[1]) <= LIMIT.side && Math.abs(arch[0] - arch[1]) <= LIMIT.arch) {
      const off = height[0] - height[1] - (arch[0] - arch[1]);
      if (Math.abs(off) > LIMIT.twist)
        this.flag(
          'archHeight',
          [
            'Left and right differ by ',
            { mm: height[0] - height[1] },
            ' at the lip and by ',
            { mm: arch[0] - arch[1] },
            ' in arch. One of the four is misread, or the body is bent.',
          ],
          ...SIDES.flatMap((side) => [this.at('hubToLip', side), this.at('loadedArch', side)]),
        );
    }
    const pads = this.pair('padLoad');
    if (pads && Math.max(...pads) > 1.35 * Math.min(...pads))
      this.flag(
        'sides',
        ['The pads say ', { kg: pads[0] }, ' left and ', { kg: pads[1] }, ' right. Zero both pads and weigh again.'],
        this.at('padLoad', 'left'),
        this.at('padLoad', 'right'),
      );
  }

  private weighed(stateId: string | null): number | undefined {
    const pads = this.pair('padLoad', stateId);
    return pads ? pads[0] + pads[1] : this.read('axleLoad', null, null, stateId);
  }

  private loads(): void {
    const pads = this.pair('padLoad');
    const ticket = this.read('axleLoad');
    if (pads && ticket !== undefined && Math.abs(pads[0] + pads[1] - ticket) > 0.12 * ticket)
      this.flag(
        'loadSum',
        ['The pads add up to ', { kg: pads[0] + pads[1] }, ', ticket or estimate says ', { kg: ticket }, '.'],
        this.at('axleLoad'),
        this.at('padLoad', 'left'),
        this.at('padLoad', 'right'),
      );
    const own = AXLE_CLASSES[this.sheet.axle.axleClass].unsprung;
    const unsprung = this.read('unsprungMass') ?? own;
    const whole = this.weighed(this.base);
    if (whole !== undefined && whole < 1.4 * unsprung)
      this.flag(
        'loadSum',
        [
          'The axle carries ',
          { kg: whole },
          ' in all, and ',
          { kg: unsprung },
          ' of it is axle and wheels. That leaves hardly anything on the springs.',
        ],
        this.at('axleLoad'),
        this.at('unsprungMass'),
      );
    for (const state of this.sheet.states.slice(1)) {
      const then = this.weighed(state.id);
      const added = extraAxleMass(this.sheet, state);
      if (
        whole !== undefined &&
        then !== undefined &&
        Math.abs(then - whole - added) > Math.max(60, 0.5 * Math.abs(added))
      )
        this.flag(
          'loadSum',
          [`With ${state.name} the axle should gain `, { kg: added }, ', the scales say ', { kg: then - whole }, '.'],
          this.at('axleLoad', null, null, state.id),
        );
      const fills = [this.base, state.id].map(
        (id) => readingAt(this.sheet, this.at('hubToLip', 'left', null, id))?.fuel,
      );
      if (fuelDiffers(fills[0], fills[1]))
        this.flag(
          'fuel',
          [`The heights today and with ${state.name} were read at another fill of the tank, so they are not compared.`],
          this.at('hubToLip', 'left', null, state.id),
        );
      const heavier = then !== undefined && whole !== undefined ? then - whole : added;
      if (Math.abs(heavier) < 20) continue;
      for (const side of SIDES)
        for (const point of ['hubToLip', 'loadedArch'] as const) {
          const [empty, laden] = [this.read(point, side), this.read(point, side, null, state.id)];
          if (empty === undefined || laden === undefined) continue;
          if ((laden - empty) * Math.sign(heavier) > 3)
            this.flag(
              'loadOrder',
              [
                `${leafPointOf(point).label}, ${side}: with ${state.name} it stands `,
                { mm: Math.abs(laden - empty) },
                heavier > 0 ? ' higher although it carries more.' : ' lower although it carries less.',
              ],
              this.at(point, side, null, state.id),
              this.at(point, side),
            );
        }
    }
  }

  private leaves(): void {
    const ids = this.sheet.leafIds;
    const thick = ids.map((id) => this.read('leafThickness', null, id));
    const known = thick.filter((t) => t !== undefined);
    const middle = median(known);
    ids.forEach((id, i) => {
      const t = thick[i];
      if (t === undefined || known.length < 3) return;
      if (t > 1.6 * middle || t < 0.6 * middle)
        this.flag(
          'oddLeaf',
          [
            `Leaf ${i + 1} is `,
            { mm: t },
            ' thick, the others about ',
            { mm: middle },
            '. Right for an overload leaf, wrong for any other.',
          ],
          this.at('leafThickness', null, id),
        );
    });
    const tips = ids.map((id, i) =>
      i === 0
        ? [this.read('eyeToPinFront'), this.read('eyeToPinRear')]
        : [this.read('leafFront', null, id), this.read('leafRear', null, id)],
    );
    const [front, rear] = tips[0] ?? [];
    ids.forEach((id, i) => {
      const [f, r] = tips[i]!;
      if (i === 0 || f === undefined || r === undefined) return;
      const [pf, pr] = tips[i - 1]!;
      if (front !== undefined && rear !== undefined && Math.abs(front - rear) > 0.04 * (front + rear)) {
        const off = (a: number, b: number) => Math.abs(a / b - front / rear);
        // Both tips the wrong way round by more than reading error: measured from the wrong end.
        if (off(f, r) > off(r, f) + 0.06) {
          this.flag(
            'leafTurned',
            [`Leaf ${i + 1} is longer at the end where the main leaf is shorter. Are its front and rear exchanged?`],
            this.at('leafFront', null, id),
            this.at('leafRear', null, id),
          );
          return;
        }
      }
      for (const [now, above, point] of [
        [f, pf, 'leafFront'],
        [r, pr, 'leafRear'],
      ] as const)
        if (above !== undefined && now > above + LIMIT.leaf)
          this.flag(
            'leafOrder',
            [
              `Leaf ${i + 1} reaches `,
              { mm: now },
              ' to its ',
              point === 'leafFront' ? 'front' : 'rear',
              ' tip, the one above it only ',
              { mm: above },
              '.',
            ],
            this.at(point, null, id),
          );
    });
  }

  private spring(): void {
    const [front, rear, eyes, width, spacing] = (
      ['eyeToPinFront', 'eyeToPinRear', 'eyeToEye', 'leafWidth', 'uboltSpacing'] as const
    ).map((p) => this.read(p));
    if (front === undefined || rear === undefined) return;
    const arches = SIDES.map((side) => this.read('loadedArch', side)).filter((a) => a !== undefined);
    if (eyes !== undefined && arches.length > 0) {
      // A shallow arc of this length and depth: its chord is shorter by 8a²/3L.
      const arch = median(arches);
      const chord = front + rear - (8 * arch * arch) / (3 * (front + rear));
      if (Math.abs(eyes - chord) > LIMIT.eye)
        this.flag(
          'eyeSum',
          [
            'Along the leaf the eyes are ',
            { mm: front + rear },
            ' apart, which at this arch is ',
            { mm: chord },
            ' straight; eye to eye was read as ',
            { mm: eyes },
            '.',
          ],
          this.at('eyeToEye'),
          this.at('eyeToPinFront'),
          this.at('eyeToPinRear'),
        );
    }
    const whole = this.weighed(this.base);
    const thick = this.sheet.leafIds.map((id) => this.read('leafThickness', null, id));
    if (width === undefined || spacing === undefined || whole === undefined || thick.some((t) => t === undefined))
      return;
    const unsprung = this.read('unsprungMass') ?? AXLE_CLASSES[this.sheet.axle.axleClass].unsprung;
    const load = ((whole - unsprung) / 2) * GRAVITY;
    if (!(load > 0)) return;
    const stiffness = (thick as number[]).reduce((sum, t) => sum + SPRING_STEEL_E * leafInertia(width, t), 0);
    const [a, b] = [front - spacing / 3, rear - spacing / 3];
    // Handbook rate between uniform strength and full-length leaves; either end is enough to catch a slip.
    const deflection = (factor: number) => (load * a * a * b * b) / (2 * stiffness * factor * (a + b));
    const [most, least] = [deflection(1), deflection(1.5)];
    const half = (front + rear) / 2;
    for (const side of SIDES) {
      const arch = this.read('loadedArch', side);
      if (arch === undefined) continue;
      const at = [
        this.at('loadedArch', side),
        this.at('axleLoad'),
        ...this.sheet.leafIds.map((id) => this.at('leafThickness', null, id)),
      ];
      if (arch + least > 0.42 * half)
        this.flag(
          'archLoad',
          [
            `${side}: taking the load off this pack would leave it an arch of `,
            { mm: arch + least },
            ' at least, more than such springs are made with. Load, thickness or arch is misread.',
          ],
          ...at,
        );
      else if (most < 0.018 * half)
        this.flag(
          'archLoad',
          [`${side}: this load bends this pack by no more than `, { mm: most }, '. Load or thickness is misread.'],
          ...at,
        );
    }
  }

  private fasteners(): void {
    const [exposed, nut, threaded, pitch] = (['uboltExposed', 'uboltNut', 'uboltThreaded', 'uboltPitch'] as const).map(
      (p) => this.read(p),
    );
    if (exposed !== undefined && threaded !== undefined && exposed + (nut ?? 0) > threaded + 1)
      this.flag(
        'thread',
        [
          'Thread showing and nut take ',
          { mm: exposed + (nut ?? 0) },
          ', the whole thread was read as ',
          { mm: threaded },
          '.',
        ],
        this.at('uboltThreaded'),
        this.at('uboltExposed'),
        this.at('uboltNut'),
      );
    if (pitch !== undefined && !PITCHES.some((p) => Math.abs(p - pitch) < 0.03))
      this.flag(
        'thread',
        ['No usual thread has a pitch of ', { mm: pitch }, '. For threads per inch type 1/20 in.'],
        this.at('uboltPitch'),
      );
    const [dowel, hole] = [this.read('dowelDiameter'), this.read('padHole')];
    if (dowel !== undefined && hole !== undefined && dowel > hole + 0.2)
      this.flag(
        'dowel',
        ['The dowel, ', { mm: dowel }, ', does not enter its hole, ', { mm: hole }, '.'],
        this.at('dowelDiameter'),
        this.at('padHole'),
      );
  }

  /** A reading off its companion by just the factor of a mistaken unit. */
  private lookAlikes(): void {
    const companions: [FlagAt, FlagAt][] = [
      ...(['hubToLip', 'loadedArch', 'groundToHub', 'groundToLip', 'padLoad', 'freeArch', 'hubToHub'] as const).map(
        (p): [FlagAt, FlagAt] => [this.at(p, 'left'), this.at(p, 'right')],
      ),
      [this.at('eyeToPinFront'), this.at('eyeToPinRear')],
      [this.at('axleLoad'), this.at('padLoad', 'left')],
      ...this.sheet.states
        .slice(1)
        .flatMap((state): [FlagAt, FlagAt][] => [
          [this.at('axleLoad', null, null, state.id), this.at('axleLoad')],
          ...SIDES.map((side): [FlagAt, FlagAt] => [
            this.at('hubToLip', side, null, state.id),
            this.at('hubToLip', side),
          ]),
        ]),
      ...this.sheet.leafIds
        .slice(1)
        .map((id): [FlagAt, FlagAt] => [
          this.at('leafThickness', null, id),
          this.at('leafThickness', null, this.sheet.leafIds[0] ?? null),
        ]),
    ];
    for (const [one, two] of companions) {
      const [p, q] = [readingAt(this.sheet, one)?.value, readingAt(this.sheet, two)?.value];
      if (p === undefined || q === undefined || p === 0 || q === 0) continue;
      const share = one.point === 'axleLoad' && two.point === 'padLoad' ? 2 : 1;
      const mistake = MISTAKES.find(({ factor, dimension }) => {
        if (dimension !== leafPointOf(one.point).rule.dimension) return false;
        const near = (ratio: number) => Math.abs(ratio / factor - 1) < 0.09;
        return near(p / q / share) || near((q * share) / p);
      });
      if (!mistake) continue;
      const said: Said[] =
        mistake.dimension === 'mass'
          ? [`One of these looks like ${mistake.name}: `, { kg: p }, ' and ', { kg: q }, '.']
          : [`One of these looks like ${mistake.name}: `, { mm: p }, ' and ', { mm: q }, '.'];
      this.flag('lookAlike', said, one, two);
    }
  }
}
