import fc from 'fast-check';
import { parseMeasured } from '../units/parse';
import { THREAD_RULE } from '../units/rules';
import { parseThread, threadNamed } from './thread';

const parseThreadField = (text: string) => parseMeasured(text, THREAD_RULE);

test.each([
  ['M10', 'M10', 10, 1.5, 'coarse'],
  ['m 10 x 1.25', 'M10 x 1.25', 10, 1.25, 'fine'],
  ['M14×1,5', 'M14 x 1.5', 14, 1.5, 'fine'],
  ['3/8-16', '3/8-16 UNC', 9.525, 25.4 / 16, 'coarse'],
  ['9/16-18 unf', '9/16-18 UNF', 14.2875, 25.4 / 18, 'fine'],
  ['1-1/4-12', '1-1/4-12 UNF', 31.75, 25.4 / 12, 'fine'],
  ['5/8 UNC', '5/8-11 UNC', 15.875, 25.4 / 11, 'coarse'],
  ['7/16', '7/16', 11.1125, null, null],
])('%s is %s', (text, name, diameter, pitch, series) => {
  const read = parseThread(text);
  expect(read).toMatchObject({ kind: 'ok', thread: { name, series } });
  expect(threadNamed(text)!.diameter).toBeCloseTo(diameter, 9);
  if (pitch === null) expect(threadNamed(text)!.pitch).toBeNull();
  else expect(threadNamed(text)!.pitch).toBeCloseTo(pitch, 9);
});

test.each([
  ['M10 x 1.3', /1\.5, 1\.25, 1 mm, not 1\.3/],
  ['M13', /no thread M13/],
  ['3/8-18', /16 \(UNC\) or 24 \(UNF\)/],
  ['3/8-24 UNC', /not 24 as UNC/],
  ['2 in', /no thread/],
  ['ten', /no thread/],
])('%s is refused with those that exist', (text, reason) =>
  expect(parseThread(text)).toMatchObject({ kind: 'refused', reason: expect.stringMatching(reason) as string }),
);

test('a bare number is asked about, and no unit of length turns a name into another', () => {
  const asked = parseThreadField('10');
  expect(asked.kind).toBe('ask');
  if (asked.kind === 'ask') expect(asked.options.map((o) => o.label)).toEqual(['M10', 'M10 x 1.25', 'M10 x 1']);
  // M10 is not 3/8: they lie half a millimetre apart and neither nut goes on the other.
  expect(threadNamed('M10')!.diameter - threadNamed('3/8-16')!.diameter).toBeCloseTo(0.475, 9);
  expect(parseThreadField('M10')).toMatchObject({ kind: 'ok', value: 10, unit: 'thread' });
});

test('property: whatever is read is read again from its own name, and nothing throws', () => {
  fc.assert(
    fc.property(
      fc.oneof(fc.string({ maxLength: 12 }), fc.constantFrom('M8', 'M20x1.5', '1/2-20', '3/4 UNF', '1 unc')),
      (text) => {
        const read = parseThread(text);
        if (read.kind === 'ok') expect(threadNamed(read.thread.name)).toEqual(read.thread);
      },
    ),
  );
});
