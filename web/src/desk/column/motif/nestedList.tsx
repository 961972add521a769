import { Copy, Trash2 } from "lucide-react";
import { boxOfPath, pathOfData, tidy, type Motif } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { removeNested, setNestedPlace, stampAgain, type NestedList, type NestedOwner } from "@/store/edits/nested";
import { IconButton } from "@/ui/button";
import { Sentence } from "@/ui/sentence";
import { WordButton } from "../../fields/wordButton";
import { usePicture } from "../../stage/pictureContext";
import { NestedMotif } from "./nestedMotif";

interface NestedListProps {
  readonly part: string;
  readonly list: NestedList;
  readonly motifs: readonly Motif[];
}

/** Motifs within a motif, each a sentence of its own. */
export function NestedMotifs({ part, list, motifs }: NestedListProps) {
  return (
    <ul data-nested={list} className="space-y-1">
      {motifs.map((motif, index) => (
        <NestedRow key={index} part={part} list={list} motif={motif} index={index} />
      ))}
    </ul>
  );
}

function NestedRow({ part, list, motif, index }: { part: string; list: NestedList; motif: Motif; index: number }) {
  const { edit } = useEditing();
  const { report } = usePicture("report");
  const owner: NestedOwner = list === "cutouts" ? { cutout: index } : { member: index };
  const centre = () => {
    const outline = report?.chosen?.id === part ? boxOfPath(pathOfData(report.chosen.outline)) : null;
    if (!outline) return;
    const [, , , , e, f] = report?.chosen?.motifAt ?? [1, 0, 0, 1, 0, 0];
    const middle = { x: (outline.left + outline.right) / 2 - e, y: (outline.top + outline.bottom) / 2 - f };
    edit(setNestedPlace(part, owner, { x: tidy(middle.x), y: tidy(middle.y) }, "centre it"));
  };
  return (
    <li className="rounded-md border border-hairline px-2 py-1">
      <div className="flex items-start gap-1">
        <div className="min-w-0 flex-1">
          <Sentence>
            <NestedMotif
              part={part}
              owner={owner}
              motif={motif}
              role={list === "cutouts" ? "cutout" : "shape"}
              number={index + 1}
              startsSentence
            />
            <WordButton onClick={centre}>centre it</WordButton>
          </Sentence>
        </div>
        <div className="flex flex-col">
          <IconButton label="Stamp it again" className="size-7" onClick={() => edit(stampAgain(part, list, index, 10))}>
            <Copy size={14} />
          </IconButton>
          <IconButton label="Remove it" className="size-7" onClick={() => edit(removeNested(part, list, index))}>
            <Trash2 size={14} />
          </IconButton>
        </div>
      </div>
    </li>
  );
}
