import { unwaited } from "@/api/unwaited";

/** Where a window's name is kept while it is reloaded. */
const NAME = "twin-petal:window";

const lockOf = (name: string) => `twin-petal/window/${name}`;

/** Pages that are not served safely have none: there no window knows of another. */
const locksHere = (): LockManager | undefined => ("locks" in navigator ? navigator.locks : undefined);

let own: Promise<string> | null = null;

/** This window's name among those that are open: it stays the same when it is reloaded, and no other open window has it. */
export function ownWindow(): Promise<string> {
  own ??= claim();
  return own;
}

async function claim(): Promise<string> {
  const before = remembered();
  // A window that was doubled has the other's name: it takes another.
  const name = before !== null && (await hold(before)) ? before : fresh();
  if (name !== before) await hold(name);
  remember(name);
  return name;
}

const fresh = () => `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 10)}`;

/** Holds a name for as long as the window is there; false where another has it. */
function hold(name: string): Promise<boolean> {
  const locks = locksHere();
  if (!locks) return Promise.resolve(true);
  return new Promise((answer) => {
    unwaited(
      locks.request(lockOf(name), { ifAvailable: true }, (lock) => {
        answer(lock !== null);
        // It is never let go of: the browser does that when the window goes.
        return lock === null ? undefined : new Promise<void>(() => undefined);
      }),
    );
  });
}

/** Whether a window of a name is open. */
export async function isOpenWindow(name: string): Promise<boolean> {
  const { held = [] } = (await locksHere()?.query()) ?? {};
  return name !== "" && held.some((lock) => lock.name === lockOf(name));
}

function remembered(): string | null {
  try {
    return sessionStorage.getItem(NAME);
  } catch {
    return null;
  }
}

function remember(name: string): void {
  try {
    sessionStorage.setItem(NAME, name);
  } catch {
    // It is called otherwise when it is reloaded.
  }
}
