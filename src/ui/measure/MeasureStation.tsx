import { type StationProps } from '../frame/JobFrame';
import { screensOf } from '../suspension/registry';

/** Measure, with the sheet of the axle's own kind of suspension. */
export function MeasureStation(props: StationProps) {
  const { Measure } = screensOf(props.first.axle.suspension);
  return <Measure key={props.first.id} {...props} />;
}
