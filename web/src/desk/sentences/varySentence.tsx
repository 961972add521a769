import { VARIED, type Varied } from "@twin-petal/core";
import { Menu, MenuItem } from "@/ui/menu";
import { FieldFormula } from "../fields/fieldFormula";
import { useField, useFields } from "../fields/fieldsContext";
import { WordButton } from "../fields/wordButton";

interface VariedLabels {
  readonly words: string;
  /** What a new one begins as. */
  readonly first: string;
}

const WORDS: Readonly<Record<Varied, VariedLabels>> = {
  turn: { words: "turned by", first: "30 * t" },
  size: { words: "sized", first: "1 - 0.5 * t" },
  sizeX: { words: "as wide as", first: "1 - 0.5 * t" },
  sizeY: { words: "as long as", first: "1 - 0.5 * t" },
  moveX: { words: "moved across", first: "5 * sin(i * 30)" },
  moveY: { words: "moved down", first: "5 * sin(i * 30)" },
  moveOut: { words: "moved out", first: "4 * mod(i, 2)" },
  rise: { words: "raised by", first: "2 * i" },
  tiltX: { words: "its tip raised by", first: "60 * t" },
  tiltY: { words: "its right side raised by", first: "60 * t" },
  opacity: { words: "as opaque as", first: "1 - 0.8 * t" },
  paint: { words: "painted along the ramp at", first: "t" },
};

export function VarySentence() {
  const { stored } = useFields();
  const notes = VARIED.filter((field) => stored[field] !== undefined);
  const rest = VARIED.filter((field) => stored[field] === undefined);
  return (
    <>
      <b>Vary</b> each copy:
      {notes.length === 0 && " not at all yet."}
      {notes.map((field) => (
        <VariedLine key={field} field={field} />
      ))}
      {rest.length > 0 && (
        <Menu trigger={<WordButton>vary more …</WordButton>}>
          {rest.map((field) => (
            <AddVaried key={field} field={field} />
          ))}
        </Menu>
      )}
    </>
  );
}

function AddVaried({ field }: { field: Varied }) {
  const { set } = useField(field, "formula");
  const { words, first } = WORDS[field];
  return <MenuItem onSelect={() => set(first, `vary: ${words}`)}>{words}</MenuItem>;
}

function VariedLine({ field }: { field: Varied }) {
  const { set } = useField(field, "formula");
  const { words } = WORDS[field];
  return (
    <span className="my-1 block">
      {words} <FieldFormula of={field} label={words} />
      <WordButton title={`No longer ${words}`} onClick={() => set(undefined, `no longer ${words}`)}>
        leave
      </WordButton>
    </span>
  );
}
