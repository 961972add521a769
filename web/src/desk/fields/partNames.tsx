import type { ReactElement } from "react";
import { Menu, MenuItem } from "@/ui/menu";
import { useNamed } from "./useNamed";
import { WordButton } from "./wordButton";

interface PartNamesProps {
  /** The part whose sentence this is; it is not offered. */
  readonly part: string;
  readonly chosen: readonly string[];
  /** Opens the parts not chosen yet. */
  readonly trigger: ReactElement;
  /** What leaving one out means. */
  leaveWords: (name: string) => string;
  onLeave: (rest: readonly string[], name: string) => void;
  onAdd: (id: string, name: string) => void;
}

/** Other parts named in a sentence: each leaves when its name is clicked, and a menu adds another. */
export function PartNames({ part, chosen, trigger, leaveWords, onLeave, onAdd }: PartNamesProps) {
  const named = useNamed(part);
  const nameOf = (id: string) => named.find((known) => known.id === id)?.name ?? id;
  const free = named.filter(({ id }) => !chosen.includes(id));
  return (
    <>
      {chosen.map((id) => (
        <WordButton
          key={id}
          title={leaveWords(nameOf(id))}
          onClick={() =>
            onLeave(
              chosen.filter((known) => known !== id),
              nameOf(id),
            )
          }
        >
          {nameOf(id)} ×
        </WordButton>
      ))}
      {free.length > 0 && (
        <Menu trigger={trigger}>
          {free.map(({ id, name }) => (
            <MenuItem key={id} onSelect={() => onAdd(id, name)}>
              {name}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}
