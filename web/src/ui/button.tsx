import type { ComponentProps } from "react";
import { Link } from "react-router";

type Look = "plain" | "main" | "quiet";

const LOOKS: Readonly<Record<Look, string>> = {
  plain: "border border-hairline bg-surface text-words hover:border-quiet",
  main: "bg-live text-on-live hover:brightness-110",
  quiet: "text-quiet hover:bg-page hover:text-words",
};

const SHAPE = "inline-flex h-8 items-center gap-1.5 rounded-md px-3 font-medium whitespace-nowrap disabled:opacity-45";

/** A button with words on it. One on a screen may be the main one. */
export function Button({ look = "plain", className = "", ...rest }: ComponentProps<"button"> & { look?: Look }) {
  return <button type="button" className={`${SHAPE} ${LOOKS[look]} ${className}`} {...rest} />;
}

/** A link to another screen that looks like a button. */
export function ButtonLink({ look = "plain", ...rest }: ComponentProps<typeof Link> & { look?: Look }) {
  return <Link className={`${SHAPE} ${LOOKS[look]}`} {...rest} />;
}

/** A button that shows only a picture; its words are told on hovering and to screen readers. */
export function IconButton({ label, className = "", ...rest }: ComponentProps<"button"> & { label: string }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className={`inline-grid size-8 shrink-0 place-items-center rounded-md text-quiet hover:bg-page hover:text-words disabled:opacity-35 disabled:hover:bg-transparent ${className}`}
      {...rest}
    />
  );
}
