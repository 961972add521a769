import { isNumberValue, type FieldValue, type Limits, type NumberValue, type Quantity } from "@twin-petal/core";
import { OpeningWord } from "@/ui/openingWord";
import { BoundNumber } from "../fields/boundNumber";
import { FieldChoice } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { FieldPart } from "../fields/fieldPart";
import { useField, useFields } from "../fields/fieldsContext";
import { PartNames } from "../fields/partNames";
import { More } from "../fields/more";
import { WordButton } from "../fields/wordButton";

export function ScatterSentence() {
  return (
    <>
      <b>Scatter</b> <FieldNumber of="count" /> over <FieldPart of="region" sheet />,{" "}
      <FieldChoice of="within" words={WITHIN} />, at least <FieldNumber of="gap" /> apart, by chance{" "}
      <FieldNumber of="seed" />
      <NextChance />.
      <More about="turned and sized by chance" fields={["turn", "size"]}>
        Each is turned by <Range of="turn" quantity="angle" limits={TURNS} standard={[0, 0]} /> and sized{" "}
        <Range of="size" quantity="factor" limits={SIZES} standard={[1, 1]} />.
      </More>
      <More about="keep off a part" fields={["avoid"]}>
        <Avoided />
      </More>
    </>
  );
}

const WITHIN = { foot: "their feet within it", whole: "whole within it" };
const KEEPING = { foot: "with their feet", whole: "whole, lines and all," };
const TURNS: Limits = { min: -3_600, max: 3_600, whole: false };
const SIZES: Limits = { min: 0.001, max: 1_000, whole: false };

/** Another throw of the same. */
function NextChance() {
  const { stored, set } = useField("seed", "number");
  const seed = typeof stored === "number" ? stored : 1;
  return (
    <WordButton title="Scatter them anew" onClick={() => set(seed + 1, `chance ${seed + 1}`)}>
      again
    </WordButton>
  );
}

interface RangeProps {
  readonly of: "turn" | "size";
  readonly quantity: Quantity;
  readonly limits: Limits;
  readonly standard: readonly [NumberValue, NumberValue];
}

/** The least and the greatest that chance may give. */
function Range({ of, quantity, limits, standard }: RangeProps) {
  const { stored, set } = useField(of, "structure");
  const [from = standard[0], to = standard[1]] = isEnds(stored) ? stored : standard;
  const end = (words: "from" | "to", value: NumberValue, place: (next: NumberValue) => readonly NumberValue[]) => (
    <BoundNumber
      label={`${of} ${words}`}
      stored={value}
      standard={Number(standard[0])}
      quantity={quantity}
      limits={limits}
      step={quantity === "angle" ? 5 : 0.05}
      onSet={(next, change, gesture) => set(place(next ?? standard[0]), change, gesture)}
    />
  );
  return (
    <>
      {end("from", from, (next) => [next, to])} to {end("to", to, (next) => [from, next])}
    </>
  );
}

function isEnds(stored: FieldValue | undefined): stored is FieldValue & readonly NumberValue[] {
  return Array.isArray(stored) && stored.every(isNumberValue);
}

/** The parts whose areas stay free. */
function Avoided() {
  const { stored, set } = useField("avoid", "structure");
  const { part } = useFields();
  const avoided = isNames(stored) ? stored : [];
  return (
    <>
      They keep <FieldChoice of="keeping" label="keep off" words={KEEPING} /> off{" "}
      <PartNames
        part={part}
        chosen={avoided}
        trigger={<OpeningWord>{avoided.length === 0 ? "nothing yet" : "and …"}</OpeningWord>}
        leaveWords={(name) => `Let them stand on ${name} again`}
        onLeave={(rest, name) => set(rest.length > 0 ? rest : undefined, `no longer keep off ${name}`)}
        onAdd={(id, name) => set([...avoided, id], `keep off ${name}`)}
      />
      .
    </>
  );
}

function isNames(stored: FieldValue | undefined): stored is FieldValue & readonly string[] {
  return Array.isArray(stored);
}
