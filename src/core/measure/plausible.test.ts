import { doubtOf } from './plausible';

test('a height far off the other side, or off the reading it replaces, is asked about; a lean is not', () => {
  // 13.5 typed for 31.5 in.
  expect(doubtOf('groundToLip', 13.5 * 25.4, { other: 31.5 * 25.4 })).toEqual({ against: 'other', value: 31.5 * 25.4 });
  expect(doubtOf('hubToLip', 345, { earlier: 520 })).toEqual({ against: 'earlier', value: 520 });
  expect(doubtOf('hubToLip', 500, { other: 530, earlier: 470 })).toBeNull();
  // An arch is small: the same share of it is within the tape.
  expect(doubtOf('loadedArch', 40, { other: 62 })).toBeNull();
  expect(doubtOf('padLoad', 300, { other: 620 })).toMatchObject({ against: 'other' });
  expect(doubtOf('hubToLip', 500, {})).toBeNull();
  // A block that was fitted since is no misreading.
  expect(doubtOf('blockHeight', 45, { earlier: 0 })).toBeNull();
  expect(doubtOf('uboltThread', 10, { other: 16 })).toBeNull();
});
