/** Runs writes one after another: the embedded database takes one at a time. */
export class WriteQueue {
  private last: Promise<unknown> = Promise.resolve();

  run<T>(write: () => Promise<T>): Promise<T> {
    const result = this.last.then(write, write);
    this.last = result.catch(() => undefined);
    return result;
  }
}
