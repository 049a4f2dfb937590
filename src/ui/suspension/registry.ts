import { type ComponentType } from 'react';
import { type KindId } from '@/core/suspension/registry';
import { type StationProps } from '../frame/JobFrame';
import { type JobHandle } from '../job/useJob';
import { CoilAside } from './coilBeam/CoilAside';
import { CoilChoose } from './coilBeam/CoilChoose';
import { CoilMeasure } from './coilBeam/CoilMeasure';
import { LeafAside } from './longitudinalLeaf/LeafAside';
import { LeafChoose } from './longitudinalLeaf/LeafChoose';
import { LeafMeasure } from './longitudinalLeaf/LeafMeasure';
import { TandemAside } from './tandem/TandemAside';
import { TandemChoose } from './tandem/TandemChoose';
import { TandemMeasure } from './tandem/TandemMeasure';

/** What the screens need of a kind of suspension; everything else of a station is the same for all. */
export interface KindScreens {
  Measure: ComponentType<StationProps>;
  Choose: ComponentType<StationProps>;
  /** Beside the list of what is looked at. */
  InspectAside: ComponentType<{ job: JobHandle }>;
}

/** One manner for two axles that stand as one, whatever joins them. */
const TANDEM: KindScreens = { Measure: TandemMeasure, Choose: TandemChoose, InspectAside: TandemAside };

const SCREENS: Record<KindId, KindScreens> = {
  longitudinalLeaf: { Measure: LeafMeasure, Choose: LeafChoose, InspectAside: LeafAside },
  coilBeam: { Measure: CoilMeasure, Choose: CoilChoose, InspectAside: CoilAside },
  tandemEqualizer: TANDEM,
  tandemSlipper: TANDEM,
};

export const screensOf = (kind: KindId): KindScreens => SCREENS[kind];
