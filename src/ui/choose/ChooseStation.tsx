import { type StationProps } from '../frame/JobFrame';
import { screensOf } from '../suspension/registry';

/** Choose, with what the axle's own kind of suspension offers. */
export function ChooseStation(props: StationProps) {
  const { Choose } = screensOf(props.first.axle.suspension);
  return <Choose key={props.first.id} {...props} />;
}
