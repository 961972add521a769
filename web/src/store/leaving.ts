/** A desk that is opened again waits no longer than this for what is still on its way, milliseconds: the server may hang. */
const LONGEST = 4_000;

const leaving = new Map<string, Promise<void>>();

/** A desk is left while what was done on it is still on its way. */
export function leave(id: string, sent: Promise<void>): void {
  const before = leaving.get(id) ?? Promise.resolve();
  const all = before.then(() => sent).finally(() => leaving.get(id) === all && leaving.delete(id));
  leaving.set(id, all);
}

/** Resolves once what was done on a desk before is on the server, or it has been waited for long enough. */
export async function hasLeft(id: string): Promise<void> {
  const sent = leaving.get(id);
  if (sent) await Promise.race([sent, new Promise((late) => setTimeout(late, LONGEST))]);
}
