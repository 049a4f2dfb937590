'use client';
import { type StationProps } from '../frame/JobFrame';
import { CHOOSE } from '../suspension/chooseScreens';

/** Choose, with what the axle's own kind of suspension offers. */
export function ChooseStation(props: StationProps) {
  const Choose = CHOOSE[props.first.axle.suspension];
  return <Choose key={props.first.id} {...props} />;
}
