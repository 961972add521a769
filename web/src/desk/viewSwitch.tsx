import { hasSolids } from "@twin-petal/core";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";

const VIEWS = [
  { shows: "sheet", words: "Sheet", key: "" },
  { shows: "thread", words: "Thread", key: " (W)" },
  { shows: "solid", words: "Solid", key: " (D)" },
] as const;

/** Whether the middle shows the sheet, painted or sewn, or the solid; only designs that have such parts have the choice. */
export function ViewSwitch() {
  const design = useDesign();
  const { solid, thread } = useDesk((state) => state.hand);
  const { setHand } = useDeskStore().getState();
  const shown = solid ? "solid" : thread ? "thread" : "sheet";
  const isOffered = {
    sheet: true,
    thread: thread || design.parts.some(({ stitch }) => stitch !== null),
    solid: solid || hasSolids(design),
  };
  if (!isOffered.thread && !isOffered.solid) return null;
  return (
    <div
      role="group"
      aria-label="The middle shows"
      className="absolute top-14 left-3 z-10 flex rounded-md border border-hairline bg-surface p-0.5 shadow-floating"
    >
      {VIEWS.filter(({ shows }) => isOffered[shows]).map(({ shows, words, key }) => (
        <button
          key={words}
          type="button"
          aria-pressed={shown === shows}
          title={`${words}${key}`}
          onClick={() => setHand({ solid: shows === "solid", thread: shows === "thread" })}
          className="h-7 rounded px-2 text-[15px] text-quiet hover:text-words aria-pressed:bg-words aria-pressed:text-surface"
        >
          {words}
        </button>
      ))}
    </div>
  );
}
