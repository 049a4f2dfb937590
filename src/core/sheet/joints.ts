import { lengthRule } from '../units/rules';
import { point, type Point } from './point';

const size = (label: string, howTo: string, max: number): Point & { group: 'joints' } =>
  point('joints', label, howTo, lengthRule(0, max), 0.3);

/** How the pieces between spring and axle find one another; asked for at Check only. */
export const JOINT_POINTS = {
  dowelHeight: size('Head of the centre bolt, height', 'From the pack’s face to the end of its head.', 80),
  padHole: size(
    'Axle pad: hole',
    'Across the hole that the head or a block’s pin drops into; 0 where there is none.',
    60,
  ),
  padDepth: size(
    'Axle pad: depth of the hole',
    'How deep a pin may go; the thickness of the pad where the hole goes through.',
    120,
  ),
  blockHole: size('Block to be fitted: hole', 'In the face towards the spring; 0 where there is none.', 60),
  blockHoleDepth: size('Block to be fitted: depth of the hole', 'How deep a head may go.', 200),
  blockPin: size('Block to be fitted: pin', 'Across the pin towards the axle; 0 where there is none.', 60),
  blockPinHeight: size('Block to be fitted: height of the pin', 'What stands out of its face.', 80),
  wedgeHole: size('Wedge to be fitted: hole', 'Across the hole in its middle; 0 where there is none.', 60),
  wedgePin: size(
    'Wedge to be fitted: pin',
    'Across its own pin towards the axle; 0 where the bolt’s head goes through it.',
    60,
  ),
  wedgePinHeight: size('Wedge to be fitted: height of the pin', 'What stands out of its face.', 80),
  plateHole: size('U-bolt plate: hole', 'Across the narrowest of its holes.', 60),
} as const satisfies Record<string, Point>;
export type JointPoint = keyof typeof JOINT_POINTS;
