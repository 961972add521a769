import type { Calls } from "../server/test/calls";

/** While anything else goes on health is answered within so many milliseconds, 99 times of 100. */
const HEALTHY = 100;

/** Asks a server over and over how it is; what comes back ends that, with how long it took and what is wrong. */
export function healthWatch({ call }: Pick<Calls, "call">): () => Promise<{ words: string; faults: string[] }> {
  const waits: number[] = [];
  const faults: string[] = [];
  let isOver = false;
  const watching = (async () => {
    while (!isOver) {
      const began = performance.now();
      const { status } = await call("/api/health");
      if (status !== 200) faults.push(`health answers ${status}`);
      waits.push(performance.now() - began);
      await new Promise((rest) => setTimeout(rest, 20));
    }
  })();
  return async () => {
    isOver = true;
    await watching;
    const slow = [...waits].sort((a, b) => a - b)[Math.floor(waits.length * 0.99)] ?? 0;
    const late = slow > HEALTHY ? [`health took ${slow.toFixed(0)} ms at the 99th of 100`] : [];
    return { words: `${slow.toFixed(0)} ms health`, faults: [...new Set(faults), ...late] };
  };
}
