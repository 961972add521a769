import { Download } from "lucide-react";
import { FORMATS, type Design, type Format } from "@twin-petal/core";
import { FORMAT_LABELS } from "@/desk/strips/formatLabels";
import { takeAway } from "@/desk/takeAway";
import { Button } from "@/ui/button";
import { Menu, MenuItem } from "@/ui/menu";

/** The files of one way of making. */
export function TakeAwayKind({ design, kind }: { design: Design; kind: Format["kind"] }) {
  const formats = FORMATS.filter((format) => format.kind === kind);
  return (
    <Menu
      trigger={
        <Button look="main" id="take-away">
          <Download size={16} /> Take away
        </Button>
      }
    >
      {formats.map(({ extension }) => (
        <MenuItem key={extension} onSelect={() => void takeAway(design, extension, {})}>
          <b className="w-20 font-mono text-[14px]">.{extension}</b>
          <span className="text-quiet">{FORMAT_LABELS[extension]}</span>
        </MenuItem>
      ))}
    </Menu>
  );
}
