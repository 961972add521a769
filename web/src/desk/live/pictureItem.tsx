import { Bitmap } from "@/ui/bitmap";
import { MenuItem } from "@/ui/menu";
import type { SheetPicture } from "@/workers/frame";
import { pixelsOf } from "./useLivePictures";

const PICTURE_SIDE = 84;
/** The size of a choice's picture, CSS pixels. */
export const PICTURE_SIZE = { width: PICTURE_SIDE, height: PICTURE_SIDE } as const;

interface PictureItemProps {
  readonly name: string;
  readonly promise: string;
  readonly picture: SheetPicture | undefined;
  readonly disabled?: boolean;
  readonly onSelect: () => void;
}

/** A choice in a menu, with a picture of what the ornament becomes by it. */
export function PictureItem({ name, promise, picture, disabled = false, onSelect }: PictureItemProps) {
  return (
    <MenuItem onSelect={onSelect} disabled={disabled}>
      <span className="flex w-full flex-col items-center gap-0.5 text-center">
        <Bitmap
          picture={picture?.bitmap ?? undefined}
          width={pixelsOf(PICTURE_SIDE)}
          height={pixelsOf(PICTURE_SIDE)}
          className="size-[84px] rounded border border-hairline bg-page"
        />
        <b className="font-medium first-letter:uppercase">{name}</b>
        {promise !== "" && <span className="text-[13px] leading-tight text-quiet">{picture?.trouble ?? promise}</span>}
      </span>
    </MenuItem>
  );
}
