import { MILLIMETRES_PER } from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { useFields } from "../fields/fieldsContext";
import { WordButton } from "../fields/wordButton";
import { usePicture } from "../stage/pictureContext";
import { takeAway } from "../takeAway";

/** The smallest rectangle, or the stretch of a band, a rule repeats in; and the tile of it as a file. */
export function TileOffer() {
  const { part, owner } = useFields();
  const { report } = usePicture("report");
  const { now } = useEditing();
  const unit = useDesk((state) => state.history.design.sheet.unit);
  const tiles = report?.chosen?.id === part ? report.chosen.tiles : null;
  const tile = typeof owner === "object" && "rule" in owner ? tiles?.get(owner.rule) : undefined;
  if (!tile) return null;
  const rounded = (length: number) => Number((length / MILLIMETRES_PER[unit]).toFixed(3));
  const size =
    tile.height === null
      ? `${rounded(tile.width)} ${unit}`
      : `${rounded(tile.width)} × ${rounded(tile.height)} ${unit}`;
  const take = (extension: string) => () => void takeAway(now(), extension, { dpi: 300 });
  return (
    <span className="block text-[14.5px] text-quiet">
      Repeats every {size}. Take the tile away
      <WordButton onClick={take("tile.svg")}>as vectors</WordButton>
      <WordButton onClick={take("tile.png")}>as a picture</WordButton>
    </span>
  );
}
