import { FieldChoice, FieldToggle } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { FieldPart } from "../fields/fieldPart";
import { More } from "../fields/more";
import { FACE_WORDS } from "./faceWords";

export function AlongSentence() {
  return (
    <>
      <b>Along</b> the line of <FieldPart of="path" />: <FieldNumber of="count" following={12} /> copies,{" "}
      <FieldNumber of="pitch" /> apart, facing <FieldChoice of="face" words={FACE_WORDS} />,{" "}
      <FieldToggle of="bend" label="bent" yes="bent to follow it" no="as they are" />.
      <More about="only a stretch of it" fields={["from", "to"]}>
        From <FieldNumber of="from" /> to <FieldNumber of="to" label="to" following={1} /> of its length.
      </More>
      <More about="beside the line" fields={["offset", "own"]}>
        They stand <FieldNumber of="offset" /> off it, each turned <FieldNumber of="own" /> about its foot.
      </More>
    </>
  );
}
