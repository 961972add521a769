import { EDGE, EDGE_PLACES, EDGE_SHAPES, type SolidValue } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { changeSolid } from "@/store/edits/solid";
import { BoundChoice } from "../../fields/boundChoice";
import { TableNumber } from "../../fields/tableNumber";

const { size: SIZE, steps: STEPS } = EDGE.fields;
const SHAPE_WORDS = { round: "rounded", bevel: "bevelled" } as const;
const PLACE_WORDS = { both: "above and below", top: "above", bottom: "below" } as const;

/** How a solid's edges are taken off. */
export function EdgeWords({ part, edge }: { part: string; edge: SolidValue["edge"] }) {
  const { edit } = useEditing();
  const set = (change: Partial<SolidValue["edge"]>, label: string, gesture?: string) =>
    edit(changeSolid(part, { edge: { ...edge, ...change } }, label, gesture && `edge/${gesture}`));
  return (
    <>
      its edges{" "}
      <BoundChoice
        label="edges"
        value={edge.shape}
        choices={EDGE_SHAPES.map((value) => ({ value, words: SHAPE_WORDS[value] }))}
        onChange={(shape) => set({ shape }, `edges ${SHAPE_WORDS[shape]}`)}
      />{" "}
      by{" "}
      <TableNumber
        label="edge"
        stored={edge.size}
        field={SIZE}
        onSet={(size, change, gesture) => set({ size: size ?? SIZE.default }, change, gesture)}
      />
      {edge.size !== 0 && (
        <>
          {" "}
          <BoundChoice
            label="edges at"
            value={edge.at}
            choices={EDGE_PLACES.map((value) => ({ value, words: PLACE_WORDS[value] }))}
            onChange={(at) => set({ at }, `edges ${PLACE_WORDS[at]}`)}
          />
          {edge.shape === "round" && (
            <>
              , in{" "}
              <TableNumber
                label="edge steps"
                stored={edge.steps}
                field={STEPS}
                onSet={(steps, change, gesture) => set({ steps: steps ?? STEPS.default }, change, gesture)}
              />{" "}
              steps
            </>
          )}
        </>
      )}
    </>
  );
}
