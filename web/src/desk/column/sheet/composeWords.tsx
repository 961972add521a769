import { useDesign, useEditing } from "@/store/deskStore";
import { addAccents, addCentrePiece, spreadParts } from "@/store/edits/compose";
import { Sentence } from "@/ui/sentence";
import { WordButton } from "../../fields/wordButton";
import { usePicture } from "../../stage/pictureContext";

/** Composing the sheet: a centre piece, scattered accents, parts spread evenly. */
export function ComposeWords() {
  const { edit, choose, now } = useEditing();
  const { report } = usePicture();
  const { parts } = useDesign();
  const movable = parts.flatMap((part) => {
    const box = report?.boxes.get(part.id);
    return part.visible && !part.locked && part.role === "show" && box && Number.isFinite(box.left)
      ? [{ part, box }]
      : [];
  });
  const add = (added: ReturnType<typeof addAccents>) => {
    edit(added.edit);
    choose(added.id);
  };
  const spread = (way: "across" | "down") => report && edit(spreadParts(movable, way, report.sheet));
  return (
    <Sentence>
      Add
      <WordButton onClick={() => add(addCentrePiece(now()))}>a centre piece</WordButton>
      <WordButton onClick={() => add(addAccents(now()))}>scattered accents</WordButton>
      {movable.length > 2 && (
        <>
          or spread the parts evenly
          <WordButton onClick={() => spread("across")}>across</WordButton>
          <WordButton onClick={() => spread("down")}>down</WordButton>
        </>
      )}
    </Sentence>
  );
}
