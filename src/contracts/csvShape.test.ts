import fc from 'fast-check';
import Papa from 'papaparse';
import { csvFault, delimiterOf } from './csvShape';

const WIDE = { rows: 1000, columns: 100, cell: 1000 };
const cells = fc.string({ unit: fc.constantFrom('a', '"', ',', ';', '\n', ' ', 'ä'), maxLength: 6 });

test('it counts as the reader does: at the limit a table passes, one less and it does not', () => {
  fc.assert(
    fc.property(fc.array(fc.array(cells, { minLength: 2, maxLength: 5 }), { minLength: 1, maxLength: 6 }), (data) => {
      const text = `k,n\n${Papa.unparse(data, { newline: '\n' })}`;
      const read = Papa.parse<string[]>(text, { delimiter: ',' }).data.slice(1);
      const filled = read.filter((row) => row.some((c) => c !== '')).length;
      const columns = Math.max(2, ...read.map((row) => row.length));
      const cell = Math.max(1, ...read.flat().map((c) => c.replaceAll('"', '').length));
      expect(csvFault(text, { ...WIDE, rows: filled, columns })).toBeNull();
      if (filled > 0) expect(csvFault(text, { ...WIDE, rows: filled - 1 })).not.toBeNull();
      if (columns > 2) expect(csvFault(text, { ...WIDE, columns: columns - 1 })).not.toBeNull();
      if (cell > 1) expect(csvFault(text, { ...WIDE, cell: cell - 1 })).not.toBeNull();
    }),
    { numRuns: 400 },
  );
});

test('two columns have a delimiter, a final line break is no row, an open quote is told where it was opened', () => {
  expect(delimiterOf('kind;name\nblock;B')).toBe(';');
  expect(csvFault('kind,name\nblock,B\n\n', { ...WIDE, rows: 1 })).toBeNull();
  expect(csvFault('kind,name\nblock,"B\nblock,C\nblock,D\n', WIDE)).toMatchObject({ line: 2 });
});

test('files made to choke a reader end at the first thing that is too much', () => {
  const from = performance.now();
  expect(csvFault('a\n'.repeat(7_400_000), { ...WIDE, rows: 60_000 })).toMatchObject({ line: 1 });
  expect(csvFault(','.repeat(14_500_000), WIDE)).toMatchObject({ line: 1 });
  expect(csvFault(`kind,name\n"${'x'.repeat(14_000_000)}`, WIDE)).toMatchObject({ line: 2 });
  // Taken apart they took from one to nine minutes.
  expect(performance.now() - from).toBeLessThan(10_000);
});
