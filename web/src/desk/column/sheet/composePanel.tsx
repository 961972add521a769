import { isEmpty } from "@twin-petal/core";
import { useDesign, useEditing } from "@/store/deskStore";
import { addAccents, addCentrePiece, spreadParts } from "@/store/edits/compose";
import { WordButton } from "../../fields/wordButton";
import { usePicture } from "../../stage/pictureContext";

/** Composing the sheet: a centre piece, scattered accents, parts spread evenly. */
export function ComposeOffers() {
  const { edit, choose, now } = useEditing();
  const { report, painter } = usePicture("report", "painter");
  const { parts } = useDesign();
  const movable = parts.filter(({ visible, locked, role }) => visible && !locked && role === "show");
  const add = (added: ReturnType<typeof addAccents>) => {
    edit(added.edit);
    choose(added.id);
  };
  const spread = async (way: "across" | "down") => {
    const boxes = await painter.boxes();
    const placed = movable.flatMap((part) => {
      const box = boxes.get(part.id);
      return box && !isEmpty(box) ? [{ part, box }] : [];
    });
    if (report) edit(spreadParts(placed, way, report.sheet));
  };
  return (
    <>
      <WordButton onClick={() => add(addCentrePiece(now()))}>a centre piece</WordButton>
      <WordButton onClick={() => add(addAccents(now()))}>scattered accents</WordButton>
      {movable.length > 2 && (
        <>
          <WordButton onClick={() => void spread("across")}>spread the parts across</WordButton>
          <WordButton onClick={() => void spread("down")}>spread them down</WordButton>
        </>
      )}
    </>
  );
}
