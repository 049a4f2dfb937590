import { type LeafPoint } from '@/core/suspension/longitudinalLeaf/points';
import { type PlannedChange, type Sheet, type LeafReading } from '@/core/suspension/longitudinalLeaf/sheet';

/** Where a test reading belongs. */
interface At {
  side?: 'left' | 'right';
  leaf?: number;
}

/** Builds measuring sheets for tests: an invented rear axle, six leaves, one leaf to be added. Core units. */
export function flatbedSheet(changes: readonly PlannedChange[] = [ADDED_LEAF]): Sheet {
  const leafIds = ['a', 'b', 'c', 'd', 'e', 'f'];
  const readings: LeafReading[] = [];
  const read = (point: LeafPoint, value: number, { side, leaf }: At = {}) => {
    const loaded = ['hubToLip', 'loadedArch', 'padLoad', 'axleLoad', 'shackleAngle'].includes(point);
    readings.push({
      point,
      phase: 'before',
      side: side ?? null,
      leafId: leaf === undefined ? null : leafIds[leaf]!,
      stateId: loaded ? 'today' : null,
      value,
      rolled: point === 'hubToLip' ? true : null,
    });
  };
  for (const side of ['left', 'right'] as const) {
    read('hubToLip', side === 'left' ? 520 : 524, { side });
    read('loadedArch', 56, { side });
  }
  read('blockHeight', 0);
  read('uboltExposed', 20);
  read('uboltPitch', 1.5);
  read('uboltThreaded', 60);
  read('uboltNut', 13);
  read('eyeToPinFront', 670);
  read('eyeToPinRear', 710);
  read('leafWidth', 70);
  read('uboltSpacing', 140);
  read('axleLoad', 1450);
  read('unsprungMass', 265);
  read('shackleLength', 110);
  read('shackleAngle', (100 * Math.PI) / 180);
  read('eyeBore', 40);
  read('tubeDiameter', 85);
  read('perchHeight', 18);
  leafIds.forEach((_, leaf) => {
    read('leafThickness', 8, { leaf });
    if (leaf === 0) return;
    read('leafFront', 670 * (1 - leaf / 7), { leaf });
    read('leafRear', 710 * (1 - leaf / 7), { leaf });
  });
  return {
    axle: { position: 'rear', arrangement: 'over', axleClass: 'oneTonRear' },
    wheelbase: 3200,
    pack: { eyeForm: 'upturned', seatShape: 'flat', rusty: false },
    leafIds,
    readings,
    states: [
      { id: 'today', name: 'as it stands today', addedMass: 0, station: 0 },
      { id: 'laden', name: 'laden', addedMass: 400, station: 2900 },
    ],
    changes,
  };
}

export const ADDED_LEAF: PlannedChange = {
  kind: 'addLeaf',
  front: 540,
  rear: 570,
  thickness: 8,
  camber: 130,
  source: 'measured',
};
