import { memo, useState } from "react";
import { Plus, X } from "lucide-react";
import { nameTrouble, type NamedNumber } from "@twin-petal/core";
import { useDesign, useEditing } from "@/store/deskStore";
import { addNumber, removeNumber, renameNumber, setNumber, stepOf, usesOf } from "@/store/edits/numbers";
import { Button, IconButton } from "@/ui/button";
import { Sentence, useTelling } from "@/ui/sentence";
import { BoundNumber } from "../fields/boundNumber";

const ANY = { min: -1e9, max: 1e9, whole: false };

/** The design's named numbers. */
export function NumbersSection() {
  const design = useDesign();
  const { edit } = useEditing();
  const uses = usesOf(design);
  return (
    <section aria-label="Numbers">
      <h2 className="text-[15px] font-bold text-quiet">Numbers of the design</h2>
      {design.numbers.length === 0 && (
        <p className="text-[15px] text-quiet">Name a number, then type its name wherever a number stands.</p>
      )}
      <ul>
        {design.numbers.map((number) => (
          <NumberRow key={number.name} number={number} uses={uses.get(number.name) ?? 0} />
        ))}
      </ul>
      <Button className="mt-1" onClick={() => edit(addNumber(design))}>
        <Plus size={16} /> Name a number
      </Button>
    </section>
  );
}

const NumberRow = memo(function NumberRow({ number, uses }: { number: NamedNumber; uses: number }) {
  const { edit, now } = useEditing();
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
          <span className="text-[15px] text-quiet">
            {uses === 0 ? "not used yet" : uses === 1 ? "used once" : `used ${uses} times`}
          </span>
        </Sentence>
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

/** The number's name, changed where it stands; formulas follow. */
function NameInput({ name }: { name: string }) {
  const { edit, now } = useEditing();
  const { tell } = useTelling();
  const [typed, setTyped] = useState<string | null>(null);
  const finish = () => {
    if (typed === null || typed === name) return setTyped(null);
    const taken = now().numbers.some((known) => known.name === typed);
    const trouble = taken ? `there is a number called “${typed}” already` : nameTrouble(typed);
    tell("name", trouble);
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
          tell("name", null);
        }
      }}
      className="rounded bg-transparent font-mono text-[14px] hover:bg-page focus:bg-page"
    />
  );
}
