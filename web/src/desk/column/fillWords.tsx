import { Plus } from "lucide-react";
import {
  GRADIENT_OVER,
  GRADIENT_ANGLE,
  GRADIENT_PLACE,
  GRADIENT_RADIUS,
  LINEAR_DEFAULT,
  RADIAL_DEFAULT,
  STOP,
  type CycleFill,
  type FillValue,
  type GradientFill,
  type GradientOver,
  type Limits,
  type NumberValue,
  type PaletteColor,
  type Quantity,
  type RampBy,
  type StopValue,
} from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { Swatch } from "@/ui/swatch";
import { BoundNumber } from "../fields/boundNumber";

interface FillWordsProps {
  readonly label: string;
  readonly fill: FillValue;
  readonly palette: readonly PaletteColor[];
  /** Number of rules of the part, for cycling by one of them. */
  readonly rules: readonly string[];
  onChange: (fill: FillValue, change: string, gesture?: string) => void;
  onName: (color: string, replace: (reference: string) => FillValue) => void;
}

const RAMP_ORDERS: readonly { value: RampBy; words: string }[] = [
  { value: "index", words: "from the first copy to the last" },
  { value: "distance", words: "from the centre out" },
  { value: "angle", words: "around the centre" },
  { value: "paint", words: "as the rules say" },
];

const OVER_WORDS: Readonly<Record<GradientOver, string>> = { copy: "over each copy", whole: "over the whole" };

/** What several colours do: take turns from copy to copy, mix along the copies, or go over into each other. */
const KINDS = [
  { value: "cycle", words: "in turn" },
  { value: "ramp", words: "mixed" },
  { value: "linear", words: "in a line" },
  { value: "radial", words: "from a point out" },
] as const;
type Kind = (typeof KINDS)[number]["value"];

function colorsOf(fill: FillValue): readonly string[] {
  if (typeof fill === "string") return [fill];
  return fill.kind === "cycle" ? fill.colors : fill.stops.map(({ color }) => color);
}

/** Colours at even distances; where there are as many as before, each keeps its place. */
function stopsOf(colors: readonly string[], before: readonly StopValue[]): StopValue[] {
  const last = Math.max(1, colors.length - 1);
  const kept = before.length === colors.length ? before : [];
  return colors.map((color, index) => ({ at: kept[index]?.at ?? index / last, color }));
}

/** The fill with other colours, of the same kind; one colour alone is flat. */
function recolored(fill: FillValue, colors: readonly string[]): FillValue {
  const [only] = colors;
  if (colors.length === 1 && only !== undefined) return only;
  if (typeof fill === "string") return { kind: "cycle", colors, by: "index" };
  return fill.kind === "cycle" ? { ...fill, colors } : { ...fill, stops: stopsOf(colors, fill.stops) };
}

function ofKind(kind: Kind, fill: FillValue): FillValue {
  const colors = colorsOf(fill);
  const stops = stopsOf(colors, typeof fill === "object" && fill.kind !== "cycle" ? fill.stops : []);
  switch (kind) {
    case "cycle":
      return { kind, colors, by: "index" };
    case "ramp":
      return { kind, stops, by: "index" };
    case "linear":
      return { ...LINEAR_DEFAULT, stops };
    case "radial":
      return { ...RADIAL_DEFAULT, stops };
  }
}

/** A second colour that stands well beside the first: its hue kept, much lighter or much darker. */
function companionOf(color: string): string {
  if (!color.startsWith("#")) return "#E7C9A0";
  const channels = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16));
  const light = channels.reduce((sum, channel) => sum + channel, 0) / 3 > 128;
  const mixed = channels.map((channel) => Math.round(light ? channel * 0.45 : channel + (255 - channel) * 0.62));
  return `#${mixed.map((channel) => channel.toString(16).padStart(2, "0")).join("")}`.toUpperCase();
}

