interface ProgressChipProps {
  readonly label: string;
  /** The share that is done, 0…1. */
  readonly share: number;
  readonly words: string;
  onStop: () => void;
}

/** Work under way over a picture, with a way to end it. */
export function ProgressChip({ label, share, words, onStop }: ProgressChipProps) {
  return (
    <p className="pointer-events-auto flex items-center gap-2 rounded-md border border-hairline bg-surface px-2 py-1 text-[14px]">
      <progress aria-label={label} value={share} className="w-20 accent-[var(--words)]" /> {words}
      <button
        type="button"
        className="rounded border border-hairline px-1.5 text-quiet hover:text-words"
        onClick={onStop}
      >
        Stop
      </button>
    </p>
  );
}

/** A word about what is over, or what went wrong. */
export function NoticeChip({ words, failed = false }: { readonly words: string; readonly failed?: boolean }) {
  return (
    <p
      role={failed ? "alert" : undefined}
      className={`rounded-md border bg-surface px-2 py-1 text-[14px] ${failed ? "border-failed text-failed" : "border-hairline text-quiet"}`}
    >
      {failed && "✕ "}
      {words}
    </p>
  );
}
