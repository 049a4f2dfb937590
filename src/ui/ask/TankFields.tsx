'use client';
import { Chips } from '../controls/Chips';
import { TypedField, type Typed } from '../measured/TypedField';
import { ASK_RULES } from './askRules';

export interface TankDraft {
  /** null while nobody has said. */
  has: boolean | null;
  mass: Typed | null;
  station: Typed | null;
}

export const UNKNOWN_TANK: TankDraft = { has: null, mass: null, station: null };

/** Zero is no tank, null is nobody said. */
export const tankBody = ({ has, mass, station }: TankDraft) =>
  has === false
    ? { tankMass: 0, tankMassTyped: '0', tankStation: null, tankStationTyped: null }
    : {
        tankMass: mass?.value ?? null,
        tankMassTyped: mass?.typed ?? null,
        tankStation: station?.value ?? null,
        tankStationTyped: station?.typed ?? null,
      };

/** A full tank's mass and place, so that heights read at another fill can be converted. */
export function TankFields({
  tank,
  draft,
  nose = 'the front axle',
  onChange,
}: {
  tank: TankDraft;
  draft: string;
  /** What its place is counted from. */
  nose?: string;
  onChange: (tank: TankDraft) => void;
}) {
  return (
    <div className="part">
      <Chips
        label="Fuel tank"
        shown
        options={[
          { id: 'yes', name: 'has one' },
          { id: 'no', name: 'none' },
        ]}
        value={tank.has === null ? null : tank.has ? 'yes' : 'no'}
        onPick={(id) => onChange({ ...tank, has: id === 'yes' })}
      />
      {tank.has ? (
        <div className="pair">
          <TypedField
            label="Full, the fuel weighs"
            rule={ASK_RULES.tank}
            value={tank.mass}
            draft={`${draft}|tankMass`}
            hint="converts heights read at another fill"
            onChange={(mass) => onChange({ ...tank, mass })}
          />
          <TypedField
            label={`Tank behind ${nose}`}
            rule={ASK_RULES.station}
            value={tank.station}
            draft={`${draft}|tankStation`}
            onChange={(station) => onChange({ ...tank, station })}
          />
        </div>
      ) : null}
    </div>
  );
}