/** One colour, or several in turn, mixed, or as a gradient. */
export function FillWords({ label, fill, palette, rules, onChange, onName }: FillWordsProps) {
  const colors = colorsOf(fill);
  const replaced = (index: number, color: string) =>
    recolored(
      fill,
      colors.map((old, at) => (at === index ? color : old)),
    );
  return (
    <>
      {colors.map((color, index) => (
        <Swatch
          key={index}
          label={colors.length > 1 ? `${label} ${index + 1}` : label}
          value={color}
          palette={palette}
          onChange={(next, gesture) => onChange(replaced(index, next), `${label} colour`, gesture)}
          onName={(hex) => onName(hex, (reference) => replaced(index, reference))}
          onRemove={
            colors.length > 1
              ? () =>
                  onChange(
                    recolored(
                      fill,
                      colors.filter((_, at) => at !== index),
                    ),
                    `remove a ${label} colour`,
                  )
              : undefined
          }
        />
      ))}
      <button
        type="button"
        aria-label={`Add a ${label} colour, to take turns`}
        title="Another colour, to take turns"
        onClick={() =>
          onChange(recolored(fill, [...colors, companionOf(colors.at(-1) ?? "")]), `add a ${label} colour`)
        }
        className="mx-0.5 inline-grid h-5 w-6 place-items-center rounded border border-dashed border-quiet align-[-4px] text-quiet hover:text-words"
      >
        <Plus size={13} />
      </button>
      {typeof fill === "object" && (
        <>
          {" "}
          <Choice
            label={`${label} colours`}
            value={fill.kind}
            choices={KINDS}
            onChange={(kind) => onChange(ofKind(kind, fill), `${label} colours ${kind}`)}
          />
          {fill.kind === "cycle" && (
            <>
              , <CycleOrder label={label} fill={fill} rules={rules} onChange={onChange} />
            </>
          )}
          {fill.kind === "ramp" && (
            <>
              ,{" "}
              <Choice
                label={`${label} order`}
                value={fill.by}
                choices={RAMP_ORDERS}
                onChange={(by) => onChange({ ...fill, by }, `${label} mixed ${by}`)}
              />
            </>
          )}
          {(fill.kind === "linear" || fill.kind === "radial") && (
            <GradientWords label={label} fill={fill} onChange={onChange} />
          )}
        </>
      )}
    </>
  );
}

interface CycleOrderProps extends Pick<FillWordsProps, "label" | "rules" | "onChange"> {
  readonly fill: CycleFill;
}

function CycleOrder({ label, fill, rules, onChange }: CycleOrderProps) {
  const orders = [
    { value: "index", words: "copy by copy" },
    { value: "ring", words: "ring by ring" },
    { value: "row", words: "row by row" },
    { value: "column", words: "column by column" },
    ...rules.map((kind, index) => ({ value: `rule:${index + 1}`, words: `by the ${kind} (rule ${index + 1})` })),
  ];
  return (
    <Choice
      label={`${label} order`}
      value={fill.by}
      choices={orders}
      onChange={(by) => onChange({ ...fill, by }, `${label} in turn ${by}`)}
    />
  );
}

interface GradientWordsProps extends Pick<FillWordsProps, "label" | "onChange"> {
  readonly fill: GradientFill;
}

/** Where a gradient goes, where its colours meet, and over what it lies. */
function GradientWords({ label, fill, onChange }: GradientWordsProps) {
  const number = (
    name: string,
    stored: NumberValue,
    standard: number,
    quantity: Quantity,
    limits: Limits,
    withValue: (value: NumberValue) => GradientFill,
  ) => (
    <BoundNumber
      label={`${label} ${name}`}
      stored={stored}
      standard={standard}
      quantity={quantity}
      limits={limits}
      step={quantity === "angle" ? 5 : 0.05}
      onSet={(value, change, gesture) => onChange(withValue(value ?? standard), change, gesture)}
    />
  );
  return (
    <>
      {fill.kind === "linear" ? (
        <> at {number("angle", fill.angle, 0, "angle", GRADIENT_ANGLE, (angle) => ({ ...fill, angle }))}</>
      ) : (
        <>
          {" "}
          at{" "}
          {number("centre across", fill.center.x, 0.5, "factor", GRADIENT_PLACE, (x) => ({
            ...fill,
            center: { ...fill.center, x },
          }))}{" "}
          across and{" "}
          {number("centre down", fill.center.y, 0.5, "factor", GRADIENT_PLACE, (y) => ({
            ...fill,
            center: { ...fill.center, y },
          }))}{" "}
          down, reaching {number("reach", fill.radius, 1, "factor", GRADIENT_RADIUS, (radius) => ({ ...fill, radius }))}
        </>
      )}
      , half and half at {number("midpoint", fill.midpoint, 0.5, "share", STOP, (midpoint) => ({ ...fill, midpoint }))},{" "}
      <Choice
        label={`${label} gradient`}
        value={fill.over}
        choices={GRADIENT_OVER.map((value) => ({ value, words: OVER_WORDS[value] }))}
        onChange={(over) => onChange({ ...fill, over }, `${label} ${OVER_WORDS[over]}`)}
      />
    </>
  );
}
