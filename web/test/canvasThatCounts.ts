/** Painting as a test sees it: a clock that only painting moves, and what a test does as it goes on. */
export const painting = { now: 0, aFill: 0.01, fills: 0, onFill: (_fills: number): void => undefined };

/** A canvas that keeps no picture, but counts what is laid onto it. */
export class CountingCanvas {
  laid = 0;
  constructor(
    public width: number,
    public height: number,
  ) {}

  getContext() {
    const drawn: Record<string, (() => void) | undefined> = {
      fill: () => {
        painting.now += painting.aFill;
        painting.onFill(++painting.fills);
      },
      drawImage: () => void (this.laid += 1),
    };
    return new Proxy({}, { get: (_, name) => drawn[String(name)] ?? (() => undefined), set: () => true });
  }
}

class Outline {
  moveTo() {}
  lineTo() {}
  bezierCurveTo() {}
  closePath() {}
  rect() {}
}

const channels: MessageChannel[] = [];

/** Outside a worker a channel that is left open keeps the process from ending. */
export function closeChannels(): void {
  for (const { port1 } of channels.splice(0)) port1.close();
}

class KnownChannel extends MessageChannel {
  constructor() {
    super();
    channels.push(this);
  }
}

// In place before whatever paints is loaded.
Object.assign(globalThis, { OffscreenCanvas: CountingCanvas, Path2D: Outline, MessageChannel: KnownChannel });
