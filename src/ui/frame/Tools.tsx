'use client';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { type Person } from '@/contracts/person';
import { CHOSEN_DIMENSIONS, INCH_VIEW, METRIC_VIEW, UNIT_CHOICES, type ChosenDimension } from '@/contracts/unitView';
import { Chips } from '../controls/Chips';
import { Drop } from '../controls/Drop';
import { useView } from '../theme/View';

/** Only where a shop's people are: a screen without them loads nothing of it. */
const PersonMenu = dynamic(() => import('../door/PersonMenu').then((m) => m.PersonMenu));

const NAMES: Record<ChosenDimension, string> = {
  length: 'lengths',
  mass: 'masses',
  torque: 'torque',
  rate: 'rates',
  pressure: 'pressure',
  distance: 'distance',
};

/** Person, units and light of this screen. The units are the person's own, on every screen. */
export function Tools({ people, person }: { people: readonly Person[]; person: string }) {
  const { units, setUnits, dark, setDark } = useView();
  const same = (all: typeof units) => CHOSEN_DIMENSIONS.every((d) => units[d] === all[d]);
  return (
    <div className="tools">
      {people.length > 0 ? <PersonMenu people={people} person={person} /> : null}
      <div className="wide-only">
        <Chips
          label="Units"
          options={[
            { id: 'in', name: 'in, lb' },
            { id: 'mm', name: 'mm, kg' },
          ]}
          value={same(INCH_VIEW) ? 'in' : same(METRIC_VIEW) ? 'mm' : null}
          onPick={(id) => setUnits(id === 'in' ? INCH_VIEW : METRIC_VIEW)}
        />
      </div>
      <Drop says="view…">
        <div className="unit-choices" role="group" aria-label="Units and light">
          {CHOSEN_DIMENSIONS.map((dimension) => (
            <Chips
              key={dimension}
              label={NAMES[dimension]}
              shown
              options={UNIT_CHOICES[dimension].map((id) => ({
                id: id as string,
                name: id === 'in' ? 'in 1/16' : id,
              }))}
              value={units[dimension]}
              onPick={(unit) => setUnits({ ...units, [dimension]: unit })}
            />
          ))}
          <Chips
            label="Light"
            shown
            options={[
              { id: 'day', name: 'day' },
              { id: 'night', name: 'night' },
            ]}
            value={dark ? 'night' : 'day'}
            onPick={(light) => setDark(light === 'night')}
          />
        </div>
      </Drop>
      <Link className="act quiet help" href="/guide" aria-label="Guide" title="Guide and keys" prefetch={false}>
        ?
      </Link>
    </div>
  );
}
