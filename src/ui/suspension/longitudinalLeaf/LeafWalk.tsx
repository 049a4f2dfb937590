'use client';
import { ElevationDrawing } from '../../drawing/ElevationDrawing';
import { figureValues } from '../../figure/values';
import { Spots, SPOT_ROWS } from '../../inspect/Spots';
import { type StageProps } from '../../inspect/walk';
import { useStanding } from './useStanding';
import { placesOf } from './walkPlaces';

/** The spring as it stands, typical where it was not measured, with the spots of the walk. */
export function LeafWalk({ view, side, spots, at, onPick }: StageProps) {
  const { prediction, complete, progress } = useStanding(view);
  const drawing = (prediction?.sides[side] ?? prediction?.sides.left)?.states[0]?.old?.elevation;
  if (!drawing) return <p className="muted">{progress === null ? 'No figure yet.' : 'Drawing…'}</p>;
  return (
    <ElevationDrawing
      old={drawing}
      built={null}
      side={side}
      stateName={view.states[0]?.name ?? ''}
      before={null}
      after={null}
      addedLeaf={null}
      assumed={[]}
      provisional={!complete}
      radius={figureValues(view, null)('groundToHub', side)}
      over={{
        ...SPOT_ROWS,
        draw: (s, shown) => <Spots s={s} spots={spots} at={at} places={placesOf(shown)} onPick={onPick} />,
      }}
    />
  );
}
