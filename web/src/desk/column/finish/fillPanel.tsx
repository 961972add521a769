import { Plus } from "lucide-react";
import {
  colorsOfFill,
  GRADIENT_OVER,
  type FillKind,
  type FillValue,
  type LineGradientOver,
  type PaletteColor,
} from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { Menu, MenuItem } from "@/ui/menu";
import { Swatch } from "@/ui/swatch";
import { TouchButton } from "../../fields/touchButton";
import { WordButton } from "../../fields/wordButton";
import { FILL_KINDS, FILL_LABELS, labelsOfFill } from "./fills/list";
import { isStopped, StopNumbers } from "./stopNumbers";
import { companionOf, ofKind, recolored } from "./recolored";

interface FillPanelProps {
  readonly label: string;
  readonly fill: FillValue;
  readonly palette: readonly PaletteColor[];
  /** Number of rules of the part, for cycling by one of them. */
  readonly rules: readonly string[];
  /** What several colours may do; all there is unless told. */
  readonly kinds?: readonly FillKind[];
  /** What gradients may lie over; none where there is no choice. */
  readonly overs?: readonly LineGradientOver[];
  onChange: (fill: FillValue, change: string, gesture?: string) => void;
  onName: (color: string, replace: (reference: string) => FillValue) => void;
}

/** One colour, or several in turn, mixed, or as a gradient. */
export function FillPanel({
  label,
  fill,
  palette,
  rules,
  kinds = FILL_KINDS,
  overs = GRADIENT_OVER,
  onChange,
  onName,
}: FillPanelProps) {
  const first = kinds[0] ?? "cycle";
  const labels = labelsOfFill(fill);
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
      {typeof fill === "string" && (
        <Menu trigger={<WordButton>as a gradient …</WordButton>}>
          {FILL_LABELS.filter(({ kind }) => kinds.includes(kind) && kind !== "cycle").map(({ kind, words }) => (
            <MenuItem
              key={kind}
              onSelect={() => onChange(recolored(fill, [fill, companionOf(fill)], kind), `${label} ${words}`)}
            >
              {words}
            </MenuItem>
          ))}
        </Menu>
      )}
      {typeof fill === "object" && (
        <>
          {" "}
          <Choice
            label={`${label} colours`}
            value={fill.kind}
            choices={FILL_LABELS.filter(({ kind }) => kinds.includes(kind)).map(({ kind, words }) => ({
              value: kind,
              words,
            }))}
            onChange={(kind) => onChange(ofKind(kind, fill), `${label} colours ${kind}`)}
          />
          {labels && <labels.Panel label={label} fill={fill} rules={rules} overs={overs} onChange={onChange} />}
          {isStopped(fill) && <StopNumbers label={label} fill={fill} onChange={onChange} />}
          {label === "fill" && labels?.Handles && <OnSheetToggle />}
        </>
      )}
    </>
  );
}

/** Shows the places of the colours on the sheet, to be pulled there. */
function OnSheetToggle() {
  return <TouchButton touching="fill" words="place it on the sheet" />;
}
