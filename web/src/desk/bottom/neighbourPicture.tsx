import type { SheetPicture } from "@/workers/frame";
import { Bitmap } from "@/ui/bitmap";
import { pixelsOf } from "../live/useLivePictures";
import type { Neighbour } from "./neighbourValues";

interface NeighbourPictureProps {
  readonly neighbour: Neighbour;
  readonly picture: SheetPicture | undefined;
  readonly width: number;
  readonly height: number;
}

/** Where not all fit, the present one is in view. */
function intoView(item: HTMLLIElement | null): void {
  item?.scrollIntoView({ inline: "center", block: "nearest" });
}

/** One nearby value as a picture; clicked, the design becomes it. */
export function NeighbourPicture({ neighbour, picture, width, height }: NeighbourPictureProps) {
  const { words, current, take } = neighbour;
  return (
    <li className="min-w-[62px] max-w-[104px] flex-1" ref={current ? intoView : undefined}>
      <button
        type="button"
        aria-pressed={current}
        title={picture?.trouble ?? undefined}
        onClick={take}
        className="flex w-full flex-col items-center rounded-md border border-hairline p-0.5 hover:border-quiet aria-pressed:border-words"
      >
        <Bitmap
          picture={picture?.bitmap ?? undefined}
          width={pixelsOf(width)}
          height={pixelsOf(height)}
          className="w-full rounded-[4px] bg-page"
        />
        <span
          className={`font-mono text-[12.5px] leading-5 ${picture?.trouble ? "text-failed" : current ? "font-bold" : "text-quiet"}`}
        >
          {picture?.trouble ? `✕ ${words}` : words}
        </span>
      </button>
    </li>
  );
}
