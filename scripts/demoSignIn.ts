import { type BrowserContext } from '@playwright/test';
import { DEMO_PASSWORD, DEMO_WORD } from '../demo/ids';

/** Signs the demo's owner in on a running demo, so that a script sees what a person sees. */
export async function demoSignIn(context: BrowserContext, url: string): Promise<void> {
  const data = { shop: DEMO_WORD, name: 'ansa', kind: 'password', secret: DEMO_PASSWORD };
  const answer = await context.request.post(`${url}/api/door/in`, { data, headers: { origin: url } });
  if (!answer.ok()) throw new Error(`The demo at ${url} does not let its owner in: ${answer.status()}.`);
}
