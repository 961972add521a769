import { FieldChoice, FieldToggle } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { FieldPart } from "../fields/fieldPart";
import { useFields } from "../fields/fieldsContext";
import { More } from "../fields/more";
import { TileOffer } from "./tileOffer";

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
  const { path } = useFields().stored;
  return (
    <>
      <b>Border</b> by the frieze group <FieldChoice of="group" words={GROUP_WORDS} />, <FieldNumber of="count" />{" "}
      times, <FieldNumber of="pitch" following={24} /> apart, <FieldNumber of="length" label="border length" /> long.
      <More about="along a part’s line" fields={["path", "bend"]}>
        It goes along <FieldPart of="path" none="a level line" />
        {path !== undefined && (
          <>
            , <FieldToggle of="bend" label="bent" yes="bent to follow it" no="as it is" />
          </>
        )}
        .
      </More>
      <TileOffer />
    </>
  );
}
