import { readPressFile } from './pressFile';

test('a run in pounds and inches is read into newtons and millimetres', () => {
  const read = readPressFile('force_lbf, arch_in ,branch\n0,5.5,loading\n100,5.0,loading\n0,5.25,unloading\n');
  expect(read).toEqual({
    points: [
      { force: 0, archTop: 139.7, branch: 'loading' },
      { force: expect.closeTo(444.822, 3) as number, archTop: 127, branch: 'loading' },
      { force: 0, archTop: 133.35, branch: 'unloading' },
    ],
  });
});
test('semicolons and decimal commas are read too, and a byte-order mark is no column', () => {
  const read = readPressFile('\uFEFFforce_N;arch_mm;branch\n0;140,5;loading\n500;120;loading\n0;138;unloading\n');
  expect('points' in read && read.points[0]!.archTop).toBe(140.5);
});
test('every bad line is told with its number, and nothing is taken', () => {
  const read = readPressFile(
    'force_N,arch_mm,branch\n0,140,loading\n-5,120,loading\n500,x,loading\n600,110,sideways\n',
  );
  expect('problems' in read && read.problems.map((p) => p.line)).toEqual([3, 4, 5]);
});
test.each([
  ['', /header lacks/],
  ['a,b\n1,2\n', /force column.*arch column.*branch/],
  ['force_N,arch_mm,branch\n0,140,loading\n', /three points/],
  ['<html>no</html>', /header lacks/],
])('%j is refused in words', (text, reason) => {
  const read = readPressFile(text);
  expect('problems' in read && read.problems[0]!.reason).toMatch(reason);
});
