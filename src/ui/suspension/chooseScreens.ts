import { type ComponentType } from 'react';
import { type KindId } from '@/core/suspension/registry';
import { type StationProps } from '../frame/JobFrame';
import { CoilChoose } from './coil/CoilChoose';
import { LeafChoose } from './longitudinalLeaf/LeafChoose';
import { TandemChoose } from './tandem/TandemChoose';
import { ShearChoose } from './rubberShear/ShearChoose';
import { CrossChoose } from './transverseLeaf/CrossChoose';

/** Choose of every kind. */
export const CHOOSE: Record<KindId, ComponentType<StationProps>> = {
  longitudinalLeaf: LeafChoose,
  coilBeam: CoilChoose,
  twinBeam: CoilChoose,
  torsionBeam: CoilChoose,
  coilOver: CoilChoose,
  tandemEqualizer: TandemChoose,
  tandemSlipper: TandemChoose,
  transverseLeaf: CrossChoose,
  rubberShear: ShearChoose,
};
