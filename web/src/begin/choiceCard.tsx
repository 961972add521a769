import type { ReactNode } from "react";

interface ChoiceCardProps {
  readonly name: string;
  readonly words?: string;
  readonly disabled?: boolean;
  readonly picture: ReactNode;
  onChoose: () => void;
}

/** Something to begin from: its picture, its name, and what it is. */
export function ChoiceCard({ name, words, disabled = false, picture, onChoose }: ChoiceCardProps) {
  return (
    <li className="flex">
      <button
        type="button"
        aria-label={name}
        disabled={disabled}
        onClick={onChoose}
        className="flex w-full flex-col rounded-md border border-hairline bg-surface p-2.5 text-left hover:border-quiet disabled:opacity-60"
      >
        <span className="relative block h-36 w-full">{picture}</span>
        <b className="mt-2 text-[16px] leading-tight">{name}</b>
        {words && <span className="text-[14px] leading-snug text-quiet">{words}</span>}
      </button>
    </li>
  );
}
