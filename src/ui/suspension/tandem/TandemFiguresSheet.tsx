import { type ReactNode } from 'react';
import { SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { type PairEndFigures, type TandemFigures } from '@/core/suspension/tandem/sideModel';
import { WasBecomes } from '../../choose/WasBecomes';
import { Length } from '../../measured/Figure';
import { Quantity } from '../../measured/Quantity';

interface Props {
  title: string;
  stateName: string;
  old: TandemFigures;
  built: TandemFigures | null;
}

const degrees = (rad: number): string => `${rad < 0 ? '−' : ''}${((Math.abs(rad) * 180) / Math.PI).toFixed(1)}°`;

const ofEnd = (end: 'front' | 'rear'): { name: string; of: (f: TandemFigures) => ReactNode }[] => {
  const at = (f: TandemFigures): PairEndFigures => f[end];
  return [
    { name: `Under the ${end} wheel`, of: (f) => <Quantity value={at(f).wheel} of="mass" digits={0} /> },
    { name: `Arch, ${end} axle`, of: (f) => <Length mm={at(f).arch} /> },
    {
      name: `Stress at the seat, ${end} axle; limit standing ${SPRING_STEEL_LIMITS.static} MPa`,
      of: (f) =>
        at(f).stress > SPRING_STEEL_LIMITS.static ? (
          <span className="stop-word">STOP {at(f).stress.toFixed(0)} MPa</span>
        ) : (
          <span className="figure">{at(f).stress.toFixed(0)} MPa</span>
        ),
    },
  ];
};

/** What the pair does, as it is and as planned, in one load state. */
export function TandemFiguresSheet({ title, stateName, old, built }: Props) {
  const rows: { name: string; of: (f: TandemFigures) => ReactNode }[] = [
    ...ofEnd('front'),
    ...ofEnd('rear'),
    {
      name: 'Tilt of the rocker, front pin up',
      of: (f) => (f.swing === null ? 'no rocker' : <span className="figure">{degrees(f.swing)}</span>),
    },
    {
      name: 'Step under one wheel before its stop',
      of: (f) =>
        f.step ? (
          <Length mm={Math.min(f.step.up, f.step.down)} />
        ) : f.swing === null ? (
          'no rocker'
        ) : (
          'its stop was not read'
        ),
    },
    { name: 'Inner ends below the hanger eyes', of: (f) => <Length mm={f.slope} signed /> },
    { name: 'Pitch of the frame, nose down', of: (f) => <span className="figure">{degrees(f.pitch)}</span> },
    {
      name: 'Rate of one spring, by the handbook and what a second load taught',
      of: (f) => <Quantity value={f.each} of="rate" digits={0} />,
    },
    { name: 'Rate of this side', of: (f) => <Quantity value={f.rate} of="rate" digits={0} /> },
    {
      name: 'Bounces at',
      of: (f) =>
        f.frequency === null ? (
          'load of both sides needed'
        ) : (
          <span className="figure">{f.frequency.toFixed(2)} Hz</span>
        ),
    },
  ];
  return (
    <WasBecomes title={title} stateName={stateName} rows={rows} old={old} built={built} testId="pair-figures">
      Stress by the handbook, nip left out. Rate is not rating: axle, tyre, wheel or plate with the lowest figure
      decides the load.
    </WasBecomes>
  );
}
