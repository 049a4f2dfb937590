import { type ComponentType } from 'react';
import { type KindId } from '@/core/suspension/registry';
import { type StationProps } from '../frame/JobFrame';
import { type JobHandle } from '../job/useJob';
import { type StageProps } from '../inspect/walk';
import { type RuleId } from '@/core/inspection/rules';
import { CoilAside } from './coilBeam/CoilAside';
import { CoilChoose } from './coilBeam/CoilChoose';
import { CoilMeasure } from './coilBeam/CoilMeasure';
import { CoilWalk } from './coilBeam/CoilWalk';
import { COIL_WALK } from './coilBeam/walkPlaces';
import { LeafAside } from './longitudinalLeaf/LeafAside';
import { LeafChoose } from './longitudinalLeaf/LeafChoose';
import { LeafMeasure } from './longitudinalLeaf/LeafMeasure';
import { LeafWalk } from './longitudinalLeaf/LeafWalk';
import { LEAF_WALK } from './longitudinalLeaf/walkPlaces';
import { TandemAside } from './tandem/TandemAside';
import { TandemChoose } from './tandem/TandemChoose';
import { TandemMeasure } from './tandem/TandemMeasure';
import { TandemWalk } from './tandem/TandemWalk';
import { TANDEM_WALK } from './tandem/walkPlaces';

/** What the screens need of a kind of suspension; everything else of a station is the same for all. */
export interface KindScreens {
  Measure: ComponentType<StationProps>;
  Choose: ComponentType<StationProps>;
  /** Beside the list of what is looked at. */
  InspectAside: ComponentType<{ job: JobHandle }>;
  InspectStage: ComponentType<StageProps>;
  /** In which order its spots are walked. */
  walk: readonly RuleId[];
}

/** One manner for two axles that stand as one, whatever joins them. */
const TANDEM: KindScreens = {
  Measure: TandemMeasure,
  Choose: TandemChoose,
  InspectAside: TandemAside,
  InspectStage: TandemWalk,
  walk: TANDEM_WALK,
};

const SCREENS: Record<KindId, KindScreens> = {
  longitudinalLeaf: {
    Measure: LeafMeasure,
    Choose: LeafChoose,
    InspectAside: LeafAside,
    InspectStage: LeafWalk,
    walk: LEAF_WALK,
  },
  coilBeam: {
    Measure: CoilMeasure,
    Choose: CoilChoose,
    InspectAside: CoilAside,
    InspectStage: CoilWalk,
    walk: COIL_WALK,
  },
  tandemEqualizer: TANDEM,
  tandemSlipper: TANDEM,
};

export const screensOf = (kind: KindId): KindScreens => SCREENS[kind];
