/** Why something cannot be computed, found out only while computing it: a formula that is not finite for some copy. */
export class Incomputable extends Error {
  constructor(
    /** The field it is about; empty for the whole rule. */
    readonly field: string,
    message: string,
  ) {
    super(message);
  }
}

/** Does some work; what it throws of this kind is placed under a path of the part. */
export function placingTrouble(path: string, work: () => void): void {
  try {
    work();
  } catch (error) {
    if (!(error instanceof Incomputable)) throw error;
    throw new Incomputable(error.field === "" ? path : `${path}.${error.field}`, error.message);
  }
}
