import { sameMisfit } from './fit';

test('a reason covers the misfit it was given for, a millimetre either way, and none that grew', () => {
  const given = 'Brake hose has slack at full droop: 12 mm short.';
  expect(sameMisfit(given, given)).toBe(true);
  expect(sameMisfit(given, 'Brake hose has slack at full droop: 13 mm short.')).toBe(true);
  expect(sameMisfit(given, 'Brake hose has slack at full droop: 60 mm short.')).toBe(false);
  expect(sameMisfit('Hanger: cracked. To be replaced.', 'Hanger: torn. Not to be driven.')).toBe(false);
});
