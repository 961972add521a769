/** Lets a worker hear its messages in the middle of long work. */
export class Breather {
  private readonly channel = new MessageChannel();
  private readonly waiting: (() => void)[] = [];
  private last = performance.now();

  /** Work goes on undisturbed for this many milliseconds. */
  constructor(private readonly every: number) {
    this.channel.port1.onmessage = () => {
      this.last = performance.now();
      this.waiting.shift()?.();
    };
  }

  isDue(): boolean {
    return performance.now() - this.last > this.every;
  }

  /** Messages that have arrived are heard before this resolves. */
  breathe(): Promise<void> {
    return new Promise((resolve) => {
      this.waiting.push(resolve);
      this.channel.port2.postMessage(null);
    });
  }
}
