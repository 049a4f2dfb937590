import { BUSH_END_NAMES, BUSH_TYPES } from '@/core/bush/types';
import { type ChangeRow, type PlanRow } from './plan';
import { SURVEY_TEXT } from './surveyText';

const EYES = { upturned: 'upturned', berlin: 'centred', downturned: 'downturned' };

export const HELPER_NAMES = {
  rubber: 'rubber helper springs',
  air: 'air helper springs',
  clampOn: 'clamp-on overloads',
  leaf: 'helper leaves',
};

/** A typed length; a bare one was meant in millimetres. */
const mm = (typed: string): string => (/[a-z"″]\s*$/i.test(typed) ? typed : `${typed} mm`);

const degreesText = (rad: number): string => `${Number(((rad * 180) / Math.PI).toFixed(2))}°`;

/** One change in a few words, as it was typed. */
export function changeText(change: ChangeRow): string {
  const part = 'partName' in change && change.partName ? change.partName : null;
  switch (change.kind) {
    case 'addLeaf':
      return part ?? `leaf added, ${mm(change.thicknessTyped)} thick, camber ${mm(change.camberTyped)}`;
    case 'removeLeaf':
      return `leaf ${change.leaf} out`;
    case 'pack':
      return part ?? `other pack of ${change.leaves.length} leaves`;
    case 'rearch':
      return `re-arched by ${mm(change.camberTyped)}`;
    case 'eyes':
      return `main leaf with ${EYES[change.form]} eyes`;
    case 'block':
      return change.height === 0 ? 'block out' : (part ?? `block ${mm(change.heightTyped)}`);
    case 'wedge':
      return `${part ?? `wedge ${degreesText(change.angle)}`}, thick end to the ${change.thick}`;
    case 'shackle':
      return part ?? `shackle ${mm(change.lengthTyped)}`;
    case 'coil':
      return part ?? `other coils, wire ${mm(change.wireTyped)}, free ${mm(change.freeTyped)}`;
    case 'spacer':
      return change.height === 0 ? 'seat spacers out' : (part ?? `seat spacers ${mm(change.heightTyped)}`);
    case 'springs':
      return part ?? `other springs, ${change.leaves} leaves of ${mm(change.thicknessTyped)}`;
    case 'rocker':
      return part ?? `rocker ${mm(change.frontTyped)} to ${mm(change.rearTyped)}`;
    case 'slipper':
      return part ?? `slippers ${mm(change.dropTyped)} below the frame`;
    case 'riser':
      return part ?? `risers ${mm(change.heightTyped)}`;
    case 'hitch':
      return `coupling ${change.by < 0 ? 'lower' : 'higher'} by ${mm(change.byTyped.replace(/^[-−–]\s*/, ''))}`;
    case 'perch': {
      const side = (n: number) => `${Math.abs(n)} ${n < 0 ? 'down' : 'up'}`;
      return change.left === change.right
        ? `lower seats ${side(change.left)}, by grooves`
        : `lower seats by grooves: left ${side(change.left)}, right ${side(change.right)}`;
    }
    case 'pivotBush':
      return part ?? (change.bush === 'turns' ? 'pivot bushes that turn on their sleeves' : 'new bonded pivot bushes');
    case 'eyeBush':
      return part ?? `new bushes, ${BUSH_TYPES[change.bush].name}, ${BUSH_END_NAMES[change.ends]}`;
    case 'crossSpring':
      return part ?? `another spring across, ${change.leaves} leaves of ${mm(change.thicknessTyped)}`;
    case 'spindles':
      return (
        part ??
        (change.left === change.right
          ? `spindles ${mm(change.leftTyped)} lower`
          : `spindles ${mm(change.leftTyped)} lower left, ${mm(change.rightTyped)} right`)
      );
    case 'dropAxle':
      return part ?? `drop axle ${mm(change.byTyped)}`;
    case 'helper':
      return change.fitted
        ? `${HELPER_NAMES[change.device]} that ${change.fitted === 'off' ? 'come off' : 'were there'}`
        : (part ?? `${HELPER_NAMES[change.device]}, gap ${mm(change.gapTyped)}`);
    case 'axleWidth':
      return change.by === 0
        ? `pads ${mm(change.padsTyped)} apart`
        : `housing ${mm(change.byTyped.replace(/^[-−–]\s*/, ''))} ${change.by < 0 ? 'wider' : 'narrower'}, pads ${mm(change.padsTyped)} apart`;
    case 'swayLinks':
      return part ?? 'sway-bar links and bushes renewed';
    case 'wrapBar':
      return part ?? 'anti-wrap bar';
    case 'shearBlock':
      return part ?? `other shear blocks, ${change.rateTyped}${/[a-z]\s*$/i.test(change.rateTyped) ? '' : ' N/mm'}`;
    case 'blockHoles':
      return `carrier ${mm(change.byTyped.replace(/^[-−–]\s*/, ''))} ${change.by < 0 ? 'higher' : 'lower'} on its block`;
    case 'stopPad':
      return change.height === 0 ? 'pad under the stop out' : (part ?? `stop padded ${mm(change.heightTyped)}`);
    case 'stopCut':
      return `stop cut by ${mm(change.byTyped)}`;
    case 'shocks':
      return part ?? `shocks ${mm(change.shutTyped)} shut, ${mm(change.openTyped)} open`;
    case 'ubolts':
      return part ?? `new U-bolts, leg ${mm(change.legTyped)}`;
    case 'line':
      return `${SURVEY_TEXT[change.item]} ${mm(change.byTyped)} longer`;
    case 'overAxle':
      return `over the axle, perch ${mm(change.heightTyped)}`;
  }
}

/** A plan by what it changes: the name a stored prediction goes by. */
export const planText = (plan: Pick<PlanRow, 'name' | 'changes'>): string =>
  `${plan.name}: ${plan.changes.map(changeText).join(', ') || 'nothing changed'}`.slice(0, 300);
