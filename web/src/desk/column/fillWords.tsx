import { Plus } from "lucide-react";
import type { CycleFill, FillValue, PaletteColor } from "@twin-petal/core";
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

/** A second colour that stands well beside the first: its hue kept, much lighter or much darker. */
function companionOf(color: string): string {
  if (!color.startsWith("#")) return "#E7C9A0";
  const channels = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16));
  const light = channels.reduce((sum, channel) => sum + channel, 0) / 3 > 128;
  const mixed = channels.map((channel) => Math.round(light ? channel * 0.45 : channel + (255 - channel) * 0.62));
  return `#${mixed.map((channel) => channel.toString(16).padStart(2, "0")).join("")}`.toUpperCase();
}

/** One colour, or several in turn. */
export function FillWords({ label, fill, palette, rules, onChange, onName }: FillWordsProps) {
  const cycle: CycleFill = typeof fill === "string" ? { kind: "cycle", colors: [fill], by: "index" } : fill;
  const withColors = (colors: readonly string[]): FillValue =>
    colors.length === 1 && colors[0] !== undefined ? colors[0] : { ...cycle, colors };
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
          onChange(
            { ...cycle, colors: [...cycle.colors, companionOf(cycle.colors.at(-1) ?? "")] },
            `add a ${label} colour`,
          )
        }
        className="mx-0.5 inline-grid h-5 w-6 place-items-center rounded border border-dashed border-quiet align-[-4px] text-quiet hover:text-words"
      >
        <Plus size={13} />
      </button>
      {cycle.colors.length > 1 && (
        <>
          {" "}
          in turn,{" "}
          <Choice
            label={`${label} order`}
            value={cycle.by}
            choices={orders}
            onChange={(by) => onChange({ ...cycle, by }, `${label} in turn ${by}`)}
          />
        </>
      )}
    </>
  );
}
