import { memo, useState } from "react";
import { Plus, X } from "lucide-react";
import { newNameTrouble, type NamedNumber } from "@twin-petal/core";
import { useDesign, useEditing } from "@/store/deskStore";
import { addNumber, removeNumber, renameNumber, setNumber, setRange, stepOf, numberUses } from "@/store/edits/numbers";
import { IconButton } from "@/ui/button";
import { SectionHead } from "@/ui/sectionHead";
import { Sentence, useTroubleNotes } from "@/ui/sentence";
import { BoundNumber } from "../fields/boundNumber";
import { WordButton } from "../fields/wordButton";

const ANY = { min: -1e9, max: 1e9, whole: false };

/** The design's named numbers. */
export function NumbersSection() {
  const design = useDesign();
  const { edit } = useEditing();
  const uses = numberUses(design);
  return (
    <section aria-label="Numbers">
      <SectionHead words="Numbers of the design">
        <WordButton
          title="A named number can be typed wherever a number stands"
          onClick={() => edit(addNumber(design))}
        >
          <Plus size={13} className="-mt-0.5 inline" /> Name a number
        </WordButton>
      </SectionHead>
      <ul>
        {design.numbers.map((number) => (
          <NumberRow key={number.name} number={number} uses={uses.get(number.name) ?? NOWHERE} />
        ))}
      </ul>
    </section>
  );
}

const NOWHERE: readonly string[] = [];

const NumberRow = memo(function NumberRow({ number, uses }: { number: NamedNumber; uses: readonly string[] }) {
  const { edit, now } = useEditing();
  const [open, setOpen] = useState(false);
  const { name } = number;
  const limits = { ...ANY, min: number.min ?? ANY.min, max: number.max ?? ANY.max };
  return (
    <li className="flex items-start gap-1">
      <div className="min-w-0 flex-1">
        <Sentence>
          <NameInput name={name} /> ={" "}
          <BoundNumber
            label={name}
            stored={number.value}
            standard={0}
            quantity="factor"
            limits={limits}
            step={stepOf(number)}
            onSet={(value, change, gesture) =>
              edit(setNumber(name, value ?? 0, change, gesture && `number/${name}/${gesture}`))
            }
          />{" "}
          <button
            type="button"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            className="rounded px-1 text-[15px] text-quiet hover:text-words"
          >
            {uses.length === 0 ? "not used yet" : uses.length === 1 ? "used once" : `used ${uses.length} times`}
          </button>
        </Sentence>
        {open && <NumberDetails number={number} uses={uses} />}
      </div>
      <IconButton
        label={`Remove the number ${name}`}
        className="size-7"
        onClick={() => edit(removeNumber(now(), name))}
      >
        <X size={15} />
      </IconButton>
    </li>
  );
});

/** Where a number is used, and the range it is pulled and surprised in. */
function NumberDetails({ number, uses }: { number: NamedNumber; uses: readonly string[] }) {
  const { edit } = useEditing();
  const { name, min, max } = number;
  const value = typeof number.value === "number" ? number.value : 0;
  const limit = (key: "min" | "max" | "step", words: string, standard: number) => (
    <BoundNumber
      label={`${words} of ${name}`}
      stored={number[key]}
      standard={standard}
      quantity="factor"
      limits={key === "step" ? { ...ANY, min: 1e-6 } : ANY}
      step={stepOf(number)}
      onSet={(next) => edit(setRange(name, { [key]: typeof next === "number" ? next : undefined }))}
    />
  );
  const ranged = min !== undefined && max !== undefined;
  return (
    <div className="ml-1 border-l border-hairline pl-2 text-[14.5px]">
      {uses.length > 0 && (
        <ul aria-label={`What depends on ${name}`} className="text-quiet">
          {[...new Set(uses)].map((place) => (
            <li key={place}>{place}</li>
          ))}
        </ul>
      )}
      <Sentence>
        {ranged ? (
          <>
            From {limit("min", "least", min)} to {limit("max", "most", max)}, by {limit("step", "step", stepOf(number))}
            .
            <WordButton onClick={() => edit(setRange(name, { min: undefined, max: undefined, step: undefined }))}>
              no range
            </WordButton>
          </>
        ) : (
          <WordButton onClick={() => edit(setRange(name, rangeAround(value)))}>give it a range</WordButton>
        )}
      </Sentence>
    </div>
  );
}

/** From half to double a value; from 0 to 1 for none. */
function rangeAround(value: number): { min: number; max: number } {
  if (value === 0) return { min: 0, max: 1 };
  const ends = [value / 2, value * 2].map((end) => (Number.isInteger(value) ? Math.round(end) : end));
  return { min: Math.min(...ends), max: Math.max(...ends) };
}

/** The number's name, changed where it stands; formulas follow. */
function NameInput({ name }: { name: string }) {
  const { edit, now } = useEditing();
  const { note } = useTroubleNotes();
  const [typed, setTyped] = useState<string | null>(null);
  const finish = () => {
    if (typed === null || typed === name) return setTyped(null);
    const trouble = newNameTrouble(typed, now());
    note("name", trouble);
    if (trouble !== null) return;
    edit(renameNumber(name, typed));
    setTyped(null);
  };
  const text = typed ?? name;
  return (
    <input
      aria-label={`Name of the number ${name}`}
      value={text}
      size={Math.max(3, text.length)}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={finish}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === "Enter") finish();
        if (event.key === "Escape") {
          setTyped(null);
          note("name", null);
        }
      }}
      className="rounded bg-transparent font-mono text-[14px] hover:bg-page focus:bg-page"
    />
  );
}
