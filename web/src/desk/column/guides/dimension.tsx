import { ANCHOR, type AnchorValue } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { usePicture } from "../../stage/pictureContext";
import { useMeasureWords } from "../../stage/measure/useMeasureWords";
import { labelGuide } from "./definition";

const { x, y } = ANCHOR.fields;

export const dimensionLabels = labelGuide({
  kind: "dimension",
  name: "a measure",
  words(guide, number) {
    const { from, to } = guide.dimension;
    const end = (name: "from" | "to", anchor: AnchorValue) =>
      anchor.part === "" ? (
        <>
          {number(`${name} across`, anchor.x, x, (next) => set(name, { ...anchor, x: next }))} across and{" "}
          {number(`${name} down`, anchor.y, y, (next) => set(name, { ...anchor, y: next }))} down
        </>
      ) : (
        <Held anchor={anchor} />
      );
    const set = (name: "from" | "to", anchor: AnchorValue) => ({ dimension: { ...guide.dimension, [name]: anchor } });
    return (
      <>
        <Comes guide={guide} />: from {end("from", from)} to {end("to", to)}.
      </>
    );
  },
});

/** What the measure comes to now. */
function Comes({ guide }: { guide: { readonly dimension: unknown } }) {
  const { report } = usePicture("report");
  const { between } = useMeasureWords();
  const index = useDesk(({ history }) =>
    history.design.guides.findIndex((known) => "dimension" in known && known.dimension === guide.dimension),
  );
  const placed = report?.dimensions.find((known) => known.guide === index);
  return <b>{placed ? between(placed.from, placed.to)[0] : "A place it was held by is gone"}</b>;
}

/** A place by what it holds on to. */
function Held({ anchor }: { anchor: AnchorValue }) {
  const name = useDesk(({ history }) => history.design.parts.find(({ id }) => id === anchor.part)?.name ?? anchor.part);
  return `${anchor.place === "node" ? "a node" : "the middle of a side"} of “${name}”`;
}
