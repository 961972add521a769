import { useState } from "react";
import { ChevronDown, ChevronUp } from "lucide-react";
import { IconButton } from "@/ui/button";
import { usePicture } from "./pictureContext";

/** The motif of the chosen part by itself, with its own origin, beside the ornament. */
export function CloseUp() {
  const { report } = usePicture();
  const [open, setOpen] = useState(true);
  const chosen = report?.chosen;
  if (!chosen) return null;
  const { left, top, right, bottom } = chosen.motifBox;
  const [west, east] = [Math.min(left, 0), Math.max(right, 0)];
  const [north, south] = [Math.min(top, 0), Math.max(bottom, 0)];
  const side = Math.max(east - west, south - north) * 1.2;
  const arm = side / 16;
  return (
    <section
      aria-label="Motif close-up"
      className="absolute top-3 right-3 w-40 rounded-md border border-hairline bg-surface shadow-floating"
    >
      <div className="flex items-center justify-between pl-3">
        <h2 className="text-[15px] text-quiet">Motif</h2>
        <IconButton
          label={open ? "Fold the close-up away" : "Unfold the close-up"}
          className="size-7"
          onClick={() => setOpen(!open)}
        >
          {open ? <ChevronUp size={15} /> : <ChevronDown size={15} />}
        </IconButton>
      </div>
      {open && (
        <svg
          role="img"
          aria-label="The motif’s outline"
          className="h-36 w-full px-2 pb-2"
          viewBox={`${(west + east - side) / 2} ${(north + south - side) / 2} ${side} ${side}`}
        >
          <path
            d={chosen.outline}
            fill="var(--page)"
            stroke="var(--words)"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
          <path
            d={`M${-arm} 0H${arm}M0 ${-arm}V${arm}`}
            stroke="var(--brass)"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
        </svg>
      )}
    </section>
  );
}
