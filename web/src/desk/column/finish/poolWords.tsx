import {
  GRADIENT_OVER,
  GRADIENT_PLACE,
  POOL_REACH,
  POOL_REACH_DEFAULT,
  type Limits,
  type NumberValue,
  type PoolsFill,
  type PoolValue,
} from "@twin-petal/core";
import { useState } from "react";
import { BoundNumber } from "../../fields/boundNumber";
import { WordButton } from "../../fields/wordButton";
import { OverChoice } from "./overChoice";

interface PoolWordsProps {
  readonly label: string;
  readonly fill: PoolsFill;
  /** Whether they may lie over each copy or the whole. */
  readonly isOverChosen: boolean;
  onChange: (fill: PoolsFill, change: string, gesture?: string) => void;
}

/** Over what pools lie; where each is and how far it reaches, when asked for. */
export function PoolWords({ label, fill, isOverChosen, onChange }: PoolWordsProps) {
  const [open, setOpen] = useState(false);
  const changed = (index: number, change: Partial<PoolValue>): PoolsFill => ({
    ...fill,
    points: fill.points.map((pool, at) => (at === index ? { ...pool, ...change } : pool)),
  });
  const number = (
    index: number,
    name: "x" | "y" | "reach",
    words: string,
    stored: NumberValue | undefined,
    standard: number,
    limits: Limits,
  ) => (
    <BoundNumber
      label={`${label} pool ${index + 1} ${words}`}
      stored={stored}
      standard={standard}
      quantity="factor"
      limits={limits}
      step={0.05}
      onSet={(value, change, gesture) => onChange(changed(index, { [name]: value ?? standard }), change, gesture)}
    />
  );
  return (
    <>
      <OverChoice
        label={`${label} pools`}
        value={fill.over}
        overs={isOverChosen ? GRADIENT_OVER : []}
        onChange={(over, words) => onChange({ ...fill, over }, `${label} ${words}`)}
      />
      <WordButton aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? "hide their places" : "their places …"}
      </WordButton>
      {open &&
        fill.points.map(({ x, y, color, reach }, index) => (
          <span key={index} className="block">
            <span
              aria-hidden="true"
              className="mr-1 inline-block size-3 rounded-full border border-quiet"
              style={{ background: color.startsWith("#") ? color : undefined }}
            />
            at {number(index, "x", "across", x, 0.5, GRADIENT_PLACE)} across,{" "}
            {number(index, "y", "down", y, 0.5, GRADIENT_PLACE)} down, reaching{" "}
            {number(index, "reach", "reach", reach, POOL_REACH_DEFAULT, POOL_REACH)}
          </span>
        ))}
    </>
  );
}
