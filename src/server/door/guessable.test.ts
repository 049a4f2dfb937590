import { DEMO_PASSWORD } from '../../../demo/ids';
import { requireHardToGuess } from './guessable';

test.each([
  'password1234',
  'qwertyuiop12',
  '123456789012',
  'aaaaaaaaaaaa',
  'Gravelwort2026',
  'merrinmerrin',
  'ownshopownshop',
])('“%s” is tried first', async (password) => {
  await expect(requireHardToGuess(password, ['Own shop', 'ownshop', 'Merrin Vose', 'merrin'])).rejects.toMatchObject({
    status: 400,
    problem: { field: 'password' },
  });
});

test.each([
  'anvil and bellows',
  'long enough by far',
  'hollow-anvil-42',
  DEMO_PASSWORD,
  'q'.repeat(10) + 'hollow anvil, blue moss',
])('“%s” will do', async (password) => {
  await expect(requireHardToGuess(password, ['Own shop', 'own'])).resolves.toBeUndefined();
});
