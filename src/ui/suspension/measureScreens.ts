'use client';
import dynamic from 'next/dynamic';
import { type ComponentType } from 'react';
import { type KindId } from '@/core/suspension/registry';
import { type StationProps } from '../frame/JobFrame';

// Only the one that is on the screen is loaded.
const LeafMeasure = dynamic(() => import('./longitudinalLeaf/LeafMeasure').then((m) => m.LeafMeasure));
const CoilMeasure = dynamic(() => import('./coil/CoilMeasure').then((m) => m.CoilMeasure));
const TandemMeasure = dynamic(() => import('./tandem/TandemMeasure').then((m) => m.TandemMeasure));
const CrossMeasure = dynamic(() => import('./transverseLeaf/CrossMeasure').then((m) => m.CrossMeasure));
const ShearMeasure = dynamic(() => import('./rubberShear/ShearMeasure').then((m) => m.ShearMeasure));

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
