import { type ReactNode } from 'react';
import { SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { type CrossFigures } from '@/core/suspension/transverseLeaf/sideModel';
import { WasBecomes } from '../../choose/WasBecomes';
import { Length } from '../../measured/Figure';
import { Quantity } from '../../measured/Quantity';

interface Props {
  title: string;
  stateName: string;
  old: CrossFigures;
  built: CrossFigures | null;
}

const degrees = (rad: number): string => `${rad < 0 ? '−' : ''}${((Math.abs(rad) * 180) / Math.PI).toFixed(2)}°`;

/** What one half of the spring does, as it is and as planned, in one load state. */
export function CrossFiguresSheet({ title, stateName, old, built }: Props) {
  const rows: { name: string; of: (f: CrossFigures) => ReactNode }[] = [
    { name: 'On this half', of: (f) => <Quantity value={f.load / 9.80665} of="mass" digits={0} /> },
    { name: 'Clamp down to the eye', of: (f) => <Length mm={f.drop} /> },
    { name: 'Eye out from the bolt', of: (f) => <Length mm={f.reach} /> },
    { name: 'Rate at the wheel', of: (f) => <Quantity value={f.rate} of="rate" digits={1} /> },
    {
      name: 'Holds the body in roll, a degree',
      of: (f) => <Quantity value={f.roll * 1000} of="torque" digits={0} />,
    },
    {
      name: 'Camber against today, top outwards',
      of: (f) => (f.camber === null ? 'upper arms were not read' : <span className="figure">{degrees(f.camber)}</span>),
    },
    {
      name: `Peak stress of the leaves; limit of a peak ${SPRING_STEEL_LIMITS.peak} MPa`,
      of: (f) => <span className="figure">{Math.max(...f.peakStress).toFixed(0)} MPa</span>,
    },
    {
      name: `By load and sizes alone; limit standing ${SPRING_STEEL_LIMITS.static} MPa`,
      of: (f) =>
        Math.max(...f.nominalStress) > SPRING_STEEL_LIMITS.static ? (
          <span className="stop-word">STOP {Math.max(...f.nominalStress).toFixed(0)} MPa</span>
        ) : (
          <span className="figure">{Math.max(...f.nominalStress).toFixed(0)} MPa</span>
        ),
    },
    { name: 'Friction holds, either way', of: (f) => <Length mm={f.frictionHeight} tenths /> },
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
    <WasBecomes title={title} stateName={stateName} rows={rows} old={old} built={built} testId="cross-figures">
      Each half bends for itself: the clamp does not let the spring turn under the frame. Rate is not rating: axle,
      tyre, wheel or plate with the lowest figure decides the load.
    </WasBecomes>
  );
}
