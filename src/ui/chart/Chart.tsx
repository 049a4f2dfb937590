'use client';
import dynamic from 'next/dynamic';
import { type ChartProps } from './ChartDrawn';

const Drawn = dynamic(() => import('./ChartDrawn').then((module) => module.ChartDrawn), { ssr: false });

/** A chart in a room of its own; what draws it is loaded when the first chart is looked at. */
export const Chart = (props: ChartProps) => (
  <div className="chart-room" style={{ height: props.height }}>
    <Drawn {...props} />
  </div>
);
