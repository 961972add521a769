import type { Alternating, Alternation } from "@twin-petal/core";
import { ALTERNATIONS } from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { FieldChoice } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { FieldPair } from "../fields/fieldPair";
import { FieldPart } from "../fields/fieldPart";
import { useField, useFields } from "../fields/fieldsContext";
import { More } from "../fields/more";
import { TileOffer } from "./tileOffer";

const LATTICE_WORDS = { rectangle: "rectangular", brick: "brickwork", hex: "hexagonal", free: "free" };
const ALTERNATION_WORDS: Readonly<Record<Alternation, string>> = {
  none: "as it is",
  flip: "mirrored",
  turn: "turned about",
};

export function GridSentence() {
  const { group, fill } = useFields().stored;
  const grouped = typeof group === "string" && group !== "none";
  const filling = fill !== undefined;
  return (
    <>
      <b>Grid</b>{" "}
      {filling ? (
        <>
          over <FieldPart of="fill" label="fills" sheet none="columns and rows" />
        </>
      ) : (
        <>
          of <FieldNumber of="columns" /> columns and <FieldNumber of="rows" /> rows
        </>
      )}
      , <FieldPair of="pitch" apart="each way" /> apart,{" "}
      {grouped ? (
        <>
          by the plane group <FieldChoice of="group" words={{ none: "no group" }} />.
        </>
      ) : (
        <>
          <FieldChoice of="lattice" words={LATTICE_WORDS} />.
          <More about="by a plane group" fields={["group"]}>
            By the plane group <FieldChoice of="group" words={{ none: "no group" }} />.
          </More>
          <More about="every other one" fields={["alternate", "shift"]}>
            Every other column is <Alternate of="columns" />, every other row <Alternate of="rows" /> and shifted by{" "}
            <FieldNumber of="shift" /> of a column.
          </More>
        </>
      )}
      {!filling && (
        <>
          <More about="to a width" fields={["width", "height"]}>
            From the first column to the last <FieldNumber of="width" />, from the first row to the last{" "}
            <FieldNumber of="height" />.
          </More>
          <More about="fill the sheet" fields={["fill"]}>
            It fills <FieldPart of="fill" label="fills" sheet none="columns and rows" />.
          </More>
        </>
      )}
      <TileOffer />
    </>
  );
}

/** What is done to every other column or row. */
function Alternate({ of }: { of: "columns" | "rows" }) {
  const { stored, set } = useField("alternate", "structure");
  const alternate: Partial<Alternating> = isAlternate(stored) ? stored : {};
  return (
    <Choice<Alternation>
      label={`every other ${of === "columns" ? "column" : "row"}`}
      value={alternate[of] ?? "none"}
      choices={ALTERNATIONS.map((value) => ({ value, words: ALTERNATION_WORDS[value] }))}
      onChange={(next) => {
        const changed = { columns: "none", rows: "none", ...alternate, [of]: next } as const;
        const plain = changed.columns === "none" && changed.rows === "none";
        set(plain ? undefined : changed, `every other of the ${of} ${ALTERNATION_WORDS[next]}`);
      }}
    />
  );
}

function isAlternate(stored: unknown): stored is Partial<Alternating> {
  return typeof stored === "object" && stored !== null && ("columns" in stored || "rows" in stored);
}
