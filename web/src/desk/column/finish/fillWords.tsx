import { Plus } from "lucide-react";
import {
  colorsOfFill,
  GRADIENT_OVER,
  type CycleFill,
  type FillValue,
  type LineGradientOver,
  type PaletteColor,
  type RampBy,
} from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { Swatch } from "@/ui/swatch";
import { TouchButton } from "../../fields/touchButton";
import { companionOf, FILL_KINDS, ofKind, recolored } from "./fillKinds";
import { GradientWords } from "./gradientWords";
import { PoolWords } from "./poolWords";

interface FillWordsProps {
  readonly label: string;
  readonly fill: FillValue;
  readonly palette: readonly PaletteColor[];
  /** Number of rules of the part, for cycling by one of them. */
  readonly rules: readonly string[];
  /** What several colours may do; all there is unless told. */
  readonly kinds?: readonly (typeof FILL_KINDS)[number][];
  /** What gradients may lie over; none where there is no choice. */
  readonly overs?: readonly LineGradientOver[];
  onChange: (fill: FillValue, change: string, gesture?: string) => void;
  onName: (color: string, replace: (reference: string) => FillValue) => void;
}

const RAMP_ORDERS: readonly { value: RampBy; words: string }[] = [
  { value: "index", words: "from the first copy to the last" },
  { value: "ring", words: "ring by ring" },
  { value: "row", words: "row by row" },
  { value: "column", words: "column by column" },
  { value: "distance", words: "from the centre out" },
  { value: "angle", words: "around the centre" },
  { value: "paint", words: "as the rules say" },
];

/** One colour, or several in turn, mixed, or as a gradient. */
export function FillWords({
  label,
  fill,
  palette,
  rules,
  kinds = FILL_KINDS,
  overs = GRADIENT_OVER,
  onChange,
  onName,
}: FillWordsProps) {
  const first = kinds[0]?.value ?? "cycle";
  const colors = colorsOfFill(fill);
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
        aria-label={`Add a ${label} colour${first === "cycle" ? ", to take turns" : ""}`}
        title={first === "cycle" ? "Another colour, to take turns" : "Another colour, to go over into"}
        onClick={() =>
          onChange(recolored(fill, [...colors, companionOf(colors.at(-1) ?? "")], first), `add a ${label} colour`)
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
            choices={kinds}
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
            <GradientWords label={label} fill={fill} overs={overs} onChange={onChange} />
          )}
          {label === "fill" && fill.kind !== "cycle" && fill.kind !== "ramp" && <OnSheetToggle />}
          {fill.kind === "pools" && (
            <PoolWords label={label} fill={fill} isOverChosen={overs.length > 0} onChange={onChange} />
          )}
        </>
      )}
    </>
  );
}

/** Shows the places of the colours on the sheet, to be pulled there. */
function OnSheetToggle() {
  return <TouchButton touching="fill" words="place it on the sheet" />;
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
    { value: "distance", words: "from the centre out" },
    { value: "angle", words: "around the centre" },
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
