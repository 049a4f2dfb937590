import { type ReactNode } from 'react';
import { COIL_STEEL_LIMIT } from '@/core/mechanics/coil/coil';
import { type CoilFigures } from '@/core/suspension/coilBeam/sideModel';
import { WasBecomes } from '../../choose/WasBecomes';
import { Length } from '../../measured/Figure';
import { Quantity } from '../../measured/Quantity';

interface Props {
  title: string;
  stateName: string;
  old: CoilFigures;
  built: CoilFigures | null;
}

/** What the coil does, as it is and as planned, in one load state. */
export function CoilFiguresSheet({ title, stateName, old, built }: Props) {
  const rows: { name: string; of: (f: CoilFigures) => ReactNode }[] = [
    { name: 'Seat to seat', of: (f) => <Length mm={f.length} /> },
    { name: 'Free length', of: (f) => <Length mm={f.free} /> },
    { name: 'Rate at the hub', of: (f) => <Quantity value={f.rate} of="rate" digits={1} /> },
    { name: 'Rate along the coil', of: (f) => <Quantity value={f.axialRate} of="rate" digits={1} /> },
    {
      name: 'Bounces at',
      of: (f) =>
        f.frequency === null ? (
          'load of both sides needed'
        ) : (
          <span className="figure">{f.frequency.toFixed(2)} Hz</span>
        ),
    },
    {
      name: `Shear in the wire; limit standing ${COIL_STEEL_LIMIT.static} MPa (${COIL_STEEL_LIMIT.source})`,
      of: (f) =>
        f.stress > COIL_STEEL_LIMIT.static ? (
          <span className="stop-word">STOP {f.stress.toFixed(0)} MPa</span>
        ) : (
          <span className="figure">{f.stress.toFixed(0)} MPa</span>
        ),
    },
    { name: 'Between two turns', of: (f) => <Length mm={f.gap} tenths /> },
    { name: 'Hub may rise until it is solid', of: (f) => <Length mm={f.toSolid} /> },
    { name: 'Hub may drop until it is loose', of: (f) => <Length mm={f.toLoose} /> },
    { name: 'Stays straight', of: (f) => (f.straight ? 'yes' : 'may bow out; look for rub marks') },
  ];
  return (
    <WasBecomes title={title} stateName={stateName} rows={rows} old={old} built={built} testId="coil-figures">
      Rate is not rating: the axle, tyre, wheel or plate with the lowest figure decides the load.
    </WasBecomes>
  );
}
