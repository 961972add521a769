import type { ComponentProps } from "react";

interface OpeningWordProps extends ComponentProps<"button"> {
  /** What it chooses, for those who only hear its word. */
  readonly label?: string | undefined;
  readonly bold?: boolean;
}

/** A word of a sentence that opens what it could be instead. */
export function OpeningWord({ label, bold = false, ...rest }: OpeningWordProps) {
  return (
    <button
      type="button"
      aria-label={label}
      className={`rounded px-0.5 text-live underline decoration-dotted decoration-1 underline-offset-[5px] hover:bg-live-ground ${bold ? "font-bold" : ""}`}
      {...rest}
    />
  );
}
