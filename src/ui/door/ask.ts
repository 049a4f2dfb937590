// The one dialog in which a person shows who they are: whatever is refused for want of that waits for it, and is then tried once more.

/** @param person to take over, where it is known; resolves to whether somebody has shown who they are */
type Ask = (why: string, person?: string) => Promise<boolean>;

let offered: Ask | undefined;
let open: Promise<boolean> | undefined;

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
  open ??= offered(why, person).finally(() => {
    open = undefined;
  });
  return open;
}

/** Refusals that a person at the screen can lift by showing who they are. */
export const LIFTED_AT_DOOR = ['sign-in', 'ask-again', 'not-yours'];
