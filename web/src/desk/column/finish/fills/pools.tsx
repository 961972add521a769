import { apply, GRADIENT_OVER, invert, POOL_FIELDS, type FillOfKind, type PoolValue } from "@twin-petal/core";
import { useState } from "react";
import { TableNumber } from "../../../fields/tableNumber";
import { WordButton } from "../../../fields/wordButton";
import { Handle } from "../../../stage/handle";
import { OverChoice } from "../overChoice";
import { labelFill, type FillHandlesProps, type FillPanelProps } from "./definition";
import { placeIn, shareIn, usePulledFill } from "./pulledFill";

type PoolsFill = FillOfKind<"pools">;

/** Placed colours that blend into each other. */
export const poolsLabels = labelFill({ kind: "pools", words: "in pools", Panel, Handles });

/** Over what pools lie; where each is and how far it reaches, when asked for. */
function Panel({ label, fill, overs, onChange }: FillPanelProps<PoolsFill>) {
  const [open, setOpen] = useState(false);
  const changed = (index: number, change: Partial<PoolValue>): PoolsFill => ({
    ...fill,
    points: fill.points.map((pool, at) => (at === index ? { ...pool, ...change } : pool)),
  });
  const number = (index: number, pool: PoolValue, name: "x" | "y" | "reach", words: string) => (
    <TableNumber
      label={`${label} pool ${index + 1} ${words}`}
      stored={pool[name]}
      field={POOL_FIELDS[name]}
      onSet={(value, change, gesture) =>
        onChange(changed(index, { [name]: value ?? POOL_FIELDS[name].default }), change, gesture)
      }
    />
  );
  return (
    <>
      <OverChoice
        label={`${label} pools`}
        value={fill.over}
        overs={overs.length > 0 ? GRADIENT_OVER : []}
        onChange={(over, words) => onChange({ ...fill, over }, `${label} ${words}`)}
      />
      <WordButton aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? "hide their places" : "their places …"}
      </WordButton>
      {open &&
        fill.points.map((pool, index) => (
          <span key={index} className="block">
            <span
              aria-hidden="true"
              className="mr-1 inline-block size-3 rounded-full border border-quiet"
              style={{ background: pool.color.startsWith("#") ? pool.color : undefined }}
            />
            at {number(index, pool, "x", "across")} across, {number(index, pool, "y", "down")} down, reaching{" "}
            {number(index, pool, "reach", "reach")}
          </span>
        ))}
    </>
  );
}

function Handles({ part, fill, box, toSheet }: FillHandlesProps<PoolsFill>) {
  const { nudge, number, set } = usePulledFill(part);
  const back = invert(toSheet);
  if (!back) return null;
  return fill.points.map((pool, index) => {
    const at = placeIn(box, { x: number(pool.x, POOL_FIELDS.x), y: number(pool.y, POOL_FIELDS.y) });
    const notes = shareIn(box, at);
    return (
      <Handle
        key={index}
        label={`Pool ${index + 1}`}
        at={apply(toSheet, at)}
        readout={`${notes.x} across, ${notes.y} down`}
        nudge={nudge}
        onPull={(to, gesture) => {
          const place = shareIn(box, apply(back, to));
          const points = fill.points.map((old, k) => (k === index ? { ...old, ...place } : old));
          set({ ...fill, points }, `move pool ${index + 1}`, `pool${index}/${gesture}`);
        }}
      >
        <circle r={8} fill={pool.color.startsWith("#") ? pool.color : "#9A6B16"} stroke="#FFFFFF" strokeWidth={2} />
        <circle r={9.5} fill="none" stroke="#2B2140" strokeWidth={1.2} />
      </Handle>
    );
  });
}
