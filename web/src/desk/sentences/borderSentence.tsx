import { FieldChoice } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { useFields } from "../fields/fieldsContext";
import { More } from "../fields/more";

const GROUP_WORDS = {
  p1: "p1, only moved",
  p211: "p211, half turns",
  pm11: "pm11, mirrored across",
  p11m: "p11m, mirrored along",
  p11g: "p11g, as footsteps",
  p2mm: "p2mm, mirrored both ways",
  p2mg: "p2mg, mirrors and half turns",
};

export function BorderSentence() {
  const { length } = useFields().stored;
  return (
    <>
      <b>Border</b> by the frieze group <FieldChoice of="group" words={GROUP_WORDS} />,{" "}
      {length === undefined ? (
        <>
          <FieldNumber of="count" /> times, <FieldNumber of="pitch" /> apart.
        </>
      ) : (
        <>
          about every <FieldNumber of="pitch" />.
        </>
      )}
      <More about="to a length" fields={["length"]}>
        Spread evenly over <FieldNumber of="length" label="border length" following={192} />.
      </More>
    </>
  );
}
