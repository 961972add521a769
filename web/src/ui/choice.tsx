import { Menu, MenuItem } from "./menu";
import { OpeningWord } from "./openingWord";

interface ChoiceProps<C extends string> {
  readonly label: string;
  readonly value: C;
  readonly choices: readonly { readonly value: C; readonly words: string }[];
  onChange: (value: C) => void;
  /** It is taken to hand. */
  onTouched?: () => void;
}

/** A choice in a sentence: its words open the others. */
export function Choice<C extends string>({ label, value, choices, onChange, onTouched }: ChoiceProps<C>) {
  const words = choices.find((known) => known.value === value)?.words ?? value;
  return (
    <Menu
      trigger={
        <OpeningWord label={`${label}: ${words}`} onFocus={onTouched}>
          {words}
        </OpeningWord>
      }
    >
      {choices.map((known) => (
        <MenuItem key={known.value} onSelect={() => onChange(known.value)} hint={known.value === value ? "now" : ""}>
          {known.words}
        </MenuItem>
      ))}
    </Menu>
  );
}
