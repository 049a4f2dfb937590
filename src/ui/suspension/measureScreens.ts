import { type ComponentType } from 'react';
import { type KindId } from '@/core/suspension/registry';
import { type StationProps } from '../frame/JobFrame';
import { CoilMeasure } from './coil/CoilMeasure';
import { LeafMeasure } from './longitudinalLeaf/LeafMeasure';
import { TandemMeasure } from './tandem/TandemMeasure';
import { ShearMeasure } from './rubberShear/ShearMeasure';
import { CrossMeasure } from './transverseLeaf/CrossMeasure';

/** Measure of every kind; a list a station, so that a page loads no other station. */
export const MEASURE: Record<KindId, ComponentType<StationProps>> = {
  longitudinalLeaf: LeafMeasure,
  coilBeam: CoilMeasure,
  twinBeam: CoilMeasure,
  torsionBeam: CoilMeasure,
  coilOver: CoilMeasure,
  tandemEqualizer: TandemMeasure,
  tandemSlipper: TandemMeasure,
  transverseLeaf: CrossMeasure,
  rubberShear: ShearMeasure,
};
