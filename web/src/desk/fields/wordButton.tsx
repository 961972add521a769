import type { ComponentProps } from "react";

/** A small action in a sentence. */
export function WordButton(props: ComponentProps<"button">) {
  return (
    <button
      type="button"
      className="mx-0.5 min-w-6 rounded border border-hairline px-1 text-[14px] leading-[1.45] text-quiet hover:border-quiet hover:text-words"
      {...props}
    />
  );
}
