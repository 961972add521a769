import { FieldChoice } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { FieldPair } from "../fields/fieldPair";
import { More } from "../fields/more";
import { useFields } from "../fields/fieldsContext";
import { FACE_WORDS } from "./faceWords";

export function RingSentence() {
  const { radius } = useFields().stored;
  const elliptic = typeof radius === "object";
  return (
    <>
      <b>Ring</b> of <FieldNumber of="count" /> at radius <FieldPair of="radius" apart="as an ellipse" />, facing{" "}
      <FieldChoice of="face" words={FACE_WORDS} />
      {elliptic && (
        <>
          , spaced evenly by <FieldChoice of="spacing" />
        </>
      )}
      .
      <More about="only an arc" fields={["start", "apart", "arc", "own"]}>
        From <FieldNumber of="start" /> over <FieldNumber of="arc" />, <FieldNumber of="apart" /> apart, each turned{" "}
        <FieldNumber of="own" /> about its foot.
      </More>
      <More about="more rings" fields={["rings", "gap", "growth", "stagger", "flipEvery"]}>
        <FieldNumber of="rings" /> rings <FieldNumber of="gap" /> apart, each with <FieldNumber of="growth" /> more
        copies than the last and shifted by <FieldNumber of="stagger" /> of its spacing; every{" "}
        <FieldNumber of="flipEvery" />
        th copy mirrored (0 for none).
      </More>
    </>
  );
}
