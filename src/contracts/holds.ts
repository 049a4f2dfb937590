import { boltsOf, isOf, JOINTS, settledStage, type JointId } from '@/core/fastener/joints';
import { type Operation } from '@/core/procedure/operation';
import { jointsOf } from '@/core/suspension/registry';
import { TOOL_KINDS, type ToolKind } from '@/core/prepare/toolKinds';
import { type AxleView } from './job';
import { toolsOf } from './orderOfWork';

/** What a step waits for before it is ticked. */
export type Hold =
  | { kind: 'picture'; subject: string; text: string }
  | { kind: 'torque'; joint: JointId; text: string }
  | { kind: 'two'; text: string }
  | { kind: 'tool'; tool: ToolKind; text: string };

/** Joints that a step makes final, by its name without the side. */
const FINAL: Readonly<Record<string, readonly JointId[]>> = {
  centreOn: ['centreBolt', 'pairCentreBolt'],
  uboltsFinal: ['uBolts', 'pairUBolts'],
  pivotsFinal: ['frontEye', 'shackleFrame', 'shackleEye', 'pairHangerEye', 'rockerShackle'],
  rockerOn: ['rockerPivot'],
  coilFinal: ['coilRetainer'],
  ...{ beamFinal: ['beamPivot'], bracketOn: ['cableBracket'], camsFinal: ['cams'] },
  ...{ stemOn: ['stemNut'], unitOn: ['unitTop'], unitFinal: ['unitLower'] },
  ...{ clampFinal: ['crossCentre', 'crossClamp'], eyesFinal: ['crossEye'] },
  ...{ blockFinal: ['shearBolts'], noseFinal: ['carrierNose'] },
  ...{ spindleOn: ['kingpin'], tieOn: ['tieRodEnd'] },
  shockTight: ['shockLower'],
  newShock: ['shockUpper'],
  wheelTight: ['wheelNuts'],
};

export const pictureOf = (step: string): string => `step:${step}`;

/** The joints of an axle that a step makes final. */
export function finalJoints(view: AxleView, { id }: Pick<Operation, 'id'>): JointId[] {
  const made = FINAL[id.split('.')[0]!] ?? [];
  return jointsOf(view.axle.suspension, view.pack).filter((joint) => made.includes(joint));
}

/** Bolts of a joint that belong to a step's side. */
export const boltsAt = (joint: JointId, { side }: Pick<Operation, 'side'>): string[] =>
  boltsOf(joint).filter((bolt) => side === null || bolt.startsWith(side) || !/^(left|right)/.test(bolt));

/** What a step still waits for: a second person, a tool it is not done without, a picture of what it takes apart, the wrench's figure at every bolt it makes final. It can be gone on without, with a reason. */
export function holdsOf(view: AxleView, operation: Operation): Hold[] {
  const subject = pictureOf(operation.id);
  const picture: Hold[] =
    operation.picture && !view.photos.some((p) => p.subject === subject)
      ? [{ kind: 'picture', subject, text: operation.mark ?? 'A picture of it as it sits.' }]
      : [];
  const torque = finalJoints(view, operation).flatMap((joint): Hold[] => {
    const entry = view.torques.find((t) => t.joint === joint);
    if (entry?.source === 'feel' || entry?.stage === 'notTouched') return [];
    const open = boltsAt(joint, operation).filter(
      (bolt) => !view.torqueReadings.some((r) => r.joint === joint && isOf(bolt, r.bolt)),
    );
    if (open.length === 0 && entry !== undefined && entry.value !== null) return [];
    return [
      {
        kind: 'torque',
        joint,
        text:
          entry === undefined || entry.value === null
            ? `${JOINTS[joint].name}: no figure is written down`
            : `${JOINTS[joint].name}: ${open.length} of ${boltsAt(joint, operation).length} not read`,
      },
    ];
  });
  const tools = toolsOf(view);
  const lacks = operation.takes && tools && !tools.has(operation.takes.tool) ? operation.takes : null;
  const tool: Hold[] = lacks
    ? [{ kind: 'tool', tool: lacks.tool, text: `No ${TOOL_KINDS[lacks.tool].name} at hand. ${lacks.else}` }]
    : [];
  const two: Hold[] = operation.two ? [{ kind: 'two', text: 'Not for one alone. Who is at the other end?' }] : [];
  return [...two, ...tool, ...picture, ...torque];
}

/** Joints that are loosened and not final, with what they are to get, N·mm: what stays loose. */
export const staysLoose = (
  view: AxleView,
): { joint: JointId; name: string; pivot: boolean; value: number | null; unit: string | null }[] =>
  jointsOf(view.axle.suspension, view.pack).flatMap((joint) => {
    const entry = view.torques.find((t) => t.joint === joint);
    if (settledStage(entry?.stage)) return [];
    const { name, pivot } = JOINTS[joint];
    return [{ joint, name, pivot, value: entry?.value ?? null, unit: entry?.unit ?? null }];
  });
