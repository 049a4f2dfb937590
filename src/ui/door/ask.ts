// The one dialog in which a person shows who they are: whatever is refused for want of that waits for it, and is then tried once more.
import { type Problem } from '@/contracts/problem';

/** @param person to take over, where it is known; resolves to whether somebody has shown who they are */
type Ask = (why: string, person?: string) => Promise<boolean>;

let offered: Ask | undefined;
let open: Promise<boolean> | undefined;
let shown = 0;

/** How often somebody has shown who they are at this screen: what was sent under an older name is sent again without asking. */
export const shownSoFar = (): number => shown;

/** The dialog on this screen; returns how to take it away. */
export function offerDoor(ask: Ask): () => void {
  offered = ask;
  return () => {
    if (offered === ask) offered = undefined;
  };
}

/** Several that wait at once wait for the same answer. */
export function askAtDoor(why: string, person?: string): Promise<boolean> {
  if (!offered) return Promise.resolve(false);
  open ??= offered(why, person)
    .then((did) => {
      if (did) shown += 1;
      return did;
    })
    .finally(() => {
      open = undefined;
    });
  return open;
}

/** Lifts a refusal of something sent when `since` had shown who they are: by whoever has done so meanwhile, else by asking. */
export const liftRefusal = async ({ code, message }: Problem, since: number): Promise<boolean> =>
  LIFTED_AT_DOOR.includes(code) && (shown > since || (await askAtDoor(message)));

/** Refusals that a person at the screen can lift by showing who they are. */
const LIFTED_AT_DOOR = ['sign-in', 'ask-again', 'not-yours'];
