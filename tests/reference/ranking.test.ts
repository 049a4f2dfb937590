import { printedBy } from './bundled';

interface Said {
  candidates: number;
  solved: number;
  compared: { stateId: string; change: number; searched: string[]; bruteForce: string[] }[];
  limited: { limit: object; searched: string[]; bruteForce: string[]; left: number }[];
}

test('on 20 random wishes the search finds the ten that predicting every candidate one by one finds, in the same order', async () => {
  const [stdout] = await printedBy('ranking', []);
  const said = JSON.parse(stdout!) as Said;
  expect(said.candidates).toBeGreaterThan(140);
  expect(said.solved).toBeGreaterThan(140);
  expect(said.compared).toHaveLength(20);
  for (const { searched, bruteForce, ...wish } of said.compared)
    expect({ ...wish, found: searched }).toEqual({ ...wish, found: bruteForce });
  // Each limit lets through what it says, finds the nearest of the rest, and leaves neither all nor nothing.
  for (const { limit, searched, bruteForce, left } of said.limited) {
    expect({ limit, found: searched }).toEqual({ limit, found: bruteForce });
    expect(left).toBeGreaterThan(0);
    expect(left).toBeLessThan(said.candidates);
  }
}, 600_000);
