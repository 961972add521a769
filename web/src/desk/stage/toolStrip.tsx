import type { ReactNode } from "react";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import type { Tool } from "@/store/hand";
import { HELD_KEYS } from "../heldKeys";

interface ToolLabels {
  readonly tool: Tool;
  readonly name: string;
  readonly key: string;
  readonly hint: string;
  readonly mark: ReactNode;
}

const stroke = {
  fill: "none",
  stroke: "currentColor",
  strokeWidth: 1.6,
  strokeLinecap: "round",
  strokeLinejoin: "round",
} as const;

/** The tools, with the key that takes each up and what the hand does with it. */
export const TOOL_WORDS: readonly ToolLabels[] = [
  {
    tool: "look",
    name: "Look",
    key: "1",
    hint: "",
    mark: <path d="M2 9C5 4 13 4 16 9 13 14 5 14 2 9ZM9 7.4A1.6 1.6 0 1 1 9 10.6 1.6 1.6 0 0 1 9 7.4Z" {...stroke} />,
  },
  {
    tool: "nodes",
    name: "Nodes",
    key: "2",
    hint: "Pull nodes, handles and middles · click the line twice for a new node · pull a loop to choose · Ctrl holds snapping off",
    mark: <path d="M3 13C4 6 9 4 15 5M3 10.5v5M.5 13h5M15 2.5v5M12.5 5h5" {...stroke} />,
  },
  {
    tool: "draw",
    name: "Draw",
    key: "3",
    hint: "Click for a corner, pull for a curve · the first node or C closes it · Enter ends it · Backspace takes one back",
    mark: <path d="M3 15 4 10.5 12.5 2 16 5.5 7.5 14ZM3 15l3.5-3.5" {...stroke} />,
  },
  {
    tool: "freehand",
    name: "Freehand",
    key: "4",
    hint: "Draw on the ornament, every copy follows · Shift and a click choose a stroke",
    mark: <path d="M2 12C4 5 7 5 8 9S11 15 12.5 10 15 5 16.5 6" {...stroke} />,
  },
  {
    tool: "measure",
    name: "Measure",
    key: "5",
    hint: "Click two places, or pull from one to the other · Enter leaves the measure lying · Ctrl holds snapping off",
    mark: <path d="M3 14 14 3M1 12l4 4M12 1l4 4M7.5 9.5l1.4 1.4" {...stroke} />,
  },
];

/** Other ways of seeing the ornament, as long as a button is held down. */
function HeldLooks() {
  const held = useDesk((state) => state.hand.held);
  const { setHand } = useDeskStore().getState();
  const release = () => setHand({ held: null });
  return (
    <div
      role="group"
      aria-label="Held looks"
      className="absolute bottom-3 left-3 z-10 flex rounded-md border border-hairline bg-surface p-0.5"
    >
      {HELD_KEYS.map(({ key, look, name, words }) => (
        <button
          key={look}
          type="button"
          aria-pressed={held === look}
          title={`${words} (${key.toUpperCase()})`}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            setHand({ held: look });
          }}
          onPointerUp={release}
          onPointerCancel={release}
          onKeyDown={(event) => (event.key === "Enter" || event.key === " ") && setHand({ held: look })}
          onKeyUp={release}
          onBlur={release}
          className="touch-none rounded px-1.5 text-[14px] text-quiet select-none hover:text-words aria-pressed:bg-words aria-pressed:text-surface"
        >
          {name}
        </button>
      ))}
    </div>
  );
}

/** What the pointer does on the sheet, and how. */
export function ToolStrip() {
  const tool = useDesk((state) => state.hand.tool);
  const chosen = useDesk((state) => state.chosen);
  const design = useDesign();
  const { setHand } = useDeskStore().getState();
  const motif = design.parts.find(({ id }) => id === chosen)?.motif.kind;
  const current = TOOL_WORDS.find((known) => known.tool === tool);
  const needsBaking = tool === "nodes" && motif !== undefined && motif !== "drawn";
  return (
    <>
      <div
        role="toolbar"
        aria-label="Tools"
        className="absolute top-3 left-3 z-10 flex rounded-md border border-hairline bg-surface p-0.5 shadow-floating"
      >
        {TOOL_WORDS.map(({ tool: own, name, key, mark }) => (
          <button
            key={own}
            type="button"
            aria-pressed={own === tool}
            title={`${name} (${key})`}
            onClick={() => setHand({ tool: own })}
            className="flex h-7 items-center gap-1.5 rounded px-2 text-[15px] text-quiet hover:text-words aria-pressed:bg-words aria-pressed:text-surface"
          >
            <svg width={18} height={18} viewBox="0 0 18 18" aria-hidden="true">
              {mark}
            </svg>
            {name}
          </button>
        ))}
      </div>
      <HeldLooks />
      {current && current.hint !== "" && (
        <p className="pointer-events-none absolute right-3 bottom-2 left-40 text-center text-[14px] text-quiet">
          {needsBaking
            ? `A ${motif} has no nodes of its own: bake it into nodes in the words on the left.`
            : current.hint}
        </p>
      )}
    </>
  );
}
