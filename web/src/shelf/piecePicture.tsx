import { useQuery } from "@tanstack/react-query";
import { isHexColor, type PaletteColor } from "@twin-petal/core";
import type { ListedPiece } from "@/api/shelf";
import { Bitmap } from "@/ui/bitmap";
import { useArtist } from "./artist";
import { readPiece } from "./useShelf";

/** Pixels of a picture to a side: twice what it is shown at. */
const SIDE = 240;

/** A piece as a picture: painted live, a palette as its colours. */
export function PiecePicture({ piece: { id, kind, revision } }: { piece: ListedPiece }) {
  const artist = useArtist();
  const held = useQuery({
    queryKey: ["piece", id, revision],
    queryFn: () => readPiece(id, kind),
    staleTime: Infinity,
  });
  const design = held.data?.design;
  const picture = useQuery({
    queryKey: ["piece picture", id, revision],
    queryFn: async () => (artist && design ? artist.piecePicture(design, SIDE) : null),
    enabled: artist !== null && design !== undefined && kind !== "palette",
    staleTime: Infinity,
  });
  if (held.isError) return <p className="grid size-full place-items-center p-2 text-failed">cannot be read</p>;
  if (kind === "palette") return <Colors palette={design?.palette ?? []} />;
  return <Bitmap picture={picture.data ?? undefined} width={SIDE} height={SIDE} className="size-full" />;
}

function Colors({ palette }: { palette: readonly PaletteColor[] }) {
  return (
    <span className="flex size-full flex-wrap" data-shown={palette.length > 0 ? "yes" : "no"}>
      {palette.map(({ name, color }) => (
        <span
          key={name}
          title={name}
          className="min-h-6 min-w-6 flex-1"
          style={{ background: isHexColor(color) ? color : undefined }}
        />
      ))}
    </span>
  );
}
