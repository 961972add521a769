import { apply, directionOf, FILL, gradientLine, invert, type FillOfKind } from "@twin-petal/core";
import { TableNumber } from "../../../fields/tableNumber";
import { DropMark } from "../../../stage/drop";
import { Handle } from "../../../stage/handle";
import { labelFill, type FillHandlesProps } from "./definition";
import { GradientRest } from "./gradientRest";
import { usePulledFill } from "./pulledFill";
import { StopHandles } from "./stopHandles";

const { angle, midpoint } = FILL.linear.fields;

/** Colours along a line. */
export const linearLabels = labelFill({
  kind: "linear",
  words: "in a line",
  Panel({ label, fill, overs, onChange }) {
    return (
      <>
        {fill.over !== "line" && (
          <>
            {" "}
            at{" "}
            <TableNumber
              label={`${label} angle`}
              stored={fill.angle}
              field={angle}
              onSet={(value, change, gesture) => onChange({ ...fill, angle: value ?? angle.default }, change, gesture)}
            />
          </>
        )}
        <GradientRest label={label} fill={fill} midpoint={midpoint} overs={overs} onChange={onChange} />
      </>
    );
  },
  Handles,
});

function Handles(props: FillHandlesProps<FillOfKind<"linear">>) {
  const { part, fill, box, toSheet } = props;
  const { nudge, number, set } = usePulledFill(part);
  const back = invert(toSheet);
  if (!back) return null;
  const { from, to } = gradientLine(number(fill.angle, angle), box);
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  return (
    <>
      <StopHandles {...props} from={from} to={to} />
      <Handle
        label="Direction of the fill"
        at={apply(toSheet, to)}
        readout={`${String(fill.angle)}°`}
        nudge={nudge}
        onPull={(point, gesture) => {
          const turned = Number(directionOf(middle, apply(back, point)).toFixed(1));
          set({ ...fill, angle: turned }, `fill at ${turned}°`, `angle/${gesture}`);
        }}
      >
        <DropMark turn={directionOf(apply(toSheet, from), apply(toSheet, to))} />
      </Handle>
    </>
  );
}
