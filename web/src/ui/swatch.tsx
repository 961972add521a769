import { useId, useState } from "react";
import { HexAlphaColorPicker, HexColorInput } from "react-colorful";
import { isHexColor, paletteNameOf, paletteReference, type ColorValue, type PaletteColor } from "@twin-petal/core";
import { Button } from "./button";
import { Panel } from "./panel";

interface SwatchProps {
  readonly label: string;
  readonly value: ColorValue;
  readonly palette: readonly PaletteColor[];
  onChange: (value: ColorValue, gesture: string) => void;
  /** Gives the colour a name in the palette. */
  readonly onName?: ((color: string) => void) | undefined;
  readonly onRemove?: (() => void) | undefined;
}

/** The colour itself, without its alpha where that is full. */
function tidy(color: string): string {
  const upper = color.toUpperCase();
  return upper.length === 9 && upper.endsWith("FF") ? upper.slice(0, 7) : upper;
}

/** A colour in a sentence; opens a field of colours and the design's palette. */
export function Swatch({ label, value, palette, onChange, onName, onRemove }: SwatchProps) {
  const id = useId();
  const [opening, setOpening] = useState(0);
  const name = paletteNameOf(value);
  const color = name === null ? value : (palette.find((entry) => entry.name === name)?.color ?? "#000000");
  const gesture = `${id}-${opening}`;
  const pick = (next: string) => {
    const hex = tidy(next);
    if (isHexColor(hex) && hex !== color) onChange(hex, gesture);
  };
  return (
    <Panel
      className="w-56"
      onOpen={() => setOpening(opening + 1)}
      trigger={
        <button
          type="button"
          aria-label={`${label}: ${name ?? color}`}
          title={`${label}: ${name ?? color}`}
          className="mx-0.5 inline-block h-5 w-7 rounded border border-quiet align-[-4px]"
          style={{ background: color }}
        />
      }
    >
      <HexAlphaColorPicker color={color} onChange={pick} style={{ width: "100%", height: 150 }} />
      <label className="mt-2 flex items-center gap-2 text-[15px] text-quiet">
        Colour
        <HexColorInput
          color={color}
          alpha
          prefixed
          onChange={pick}
          className="w-full rounded border border-hairline bg-surface px-1.5 py-0.5 font-mono text-[13px] text-words"
        />
      </label>
      {palette.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Colours of the design">
          {palette.map((entry) => (
            <button
              key={entry.name}
              type="button"
              title={entry.name}
              aria-label={entry.name}
              aria-pressed={entry.name === name}
              onClick={() => onChange(paletteReference(entry.name), gesture)}
              className="size-6 rounded border border-quiet aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-words"
              style={{ background: entry.color }}
            />
          ))}
        </div>
      )}
      <div className="mt-2 flex gap-2">
        {onName && name === null && (
          <Button className="h-7 px-2 text-[15px]" onClick={() => onName(color)}>
            Name it
          </Button>
        )}
        {onRemove && (
          <Button className="h-7 px-2 text-[15px]" onClick={onRemove}>
            Remove
          </Button>
        )}
      </div>
    </Panel>
  );
}
