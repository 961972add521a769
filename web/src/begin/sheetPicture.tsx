import { useQuery } from "@tanstack/react-query";
import { hasSolids, type Design, type SheetSize } from "@twin-petal/core";
import { useArtist } from "@/shelf/artist";
import { Bitmap } from "@/ui/bitmap";

/** Pixels of a picture on its longer side: twice what it is shown at. */
const SIDE = 300;

interface SheetPictureProps {
  /** What tells the design from others, whatever sheet it is on. */
  readonly name: string;
  readonly design: Design;
  readonly size: SheetSize;
}

/** A design as it stands on its sheet, painted live: solids standing up, stitches as thread. */
export function SheetPicture({ name, design, size: { width, height } }: SheetPictureProps) {
  const artist = useArtist();
  const scale = SIDE / Math.max(width, height);
  const size = { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
  const picture = useQuery({
    queryKey: ["sheet picture", name, width, height],
    queryFn: async () => {
      const isThread = design.parts.some(({ stitch }) => stitch !== null);
      const wish = { design, around: "sheet", about: null, size, isSolid: hasSolids(design), isThread } as const;
      return (await artist?.picture(wish)) ?? null;
    },
    enabled: artist !== null,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  return (
    <Bitmap
      picture={picture.data?.bitmap ?? undefined}
      {...size}
      className="absolute inset-0 m-auto max-h-full max-w-full border border-hairline bg-white"
    />
  );
}
