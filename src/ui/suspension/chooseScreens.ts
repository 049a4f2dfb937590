import { type ComponentType } from 'react';
import { type KindId } from '@/core/suspension/registry';
import { type StationProps } from '../frame/JobFrame';
import { CoilChoose } from './coilBeam/CoilChoose';
import { LeafChoose } from './longitudinalLeaf/LeafChoose';
import { TandemChoose } from './tandem/TandemChoose';
import { CrossChoose } from './transverseLeaf/CrossChoose';

/** Choose of every kind. */
export const CHOOSE: Record<KindId, ComponentType<StationProps>> = {
  longitudinalLeaf: LeafChoose,
  coilBeam: CoilChoose,
  tandemEqualizer: TandemChoose,
  tandemSlipper: TandemChoose,
  transverseLeaf: CrossChoose,
};
