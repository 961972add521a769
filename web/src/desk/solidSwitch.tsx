import { hasSolids } from "@twin-petal/core";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";

const VIEWS = [
  { solid: false, words: "Sheet" },
  { solid: true, words: "Solid" },
] as const;

/** Whether the middle shows the sheet or the solid; only designs with solids have the choice. */
export function SolidSwitch() {
  const design = useDesign();
  const isSolid = useDesk((state) => state.hand.solid);
  const { setHand } = useDeskStore().getState();
  if (!hasSolids(design) && !isSolid) return null;
  return (
    <div
      role="group"
      aria-label="The middle shows"
      className="absolute top-3 left-1/2 z-10 flex -translate-x-1/2 rounded-md border border-hairline bg-surface p-0.5 shadow-floating"
    >
      {VIEWS.map(({ solid, words }) => (
        <button
          key={words}
          type="button"
          aria-pressed={isSolid === solid}
          title={`${words} (D)`}
          onClick={() => setHand({ solid })}
          className="h-7 rounded px-2 text-[15px] text-quiet hover:text-words aria-pressed:bg-words aria-pressed:text-surface"
        >
          {words}
        </button>
      ))}
    </div>
  );
}
