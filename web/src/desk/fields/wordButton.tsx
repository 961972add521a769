import type { ReactNode } from "react";

/** A small action in a sentence. */
export function WordButton({ children, onClick, title }: { children: ReactNode; onClick: () => void; title?: string }) {
  return (
    <button
      type="button"
      onClick={onClick}
      title={title}
      className="mx-1 rounded border border-hairline px-1.5 text-[14px] leading-[1.45] text-quiet hover:border-quiet hover:text-words"
    >
      {children}
    </button>
  );
}
