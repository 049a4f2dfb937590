import { type ComponentType } from 'react';
import { type RuleId } from '@/core/inspection/rules';
import { type KindId } from '@/core/suspension/registry';
import { type StageProps } from '../inspect/walk';
import { type JobHandle } from '../job/useJob';
import { CoilAside } from './coil/CoilAside';
import { CoilWalk } from './coil/CoilWalk';
import { COIL_WALK, TRAIL_WALK, TWIN_WALK, UNIT_WALK } from './coil/walkPlaces';
import { LeafAside } from './longitudinalLeaf/LeafAside';
import { LeafWalk } from './longitudinalLeaf/LeafWalk';
import { LEAF_WALK } from './longitudinalLeaf/walkPlaces';
import { TandemAside } from './tandem/TandemAside';
import { TandemWalk } from './tandem/TandemWalk';
import { TANDEM_WALK } from './tandem/walkPlaces';
import { ShearAside } from './rubberShear/ShearAside';
import { ShearWalk } from './rubberShear/ShearWalk';
import { SHEAR_WALK } from './rubberShear/walkPlaces';
import { CrossAside } from './transverseLeaf/CrossAside';
import { CrossWalk } from './transverseLeaf/CrossWalk';
import { CROSS_WALK } from './transverseLeaf/walkPlaces';

/** What Inspect needs of a kind. */
interface InspectScreens {
  /** The drawing of the walk. */
  Stage: ComponentType<StageProps>;
  /** In which order its spots are walked. */
  walk: readonly RuleId[];
  /** Where it gives out, in a tab of its own. */
  Aside: ComponentType<{ job: JobHandle }>;
}

/** One manner for two axles that stand as one, whatever joins them. */
const TANDEM: InspectScreens = { Stage: TandemWalk, walk: TANDEM_WALK, Aside: TandemAside };

/** Inspect of every kind. */
export const INSPECT: Record<KindId, InspectScreens> = {
  longitudinalLeaf: { Stage: LeafWalk, walk: LEAF_WALK, Aside: LeafAside },
  coilBeam: { Stage: CoilWalk, walk: COIL_WALK, Aside: CoilAside },
  twinBeam: { Stage: CoilWalk, walk: TWIN_WALK, Aside: CoilAside },
  torsionBeam: { Stage: CoilWalk, walk: TRAIL_WALK, Aside: CoilAside },
  coilOver: { Stage: CoilWalk, walk: UNIT_WALK, Aside: CoilAside },
  tandemEqualizer: TANDEM,
  tandemSlipper: TANDEM,
  rubberShear: { Stage: ShearWalk, walk: SHEAR_WALK, Aside: ShearAside },
  transverseLeaf: { Stage: CrossWalk, walk: CROSS_WALK, Aside: CrossAside },
};
