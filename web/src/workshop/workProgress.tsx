import { NoticeChip, ProgressChip } from "@/ui/progressChip";
import type { Work } from "./useWork";

interface WorkProgressProps {
  readonly work: Pick<Work<never, unknown>, "share" | "trouble" | "isStopped" | "stop">;
  readonly label: string;
  readonly words: string;
}

/** How far something is computed, with a way to end it; and what went wrong. */
export function WorkProgress({ work: { share, trouble, isStopped, stop }, label, words }: WorkProgressProps) {
  return (
    <div className="pointer-events-none absolute top-3 right-3 flex max-w-80 flex-col items-end gap-2 text-[14px]">
      {share !== null && <ProgressChip label={label} share={share} words={words} onStop={stop} />}
      {isStopped && <NoticeChip words="Stopped; the next change begins anew." />}
      {trouble !== null && <NoticeChip failed words={trouble} />}
    </div>
  );
}
