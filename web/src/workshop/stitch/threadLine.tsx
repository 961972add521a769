import { closestCorners, DndContext, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { arrayMove, horizontalListSortingStrategy, SortableContext, useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { sewnBetween, type Part, type StitchPlan } from "@twin-petal/core";

interface ThreadLineProps {
  readonly plan: StitchPlan;
  readonly parts: readonly Part[];
  /** The stitch that is shown, counted from 0; null while all are. */
  readonly at: number | null;
  goTo: (stitch: number) => void;
  /** Told ids of parts in the order in which they are to be sewn. */
  onOrder: (parts: readonly string[]) => void;
}

/** What is sewn of one part, whenever it is. */
interface Block {
  readonly part: string;
  readonly name: string;
  readonly first: number;
  readonly stitches: number;
  /** Colours of its threads, each with how much of it is sewn so. */
  readonly colors: readonly { readonly color: string; readonly stitches: number }[];
}

/** The time line in the threads' colours, part by part; parts are dragged, or moved by keys, into another order. */
export function ThreadLine({ plan, parts, at, goTo, onOrder }: ThreadLineProps) {
  const blocks = blocksOf(plan, parts);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const move = (from: number, to: number) => {
    if (from < 0 || to < 0 || to >= blocks.length || from === to) return;
    onOrder(arrayMove([...blocks], from, to).map(({ part }) => part));
  };
  const total = Math.max(1, plan.how.length);
  return (
    <div className="relative shrink-0 border-t border-hairline bg-surface px-4 py-1.5">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCorners}
        onDragEnd={({ active, over }) =>
          move(
            blocks.findIndex(({ part }) => part === active.id),
            blocks.findIndex(({ part }) => part === over?.id),
          )
        }
      >
        <SortableContext items={blocks.map(({ part }) => part)} strategy={horizontalListSortingStrategy}>
          <ol aria-label="Order of parts" className="flex gap-0.5">
            {blocks.map((block, index) => (
              <ThreadBlock
                key={block.part}
                block={block}
                share={block.stitches / total}
                goTo={goTo}
                onMove={(by) => move(index, index + by)}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {at !== null && (
        <div
          aria-hidden="true"
          className="absolute top-0 h-1 bg-live"
          style={{ left: 16, width: `calc((100% - 32px) * ${at / total})` }}
        />
      )}
    </div>
  );
}

interface ThreadBlockProps {
  readonly block: Block;
  /** Its share of all stitches. */
  readonly share: number;
  goTo: (stitch: number) => void;
  /** Told by how many places it is moved on. */
  onMove: (by: 1 | -1) => void;
}

function ThreadBlock({ block, share, goTo, onMove }: ThreadBlockProps) {
  const { part, name, first, stitches, colors } = block;
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id: part });
  const sum = Math.max(1, stitches);
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition, flexGrow: share, flexBasis: 0 }}
      className={`min-w-16 ${isDragging ? "relative z-10 opacity-80" : ""}`}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`${name}, ${stitches.toLocaleString("en")} stitches`}
        title={`${name}: drag it, or press Shift and an arrow, to sew it earlier or later`}
        onClick={() => goTo(first)}
        onKeyDown={(event) => {
          const by = event.key === "ArrowLeft" ? -1 : event.key === "ArrowRight" ? 1 : null;
          if (by === null || !event.shiftKey) return;
          event.preventDefault();
          onMove(by);
        }}
        className="flex w-full touch-none flex-col rounded-md border border-hairline bg-surface hover:border-quiet"
      >
        <span className="w-full truncate px-1.5 text-left text-[13.5px] leading-5">{name}</span>
        <span className="flex h-2 w-full overflow-hidden rounded-b-[5px]">
          {colors.map(({ color, stitches: own }, k) => (
            <span key={k} style={{ background: color, width: `${(100 * own) / sum}%` }} />
          ))}
        </span>
      </button>
    </li>
  );
}

function blocksOf(plan: StitchPlan, parts: readonly Part[]): Block[] {
  const { spans, threads } = plan;
  const ids = [...new Set(spans.map(({ part }) => part))];
  return ids.map((part) => {
    const own = spans
      .filter((span) => span.part === part)
      .map((span) => ({ ...span, stitches: sewnBetween(plan, span.from, span.to) }));
    return {
      part,
      name: parts.find(({ id }) => id === part)?.name ?? part,
      first: own[0]?.from ?? 0,
      stitches: own.reduce((sum, span) => sum + span.stitches, 0),
      colors: own.map(({ thread, stitches }) => ({ color: threads[thread]?.color ?? "#000000", stitches })),
    };
  });
}
