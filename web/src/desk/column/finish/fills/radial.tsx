import { apply, directionOf, distance, FILL, invert, type FillOfKind, type NumberValue } from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { BoundNumber } from "../../../fields/boundNumber";
import { TableNumber } from "../../../fields/tableNumber";
import { DropMark } from "../../../stage/drop";
import { Handle } from "../../../stage/handle";
import { labelFill, type FillHandlesProps } from "./definition";
import { GradientRest } from "./gradientRest";
import { placeIn, share, shareIn, usePulledFill } from "./pulledFill";
import { StopHandles } from "./stopHandles";

const { radius: reach, midpoint, center: centre } = FILL.radial.fields;

const ABOUT = [
  { value: "pivot", words: "the rules’ pivot" },
  { value: "box", words: "the middle of its box" },
] as const;

/** Colours from a point out. */
export const radialLabels = labelFill({
  kind: "radial",
  words: "from a point out",
  Panel({ label, fill, overs, onChange }) {
    const across = (axis: "x" | "y", words: string) => (
      <BoundNumber
        label={`${label} centre ${words}`}
        stored={fill.center[axis]}
        standard={0.5}
        quantity="factor"
        limits={centre.limits}
        step={0.05}
        onSet={(value: NumberValue | undefined, change, gesture) =>
          onChange({ ...fill, center: { ...fill.center, [axis]: value ?? 0.5 } }, change, gesture)
        }
      />
    );
    return (
      <>
        {" "}
        at {across("x", "across")} across and {across("y", "down")} down, reaching{" "}
        <TableNumber
          label={`${label} reach`}
          stored={fill.radius}
          field={reach}
          onSet={(value, change, gesture) => onChange({ ...fill, radius: value ?? reach.default }, change, gesture)}
        />
        <GradientRest
          label={label}
          fill={fill}
          midpoint={midpoint}
          overs={overs.filter((over) => over !== "line")}
          onChange={onChange}
        />
        {fill.over === "whole" && (
          <>
            {" "}
            about{" "}
            <Choice
              label={`${label} about`}
              value={fill.about}
              choices={ABOUT}
              onChange={(about) => onChange({ ...fill, about }, `${label} about ${about}`)}
            />
          </>
        )}
      </>
    );
  },
  Handles,
});

function Handles(props: FillHandlesProps<FillOfKind<"radial">>) {
  const { part, fill, box, toSheet } = props;
  const { nudge, number, set } = usePulledFill(part);
  const back = invert(toSheet);
  if (!back) return null;
  const from = placeIn(box, { x: number(fill.center.x, centre.limits), y: number(fill.center.y, centre.limits) });
  const half = Math.max(box.right - box.left, box.bottom - box.top) / 2;
  const to = { x: from.x + number(fill.radius, reach) * half, y: from.y };
  return (
    <>
      <Handle
        label="Centre of the fill"
        at={apply(toSheet, from)}
        readout={`${shareIn(box, from).x} across, ${shareIn(box, from).y} down`}
        nudge={nudge}
        onPull={(point, gesture) =>
          set({ ...fill, center: shareIn(box, apply(back, point)) }, "move the fill’s centre", `centre/${gesture}`)
        }
      >
        <circle r={6} fill="#2B2140" stroke="#FFFFFF" strokeWidth={2} />
      </Handle>
      <StopHandles {...props} from={from} to={to} />
      <Handle
        label="Reach of the fill"
        at={apply(toSheet, to)}
        readout={`reaching ${String(fill.radius)}`}
        nudge={nudge}
        onPull={(point, gesture) => {
          const radius = Math.max(reach.min, share(distance(from, apply(back, point)) / Math.max(half, 1e-9)));
          set({ ...fill, radius }, `fill reaching ${radius}`, `radius/${gesture}`);
        }}
      >
        <DropMark turn={directionOf(apply(toSheet, from), apply(toSheet, to))} />
      </Handle>
    </>
  );
}
