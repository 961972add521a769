import { useState } from "react";
import { DropdownMenu } from "radix-ui";
import { Download } from "lucide-react";
import { FORMATS, imagesOfDesign, RESOLUTIONS, type Format, type MakeOptions } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { Button } from "@/ui/button";
import { Menu, MenuItem, MenuLine } from "@/ui/menu";
import { takeAway } from "../takeAway";
import { FORMAT_LABELS } from "./formatLabels";

/** What line art is drawn with, millimetres. */
const WEIGHT = 0.35;

/** Every file the design can be made into; pictures at a chosen resolution, all of them as line art if wanted. */
export function TakeAwayMenu() {
  const [dpi, setDpi] = useState<number>(300);
  const [asLines, setAsLines] = useState(false);
  const options = { dpi, lineArt: asLines ? WEIGHT : null };
  return (
    <Menu
      trigger={
        <Button look="main" id="take-away">
          <Download size={16} /> Take away
        </Button>
      }
    >
      <Formats options={options} />
      <MenuLine />
      <DropdownMenu.RadioGroup
        aria-label="Dots an inch of pictures"
        value={String(dpi)}
        onValueChange={(next) => setDpi(Number(next))}
        className="flex items-center gap-1 px-2 py-1 text-[15px]"
      >
        <span className="mr-1 text-quiet">Pictures at</span>
        {RESOLUTIONS.map((dots) => (
          <DropdownMenu.RadioItem
            key={dots}
            value={String(dots)}
            onSelect={(event) => event.preventDefault()}
            className="cursor-pointer rounded border border-hairline px-1.5 font-mono text-[13px] outline-none data-highlighted:bg-page data-[state=checked]:border-words data-[state=checked]:font-bold"
          >
            {dots}
          </DropdownMenu.RadioItem>
        ))}
        <span className="text-quiet">dpi</span>
      </DropdownMenu.RadioGroup>
      <DropdownMenu.CheckboxItem
        checked={asLines}
        onCheckedChange={setAsLines}
        onSelect={(event) => event.preventDefault()}
        className="flex cursor-pointer items-center gap-2 rounded px-2 py-1 text-[15px] outline-none data-highlighted:bg-page"
      >
        <span aria-hidden="true" className="grid size-4 place-items-center rounded border border-quiet text-[12px]">
          {asLines ? "✓" : ""}
        </span>
        As line art: nothing filled, every outline one weight
      </DropdownMenu.CheckboxItem>
    </Menu>
  );
}

/** Mounted anew whenever the menu opens: what is offered goes by the design as it is then. */
function Formats({ options }: { options: Partial<MakeOptions> & { dpi: number } }) {
  const { now } = useEditing();
  const design = now();
  const imagesIn = (format: Format) => {
    if (options.lineArt || !("imageDpi" in format)) return [];
    const says = "saysShades" in format ? format : {};
    return imagesOfDesign(design, (sheet) => format.imageDpi?.(sheet, options.dpi) ?? options.dpi, says);
  };
  return FORMATS.filter(({ offered }) => offered?.(design) ?? true).map((format) => {
    const { extension, kind, options: takes } = format;
    const images = imagesIn(format);
    return (
      <MenuItem key={extension} onSelect={() => void takeAway(now(), extension, options)}>
        <b className="w-24 font-mono text-[14px]">.{extension}</b>
        <span className="text-quiet">
          {FORMAT_LABELS[extension]}
          {kind === "picture" && takes.includes("dpi") && ` at ${options.dpi} dpi`}
          {images.length > 0 && <span className="block text-[14px]">as images: {images.join("; ")}</span>}
        </span>
      </MenuItem>
    );
  });
}
