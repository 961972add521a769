import { unwaited } from "@/api/unwaited";
import { useEffect, useState } from "react";
import { usePicture } from "../stage/pictureContext";
import { toast } from "sonner";
import { JOIN_DEFAULT, type Baked, type Design } from "@twin-petal/core";
import { bakePart } from "@/store/edits/compose";
import { useDesign, useEditing } from "@/store/deskStore";
import { keepOneOfEach } from "@/store/edits/parts";
import { RulePicker } from "./rulePicker";
import { WordButton } from "../fields/wordButton";

/** The picture rests this long before copies in the same place are counted, milliseconds. */
const REST = 300;

/** Another rule; how many copies there are, and how many only repeat another. */
export function CopiesPanel({ part }: { part: string }) {
  const { report, assistant, isCurrent } = usePicture("report", "assistant", "isCurrent");
  const design = useDesign();
  const { edit } = useEditing();
  const [coinciding, setCoinciding] = useState(0);
  const notes = report?.chosen?.id === part ? report.chosen.notes : [];
  const count = report?.copies.get(part) ?? 0;
  useEffect(() => {
    if (!isCurrent) return;
    let wanted = true;
    const timer = window.setTimeout(() => {
      unwaited(assistant.countCoinciding(design, part).then((found) => wanted && setCoinciding(found)));
    }, REST);
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [assistant, part, design, isCurrent]);
  const own = design.parts.find(({ id }) => id === part);
  const hasMore = own !== undefined && (own.rules.length > 0 || own.join !== JOIN_DEFAULT);
  const oneEach = own?.oneEach ?? false;
  const [warned, setWarned] = useState<{ readonly design: Design; readonly baked: Baked } | null>(null);
  const bake = async () => {
    const baked = await assistant.bake(design, part);
    if (!own) return;
    if ("trouble" in baked) toast.error(`“${own.name}” ${baked.trouble}.`);
    else if (baked.notes.length > 0) setWarned({ design, baked });
    else edit(bakePart(own, baked));
  };
  // What would be lost is said before it is; another change asks anew.
  const warning = warned?.design === design ? warned.baked : null;
  const index = design.parts.findIndex(({ id }) => id === part);
  const trouble = report?.problems.find(({ path }) => path.startsWith(`parts[${index}]`));
  // A rule says itself what is wrong with it.
  const isToldAbove = trouble?.path.startsWith(`parts[${index}].rules[`) ?? false;
  return (
    <div className="text-[15px] text-quiet" aria-live="polite">
      <div className="flex items-center gap-2">
        <RulePicker part={part} isFirst={own?.rules.length === 0} />
        <p>{count === 1 ? "1 copy" : `${count.toLocaleString("en")} copies`}</p>
        {hasMore && (
          <WordButton title="Turn the copies into drawn shapes; undo brings the rules back" onClick={() => void bake()}>
            bake them
          </WordButton>
        )}
      </div>
      {warning && own && (
        <p className="text-doubtful">
          △ {warning.notes.join("; ")}.
          <WordButton onClick={() => edit(bakePart(own, warning))}>bake all the same</WordButton>
          <WordButton onClick={() => setWarned(null)}>leave it live</WordButton>
        </p>
      )}
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
      {notes.map((words) => (
        <p key={words} className="text-doubtful">
          △ {words}.
        </p>
      ))}
      {trouble && (
        <p className="text-failed">
          ✕ {isToldAbove ? "The last good picture is kept" : `${trouble.message}. The last good picture is kept`}.
        </p>
      )}
    </div>
  );
}
