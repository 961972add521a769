import { useRef } from "react";
import { toast } from "sonner";
import {
  colorTrouble,
  contrastBetween,
  contrastWords,
  rampBetween,
  shadesOf,
  type PaletteColor,
  groundColor,
} from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { addColors, removeColor, renameColor, setColor } from "@/store/edits/sheet";
import { Menu, MenuHeading, MenuItem } from "@/ui/menu";
import { Swatch } from "@/ui/swatch";
import { WordButton } from "../../fields/wordButton";
import { usePicture } from "../../stage/pictureContext";

/** Colours taken from a picture, and made between two or from one. */
const FROM_PICTURE = 6;
const IN_RAMP = 3;
const SHADES = 5;

/** The design's colours: named, changed in one place, their contrast told. */
export function Palette() {
  const palette = useDesk((state) => state.history.design.palette);
  if (palette.length === 0) return null;
  return (
    <ul aria-label="Palette" className="my-1 flex flex-col gap-0.5">
      {palette.map((entry) => (
        <PaletteRow key={entry.name} entry={entry} />
      ))}
    </ul>
  );
}

/** More colours: one, some from a picture, or ramps between those there are. */
export function PaletteOffers() {
  const { edit, now } = useEditing();
  const { assistant } = usePicture("assistant");
  const palette = useDesk((state) => state.history.design.palette);
  const chooser = useRef<HTMLInputElement>(null);
  const takeFrom = async (file: File | undefined) => {
    if (chooser.current) chooser.current.value = "";
    if (!file) return;
    const pixels = await pixelsIn(file);
    if (pixels) edit(addColors(now(), await assistant.colorsOf(pixels, FROM_PICTURE), "picture"));
    else toast.error(`${file.name} is not a picture this browser can read; choose a PNG, JPEG or WebP.`);
  };
  return (
    <>
      <WordButton onClick={() => edit(addColors(now(), ["#1E6F5C"], "colour"))}>another colour</WordButton>
      <WordButton onClick={() => chooser.current?.click()}>colours from a picture …</WordButton>
      {palette.length > 0 && <RampMenu palette={palette} />}
      <input
        ref={chooser}
        type="file"
        accept="image/png,image/jpeg,image/webp"
        aria-label="Picture to take colours from"
        className="hidden"
        onChange={(event) => void takeFrom(event.target.files?.[0])}
      />
    </>
  );
}

function PaletteRow({ entry: { name, color } }: { entry: PaletteColor }) {
  const { edit } = useEditing();
  const { report } = usePicture("report");
  const contrast = contrastBetween(color, (report && groundColor(report.sheet)) ?? "#FFFFFF");
  const rename = (next: string) => {
    const trimmed = next.trim();
    if (trimmed === "" || trimmed === name) return;
    const trouble = colorTrouble(`palette:${trimmed}`, new Set([trimmed]));
    if (trouble !== null || trimmed.includes(":")) toast.error(`“${trimmed}” cannot name a colour: leave colons out.`);
    else edit(renameColor(name, trimmed));
  };
  return (
    <li className="flex items-center gap-1 text-[15px]">
      <Swatch
        label={name}
        value={color}
        palette={[]}
        onChange={(next, gesture) => edit(setColor(name, next, gesture))}
      />
      <input
        aria-label={`Name of the colour ${name}`}
        defaultValue={name}
        key={name}
        maxLength={40}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === "Enter") event.currentTarget.blur();
        }}
        onBlur={(event) => rename(event.currentTarget.value)}
        className="w-28 rounded bg-transparent px-1 hover:bg-page focus:bg-page"
      />
      <span
        title={`${contrast.toFixed(1)} : 1 on the ground: ${contrastWords(contrast)}`}
        className="text-[13px] text-quiet"
      >
        <span className="font-mono">{contrast.toFixed(1)} : 1</span> {contrast < 3 && "△ faint"}
      </span>
      <WordButton aria-label={`Remove the colour ${name}`} onClick={() => edit(removeColor(name))}>
        ×
      </WordButton>
    </li>
  );
}

/** Colours between two of the palette, and shades of one. */
function RampMenu({ palette }: { palette: readonly PaletteColor[] }) {
  const { edit, now } = useEditing();
  const pairs = palette.slice(1).map((to, index) => ({ from: palette[index] ?? to, to }));
  return (
    <Menu trigger={<WordButton>a ramp …</WordButton>}>
      <MenuHeading>Shades of</MenuHeading>
      {palette.map(({ name, color }) => (
        <MenuItem key={name} onSelect={() => edit(addColors(now(), shadesOf(color, SHADES), name))}>
          <Colors colors={shadesOf(color, SHADES)} /> {name}
        </MenuItem>
      ))}
      {pairs.length > 0 && <MenuHeading>Between</MenuHeading>}
      {pairs.map(({ from, to }) => {
        const between = rampBetween(from.color, to.color, IN_RAMP + 2).slice(1, -1);
        return (
          <MenuItem
            key={`${from.name} ${to.name}`}
            onSelect={() => edit(addColors(now(), between, `${from.name} ${to.name}`.slice(0, 36)))}
          >
            <Colors colors={between} /> {from.name} and {to.name}
          </MenuItem>
        );
      })}
    </Menu>
  );
}

function Colors({ colors }: { colors: readonly string[] }) {
  return (
    <span aria-hidden="true" className="flex">
      {colors.map((color) => (
        <span key={color} className="size-4" style={{ background: color }} />
      ))}
    </span>
  );
}

/** Pixels on the longer side of a picture that is looked at. */
const LOOKED_AT = 96;

/** The pixels of a picture file, made small; null when the browser cannot read it. */
async function pixelsIn(file: File): Promise<Uint8ClampedArray | null> {
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) return null;
  const scale = Math.min(1, LOOKED_AT / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  ];
  const context = new OffscreenCanvas(width, height).getContext("2d");
  context?.drawImage(bitmap, 0, 0, width, height);
  return context?.getImageData(0, 0, width, height).data ?? null;
}
