'use client';
import dynamic from 'next/dynamic';
import { type ComponentType } from 'react';
import { type KindId } from '@/core/suspension/registry';
import { type StationProps } from '../frame/JobFrame';

// Only the one that is on the screen is loaded.
const LeafChoose = dynamic(() => import('./longitudinalLeaf/LeafChoose').then((m) => m.LeafChoose));
const CoilChoose = dynamic(() => import('./coil/CoilChoose').then((m) => m.CoilChoose));
const TandemChoose = dynamic(() => import('./tandem/TandemChoose').then((m) => m.TandemChoose));
const CrossChoose = dynamic(() => import('./transverseLeaf/CrossChoose').then((m) => m.CrossChoose));
const ShearChoose = dynamic(() => import('./rubberShear/ShearChoose').then((m) => m.ShearChoose));

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
