import { useRef, useState } from "react";
import {
  about,
  meanOf,
  MILLIMETRES_PER,
  nodeAt,
  pushAlongNormals,
  pushFrom,
  rotation,
  scaling,
  transformNodes,
  type DrawnPath,
  type Point,
} from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { Choice } from "@/ui/choice";
import { FallingNumber } from "@/ui/fallingNumber";
import { LENGTH_STEP } from "../../fields/boundNumber";
import { usePicture } from "../../stage/pictureContext";
import { pivotOf } from "../../stage/nodes/nodeActions";
import type { Drawn } from "../../stage/nodes/useDrawn";

/** Nodes are pushed no further at once, millimetres. */
const FARTHEST = 1_000;

type About = "middle" | "pivot";

interface Reshaped {
  /** The runs as they were before the hand took hold. */
  readonly paths: readonly DrawnPath[];
  /** What is turned and scaled about. */
  readonly about: Point;
}

/** Turns, scales and pushes the chosen nodes; the numbers fall back, as the change is made. */
export function ReshapeChosen({ drawn, chosen }: { drawn: Drawn; chosen: ReadonlySet<number> }) {
  const { paths, reshape } = drawn;
  const [place, setPlace] = useState<About>("middle");
  const unit = useDesk((state) => state.history.design.sheet.unit);
  const millimetres = MILLIMETRES_PER[unit];
  const pivot = pivotOf(usePicture("report").report?.chosen ?? null);
  const middle = meanOf([...chosen].map((number) => nodeAt(paths, number)).filter((node) => node !== null));
  const centre = place === "pivot" && pivot ? pivot : middle;
  const begun = useRef<(Reshaped & { readonly gesture: string }) | null>(null);
  /** A pull is counted from where it began; single changes from where the nodes are. */
  const change = (next: (from: Reshaped) => DrawnPath[], label: string, gesture?: string) => {
    const goesOn = gesture !== undefined && !gesture.endsWith("keys");
    if (goesOn && begun.current?.gesture !== gesture) begun.current = { gesture, paths, about: centre };
    const from = goesOn && begun.current ? begun.current : { paths, about: centre };
    reshape(from.paths, next(from), chosen, label, gesture);
  };
  const ways = [
    {
      label: "turn the chosen",
      words: "Turn",
      ...{ value: 0, unit: "°", step: 1, min: -360, max: 360 },
      make: (by: number) => (from: Reshaped) => transformNodes(from.paths, chosen, about(from.about, rotation(by))),
    },
    {
      label: "scale the chosen",
      words: ", scale",
      ...{ value: 1, unit: "", step: 0.01, min: 0.01, max: 100 },
      make: (by: number) => (from: Reshaped) => transformNodes(from.paths, chosen, about(from.about, scaling(by))),
    },
  ];
  const them = chosen.size === 1 ? "it" : "them";
  const pushes = [
    {
      label: "push the chosen out",
      words: `Push ${them} out from ${pivot ? "the pivot" : "the foot"} by`,
      ...{
        value: 0,
        unit: ` ${unit}`,
        step: LENGTH_STEP[unit],
        min: -FARTHEST / millimetres,
        max: FARTHEST / millimetres,
      },
      make: (by: number) => (from: Reshaped) => pushFrom(from.paths, chosen, pivot ?? { x: 0, y: 0 }, by * millimetres),
    },
    {
      label: "push along normals",
      words: them === "it" ? ", along its normal by" : ", along their normals by",
      ...{
        value: 0,
        unit: ` ${unit}`,
        step: LENGTH_STEP[unit],
        min: -FARTHEST / millimetres,
        max: FARTHEST / millimetres,
      },
      make: (by: number) => (from: Reshaped) => pushAlongNormals(from.paths, chosen, by * millimetres),
    },
  ];
  const set =
    (make: (by: number) => (from: Reshaped) => DrawnPath[]) => (by: number, label: string, gesture?: string) =>
      change(make(by), label, gesture);
  return (
    <>
      {chosen.size > 1 && ways.map(({ make, ...way }) => <FallingNumber key={way.label} {...way} onSet={set(make)} />)}
      {chosen.size > 1 && pivot && (
        <>
          {" "}
          about{" "}
          <Choice
            label="turned about"
            value={place}
            choices={[
              { value: "middle", words: "their middle" },
              { value: "pivot", words: "the pivot" },
            ]}
            onChange={setPlace}
          />
        </>
      )}
      {chosen.size > 1 && ". "}
      {pushes.map(({ make, ...way }) => (
        <FallingNumber key={way.label} {...way} onSet={set(make)} />
      ))}
      .
    </>
  );
}
