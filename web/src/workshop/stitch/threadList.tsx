import type { StitchesTold, StitchPlan } from "@twin-petal/core";
import { figure } from "../figures";

/** Every thread in the order in which it is put in, with how much of it is sewn. */
export function ThreadList({ plan: { threads }, told }: { plan: StitchPlan; told: StitchesTold }) {
  const metres = new Map<string, number>();
  threads.forEach(({ color }, k) => metres.set(color, (metres.get(color) ?? 0) + (told.thread[k] ?? 0)));
  return (
    <section aria-label="Threads" className="flex flex-col gap-1">
      <h2 className="text-lg font-bold">Threads</h2>
      <ul className="flex flex-col gap-1 text-[15px]">
        {[...metres].map(([color, length]) => (
          <li key={color} className="flex items-center gap-2">
            <span
              aria-hidden="true"
              className="h-3 w-6 rounded-full border border-hairline"
              style={{ background: color }}
            />
            <span className="font-mono text-[13px] text-quiet">{color}</span>
            <span className="ml-auto">{figure(length)} m</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
