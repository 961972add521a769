import type { ReactNode } from "react";

/** What a section of the column is called, and what can be added to it. */
export function SectionHead({ words, children }: { words: string; children?: ReactNode }) {
  return (
    <div className="flex items-baseline justify-between">
      <h2 className="text-[15px] font-bold text-quiet">{words}</h2>
      {children}
    </div>
  );
}
