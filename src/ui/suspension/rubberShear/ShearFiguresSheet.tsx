import { type ReactNode } from 'react';
import { GRAVITY, SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { SHEAR_LIMIT } from '@/core/mechanics/rubber/shear';
import { type ShearFigures } from '@/core/suspension/rubberShear/sideModel';
import { WasBecomes } from '../../choose/WasBecomes';
import { Length } from '../../measured/Figure';
import { Quantity } from '../../measured/Quantity';

interface Props {
  title: string;
  stateName: string;
  old: ShearFigures;
  built: ShearFigures | null;
}

const percent = (share: number): ReactNode => <span className="figure">{(100 * share).toFixed(0)} %</span>;

const ROWS: { name: string; of: (f: ShearFigures) => ReactNode }[] = [
  { name: 'On this side', of: (f) => <Quantity value={f.load / GRAVITY} of="mass" digits={0} /> },
  {
    name: 'On the nose: what the unload tool takes over',
    of: (f) => <Quantity value={f.noseLoad / GRAVITY} of="mass" digits={0} />,
  },
  { name: 'Carrier above the frame’s plate', of: (f) => <Length mm={f.offset} signed /> },
  { name: 'The same with nothing on it', of: (f) => <Length mm={f.freeOffset} signed /> },
  { name: 'Rubber sheared', of: (f) => <Length mm={f.sheared} /> },
  {
    name: `of its thickness; standing up to ${100 * SHEAR_LIMIT.standing} %, at the end of travel ${100 * SHEAR_LIMIT.most} % (common practice)`,
    of: (f) => percent(Math.abs(f.strain)),
  },
  { name: 'Wheel may rise until then', of: (f) => <Length mm={f.toLimit} /> },
  { name: 'Rate of the block', of: (f) => <Quantity value={f.blockRate} of="rate" digits={0} /> },
  { name: 'Rate at the wheel', of: (f) => <Quantity value={f.rate} of="rate" digits={0} /> },
  { name: 'of the give there, the rubber’s part', of: (f) => percent(f.ofRubber) },
  {
    name: 'Bounces at',
    of: (f) =>
      f.frequency === null ? 'load of both sides needed' : <span className="figure">{f.frequency.toFixed(2)} Hz</span>,
  },
  {
    name: `Bending of the leaf at the axle; limit standing ${SPRING_STEEL_LIMITS.static} MPa (SAE HS-788, from memory)`,
    of: (f) =>
      f.leafStress > SPRING_STEEL_LIMITS.static ? (
        <span className="stop-word">STOP {f.leafStress.toFixed(0)} MPa</span>
      ) : (
        <span className="figure">{f.leafStress.toFixed(0)} MPa</span>
      ),
  },
];

/** What block and leaf do, as they are and as planned, in one load state. */
export const ShearFiguresSheet = ({ title, stateName, old, built }: Props) => (
  <WasBecomes title={title} stateName={stateName} rows={ROWS} old={old} built={built} testId="shear-figures">
    As just fitted: rubber creeps some millimetres in its first weeks. Rate is not rating: the axle, tyre, wheel or
    plate with the lowest figure decides the load.
  </WasBecomes>
);
