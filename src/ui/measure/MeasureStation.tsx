'use client';
import { type StationProps } from '../frame/JobFrame';
import { MEASURE } from '../suspension/measureScreens';

/** Measure, with the sheet of the axle's own kind of suspension. */
export function MeasureStation(props: StationProps) {
  const Measure = MEASURE[props.first.axle.suspension];
  return <Measure key={props.first.id} {...props} />;
}
