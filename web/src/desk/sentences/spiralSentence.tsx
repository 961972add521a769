import { isSpiralSize, SIZE_LIMITS, type FieldValue, type SpiralSizeValue } from "@twin-petal/core";
import { FieldChoice } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { useField, useFields } from "../fields/fieldsContext";
import { More } from "../fields/more";
import { BoundNumber } from "../fields/boundNumber";
import { Choice } from "@/ui/choice";
import { FACE_WORDS } from "./faceWords";

const FORMS = { even: "evenly", growing: "growing", sunflower: "as a sunflower’s seeds" };

export function SpiralSentence() {
  const { form } = useFields().stored;
  const seeds = form === "sunflower";
  return (
    <>
      <b>Spiral</b> of <FieldNumber of="count" /> wound <FieldChoice of="form" words={FORMS} />
      {seeds ? (
        <>
          , <FieldNumber of="spread" /> from the first to the second
        </>
      ) : (
        <>
          {" "}
          in <FieldNumber of="turns" /> turns from radius <FieldNumber of="inner" />,{" "}
          {form === "growing" ? (
            <>
              growing by <FieldNumber of="growth" /> each turn
            </>
          ) : (
            <>
              <FieldNumber of="pitch" /> from turn to turn
            </>
          )}
          , spaced evenly by <FieldChoice of="by" />
        </>
      )}
      , facing <FieldChoice of="face" words={FACE_WORDS} />.
      <More about="how large" fields={["size", "own"]}>
        <SizePanel /> Each is turned <FieldNumber of="own" /> about its foot.
      </More>
    </>
  );
}

/** How copies grow along the spiral. */
function SizePanel() {
  const { stored, set } = useField("size", "structure");
  const sizes = isSizes(stored) ? stored : null;
  const kind = stored === "radius" ? "radius" : sizes ? "range" : "same";
  const end = (key: "from" | "to") => (
    <BoundNumber
      label={`size ${key}`}
      stored={sizes?.[key]}
      standard={1}
      quantity="factor"
      limits={SIZE_LIMITS}
      step={0.05}
      onSet={(value, change, gesture) => sizes && set({ ...sizes, [key]: value ?? 1 }, change, gesture)}
    />
  );
  return (
    <>
      All are{" "}
      <Choice
        label="size"
        value={kind}
        choices={[
          { value: "same", words: "of one size" },
          { value: "radius", words: "as large as their radius asks" },
          { value: "range", words: "sized from first to last" },
        ]}
        onChange={(next) =>
          set(next === "same" ? undefined : next === "radius" ? "radius" : { from: 0.4, to: 1 }, `size ${next}`)
        }
      />
      {sizes && (
        <>
          , {end("from")} to {end("to")}
        </>
      )}
      .
    </>
  );
}

function isSizes(stored: FieldValue | undefined): stored is Exclude<SpiralSizeValue, "radius"> {
  return isSpiralSize(stored) && stored !== "radius";
}
