import { unwaited } from "@/api/unwaited";
import { useEffect, useMemo, useState } from "react";
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { Plus } from "lucide-react";
import { groundColor } from "@twin-petal/core";
import { useDesign, useDesk, useEditing } from "@/store/deskStore";
import { movePart } from "@/store/edits/parts";
import { IconButton } from "@/ui/button";
import { MotifPicker } from "../column/motif/motifPicker";
import { useMotifMaker } from "../column/motif/useMotifMaker";
import { usePicture } from "../stage/pictureContext";
import { GroupTile } from "./groupTile";
import { PartTile } from "./partTile";
import { stripRows } from "./stripRows";

/** The design rests this long before the parts' small pictures are painted, milliseconds. */
const REST = 250;
const SIDE = 104;

/** The parts as live pictures, the top one first. */
export function PartsStrip() {
  const design = useDesign();
  const { edit } = useEditing();
  const chosen = useDesk((state) => state.chosen);
  const also = useDesk((state) => state.also);
  const pictures = usePartPictures();
  const { report } = usePicture("report");
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const topFirst = design.parts.toReversed();
  const rows = useMemo(() => stripRows(design), [design]);
  const isChosen = (id: string) => id === chosen || also.includes(id);
  const { begin, fileChooser } = useMotifMaker();
  return (
    <nav
      aria-label="Parts"
      className="flex w-[72px] shrink-0 flex-col items-center gap-2 overflow-y-auto border-r border-hairline bg-surface py-2"
    >
      <MotifPicker
        onPick={(kind) => begin(kind, null)}
        trigger={
          <IconButton label="Add a part" id="add-part" className="border border-dashed border-hairline">
            <Plus size={18} />
          </IconButton>
        }
      />
      {fileChooser}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          const part = design.parts.find(({ id }) => id === active.id);
          const to = design.parts.findIndex(({ id }) => id === over?.id);
          if (part && to >= 0 && active.id !== over?.id) edit(movePart(part, to));
        }}
      >
        <SortableContext items={topFirst.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <ul className="flex flex-col items-center gap-2">
            {rows.map((row, index) =>
              row.kind === "group" ? (
                <GroupTile
                  // A group whose parts do not lie together is named more than once.
                  key={`${row.group.id} ${index}`}
                  group={row.group}
                  members={row.members}
                  chosen={row.members.every(({ id }) => isChosen(id))}
                />
              ) : (
                <PartTile
                  key={row.part.id}
                  part={row.part}
                  depth={row.depth}
                  picture={pictures.get(row.part.id)}
                  chosen={isChosen(row.part.id)}
                  ground={report && groundColor(report.sheet)}
                />
              ),
            )}
          </ul>
        </SortableContext>
      </DndContext>
    </nav>
  );
}

function usePartPictures(): ReadonlyMap<string, ImageBitmap> {
  const design = useDesign();
  const { assistant, isCurrent } = usePicture("assistant", "isCurrent");
  const [pictures, setPictures] = useState<ReadonlyMap<string, ImageBitmap>>(new Map());
  useEffect(() => {
    if (!isCurrent) return;
    let wanted = true;
    const timer = window.setTimeout(() => {
      unwaited(
        assistant.partPictures(design, SIDE).then((made) => {
          if (wanted) setPictures(new Map(made.map(({ id, bitmap }) => [id, bitmap])));
        }),
      );
    }, REST);
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [assistant, design, isCurrent]);
  return pictures;
}
