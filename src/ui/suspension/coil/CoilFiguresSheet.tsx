import { type ReactNode } from 'react';
import { COIL_STEEL_LIMIT } from '@/core/mechanics/coil/coil';
import { type CoilFigures, type SwingFigures } from '@/core/suspension/coil/sideModel';
import { WasBecomes } from '../../choose/WasBecomes';
import { Length } from '../../measured/Figure';
import { Quantity } from '../../measured/Quantity';

interface Props {
  title: string;
  stateName: string;
  old: CoilFigures;
  built: CoilFigures | null;
}

const degrees = (rad: number): string => `${rad < 0 ? '−' : ''}${((Math.abs(rad) * 180) / Math.PI).toFixed(2)}°`;

/** What an arm that swings adds. */
const swingRows = (told: SwingFigures): { name: string; of: (f: CoilFigures) => ReactNode }[] => [
  {
    name: 'Slope of its arm, hub down',
    of: (f) => (f.swing ? <span className="figure">{degrees(f.swing.slope)}</span> : ''),
  },
  {
    name: 'Turned by the work, hub down',
    of: (f) => (f.swing ? <span className="figure">{degrees(f.swing.gained)}</span> : ''),
  },
  { name: 'Hub out from its pivot by the work', of: (f) => (f.swing ? <Length mm={f.swing.out} signed tenths /> : '') },
  ...(told.casterLost === null
    ? []
    : [
        {
          name: 'Caster lost by the work',
          of: (f: CoilFigures) => <span className="figure">{degrees(f.swing?.casterLost ?? 0)}</span>,
        },
      ]),
];

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
    ...(old.swing ? swingRows(old.swing) : []),
    ...(old.preload === null
      ? []
      : [
          {
            name: 'Pressed with its unit fully open',
            of: (f: CoilFigures) =>
              f.preload === null ? 'not read' : <Quantity value={f.preload / 9.80665} of="mass" digits={0} />,
          },
        ]),
    { name: 'Stays straight', of: (f) => (f.straight ? 'yes' : 'may bow out; look for rub marks') },
  ];
  return (
    <WasBecomes title={title} stateName={stateName} rows={rows} old={old} built={built} testId="coil-figures">
      Rate is not rating: the axle, tyre, wheel or plate with the lowest figure decides the load.
    </WasBecomes>
  );
}
