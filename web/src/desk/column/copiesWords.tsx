import { useEffect, useState } from "react";
import { usePicture } from "../stage/pictureContext";
import { useDesign, useEditing } from "@/store/deskStore";
import { keepOneOfEach } from "@/store/edits/parts";
import { WordButton } from "../fields/wordButton";

/** The picture rests this long before copies in the same place are counted, milliseconds. */
const REST = 300;

/** How many copies there are, and how many only repeat another. */
export function CopiesWords({ part }: { part: string }) {
  const { report, assistant, isCurrent } = usePicture();
  const design = useDesign();
  const { edit } = useEditing();
  const oneEach = design.parts.find(({ id }) => id === part)?.oneEach ?? false;
  const [coinciding, setCoinciding] = useState(0);
  const told = report?.chosen?.id === part ? report.chosen.told : [];
  const count = report?.copies.get(part) ?? 0;
  useEffect(() => {
    if (!isCurrent) return;
    let wanted = true;
    const timer = window.setTimeout(() => {
      void assistant.countCoinciding(design, part).then((found) => wanted && setCoinciding(found));
    }, REST);
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [assistant, part, design, isCurrent]);
  const index = design.parts.findIndex(({ id }) => id === part);
  const trouble = report?.problems.find(({ path }) => path.startsWith(`parts[${index}]`));
  return (
    <div className="text-[15px] text-quiet" aria-live="polite">
      <p>{count === 1 ? "1 copy" : `${count.toLocaleString("en")} copies`}</p>
      {coinciding > 0 && (
        <p className="text-doubtful">
          △ {coinciding === 1 ? "1 copy stands" : `${coinciding.toLocaleString("en")} copies stand`} exactly where
          another does already.
          <WordButton onClick={() => edit(keepOneOfEach(part, true))}>keep one of each</WordButton>
        </p>
      )}
      {oneEach && (
        <p>
          Only one of each is kept.
          <WordButton onClick={() => edit(keepOneOfEach(part, false))}>keep all</WordButton>
        </p>
      )}
      {told.map((words) => (
        <p key={words} className="text-doubtful">
          △ {words}.
        </p>
      ))}
      {trouble && <p className="text-failed">✕ {trouble.message}. The last good picture is kept.</p>}
    </div>
  );
}
