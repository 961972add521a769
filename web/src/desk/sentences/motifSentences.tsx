import type { ComponentType } from "react";
import { FieldChoice } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { FieldPart } from "../fields/fieldPart";
import { useFields } from "../fields/fieldsContext";
import { More } from "../fields/more";

const Corner = () => (
  <>
    corners rounded by <FieldNumber of="corner" />
  </>
);

const FORMS = { even: "even", growing: "growing", sunflower: "sunflower’s" };

function CurveSentence() {
  const growing = useFields().stored.form === "growing";
  return (
    <>
      winding <FieldNumber of="turns" /> times <FieldChoice of="hand" /> in <FieldChoice of="form" words={FORMS} />{" "}
      turns, from radius <FieldNumber of="inner" />,{" "}
      {growing ? (
        <>
          growing by <FieldNumber of="growth" /> each turn
        </>
      ) : (
        <>
          <FieldNumber of="pitch" /> from turn to turn
        </>
      )}
      .
      <More about="turn it" fields={["start"]}>
        It begins at <FieldNumber of="start" />.
      </More>
    </>
  );
}

/** What a sentence about each kind of motif goes on with after its name. */
export const MOTIF_SENTENCES: Readonly<Record<string, ComponentType>> = {
  petal: () => (
    <>
      <FieldNumber of="length" /> long and <FieldNumber of="width" /> wide, widest at <FieldNumber of="widest" /> of its
      length.
      <More about="round its ends" fields={["tip", "foot"]}>
        Its tip is <FieldNumber of="tip" /> and its foot <FieldNumber of="foot" /> round.
      </More>
    </>
  ),
  leaf: () => (
    <>
      <FieldNumber of="length" /> long and <FieldNumber of="width" /> wide, bent by <FieldNumber of="bend" />, its tip{" "}
      <FieldNumber of="tip" /> round.
    </>
  ),
  drop: () => (
    <>
      <FieldNumber of="length" /> long and <FieldNumber of="width" /> wide.
    </>
  ),
  part: () => (
    <>
      <FieldPart of="part" label="part used" />, whole and with its finish,{" "}
      <FieldChoice of="stands" label="where it stands" words={{ own: "about its own middle", sheet: "as it stands" }} />
      .
    </>
  ),
  line: () => (
    <>
      <FieldNumber of="length" /> long, at <FieldNumber of="angle" />.
    </>
  ),
  arc: () => (
    <>
      of radius <FieldNumber of="radius" />, from <FieldNumber of="from" /> to <FieldNumber of="to" />.
    </>
  ),
  sector: () => (
    <>
      reaching from radius <FieldNumber of="inner" /> to <FieldNumber of="outer" />, from <FieldNumber of="from" /> to{" "}
      <FieldNumber of="to" />.
    </>
  ),
  wave: () => (
    <>
      <FieldNumber of="length" /> long of <FieldNumber of="waves" /> <FieldChoice of="shape" /> waves, swinging{" "}
      <FieldNumber of="height" /> across.
    </>
  ),
  curve: () => <CurveSentence />,
  ellipse: () => (
    <>
      reaching <FieldNumber of="rx" /> across and <FieldNumber of="ry" /> up from its middle, with{" "}
      <FieldChoice of="ends" /> ends.
    </>
  ),
  disc: () => (
    <>
      of radius <FieldNumber of="radius" />.
    </>
  ),
  ring: () => (
    <>
      of radius <FieldNumber of="outer" /> with a hole of radius <FieldNumber of="inner" />.
    </>
  ),
  polygon: () => (
    <>
      of <FieldNumber of="sides" /> sides and radius <FieldNumber of="radius" />, <Corner />.
      <More about="turn it" fields={["start"]}>
        Its first corner points to <FieldNumber of="start" />.
      </More>
    </>
  ),
  star: () => (
    <>
      of <FieldNumber of="points" /> points, reaching <FieldNumber of="outer" /> out and <FieldNumber of="inner" /> in,
      its edges bowed by <FieldNumber of="bulge" />, <Corner />.
      <More about="turn it" fields={["start"]}>
        Its first point looks to <FieldNumber of="start" />.
      </More>
    </>
  ),
  rectangle: () => (
    <>
      <FieldNumber of="width" /> wide and <FieldNumber of="height" /> high, <Corner />.
    </>
  ),
};
