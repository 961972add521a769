import { Plus } from "lucide-react";
import type { CycleFill, FillValue, PaletteColor, RampBy, RampFill } from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { Swatch } from "@/ui/swatch";

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

function asCycle(fill: FillValue): CycleFill {
  if (typeof fill === "string") return { kind: "cycle", colors: [fill], by: "index" };
  return fill.kind === "cycle" ? fill : { kind: "cycle", colors: fill.stops.map(({ color }) => color), by: "index" };
}

/** Colours at even distances along a ramp. */
function rampOf(colors: readonly string[], by: RampBy): RampFill {
  const last = Math.max(1, colors.length - 1);
  return { kind: "ramp", by, stops: colors.map((color, index) => ({ at: index / last, color })) };
}

/** A second colour that stands well beside the first: its hue kept, much lighter or much darker. */
function companionOf(color: string): string {
  if (!color.startsWith("#")) return "#E7C9A0";
  const channels = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16));
  const light = channels.reduce((sum, channel) => sum + channel, 0) / 3 > 128;
  const mixed = channels.map((channel) => Math.round(light ? channel * 0.45 : channel + (255 - channel) * 0.62));
  return `#${mixed.map((channel) => channel.toString(16).padStart(2, "0")).join("")}`.toUpperCase();
}

/** One colour, or several in turn or mixed into each other. */
export function FillWords({ label, fill, palette, rules, onChange, onName }: FillWordsProps) {
  const mixed = typeof fill === "object" && fill.kind === "ramp";
  const cycle = asCycle(fill);
  const withColors = (colors: readonly string[]): FillValue => {
    if (colors.length === 1 && colors[0] !== undefined) return colors[0];
    return mixed ? rampOf(colors, fill.by) : { ...cycle, colors };
  };
  const replaced = (index: number, color: string) =>
    withColors(cycle.colors.map((old, at) => (at === index ? color : old)));
  const orders = [
    { value: "index", words: "copy by copy" },
    { value: "ring", words: "ring by ring" },
    { value: "row", words: "row by row" },
    { value: "column", words: "column by column" },
    ...rules.map((kind, index) => ({ value: `rule:${index + 1}`, words: `by the ${kind} (rule ${index + 1})` })),
  ];
  return (
    <>
      {cycle.colors.map((color, index) => (
        <Swatch
          key={index}
          label={cycle.colors.length > 1 ? `${label} ${index + 1}` : label}
          value={color}
          palette={palette}
          onChange={(next, gesture) => onChange(replaced(index, next), `${label} colour`, gesture)}
          onName={(hex) => onName(hex, (reference) => replaced(index, reference))}
          onRemove={
            cycle.colors.length > 1
              ? () => onChange(withColors(cycle.colors.filter((_, at) => at !== index)), `remove a ${label} colour`)
              : undefined
          }
        />
      ))}
      <button
        type="button"
        aria-label={`Add a ${label} colour, to take turns`}
        title="Another colour, to take turns"
        onClick={() =>
          onChange(withColors([...cycle.colors, companionOf(cycle.colors.at(-1) ?? "")]), `add a ${label} colour`)
        }
        className="mx-0.5 inline-grid h-5 w-6 place-items-center rounded border border-dashed border-quiet align-[-4px] text-quiet hover:text-words"
      >
        <Plus size={13} />
      </button>
      {cycle.colors.length > 1 && (
        <>
          {" "}
          <Choice
            label={`${label} colours`}
            value={mixed ? "mixed" : "turns"}
            choices={[
              { value: "turns", words: "in turn" },
              { value: "mixed", words: "mixed" },
            ]}
            onChange={(how) =>
              onChange(how === "mixed" ? rampOf(cycle.colors, "index") : cycle, `${label} colours ${how}`)
            }
          />
          ,{" "}
          {mixed ? (
            <Choice
              label={`${label} order`}
              value={fill.by}
              choices={RAMP_ORDERS}
              onChange={(by) => onChange({ ...fill, by }, `${label} mixed ${by}`)}
            />
          ) : (
            <Choice
              label={`${label} order`}
              value={cycle.by}
              choices={orders}
              onChange={(by) => onChange({ ...cycle, by }, `${label} in turn ${by}`)}
            />
          )}
        </>
      )}
    </>
  );
}
