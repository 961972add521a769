import type { ReactNode } from "react";
import type { SpaceBox } from "@twin-petal/core";
import type { CutOpen } from "./picture/content";
import { OUTLOOKS, type Side } from "./outlooks";

interface SolidToolsProps {
  readonly box: SpaceBox | null;
  readonly cutOpen: CutOpen | null;
  readonly isMeasuring: boolean;
  /** What is measured, in words. */
  readonly measured: string;
  onSide: (side: Side) => void;
  onCut: (cut: CutOpen | null) => void;
  onMeasure: (measuring: boolean) => void;
}

const AXES = ["across", "away", "up"] as const;

/** From where solids are seen, what cuts them open, and what is measured. */
export function SolidTools({ box, cutOpen, isMeasuring, measured, onSide, onCut, onMeasure }: SolidToolsProps) {
  const axis = cutOpen?.axis ?? 0;
  const middle = (of: 0 | 1 | 2) => (box ? (box.min[of] + box.max[of]) / 2 : 0);
  return (
    <div className="absolute bottom-3 left-3 z-10 flex max-w-[calc(100%-1.5rem)] flex-wrap items-center gap-2 text-[14px]">
      <Group label="Seen from">
        {OUTLOOKS.map(({ side, words }) => (
          <ToolButton key={side} label={`Seen ${words}`} onClick={() => onSide(side)}>
            {words}
          </ToolButton>
        ))}
      </Group>
      <Group label="Cut open">
        <ToolButton
          label={cutOpen ? "Close it again" : "Cut it open"}
          isPressed={cutOpen !== null}
          onClick={() => onCut(cutOpen ? null : { axis: 0, at: middle(0) })}
        >
          cut open
        </ToolButton>
        {cutOpen && box && (
          <>
            {AXES.map((words, number) => (
              <ToolButton
                key={words}
                label={`Cut ${words}`}
                isPressed={axis === number}
                onClick={() =>
                  (number === 0 || number === 1 || number === 2) && onCut({ axis: number, at: middle(number) })
                }
              >
                {words}
              </ToolButton>
            ))}
            <input
              type="range"
              aria-label="Where it is cut"
              min={box.min[axis]}
              max={box.max[axis]}
              step={Math.max(0.01, (box.max[axis] - box.min[axis]) / 200)}
              value={cutOpen.at}
              onKeyDown={(event) => event.stopPropagation()}
              onChange={(event) => onCut({ axis, at: event.target.valueAsNumber })}
              className="mx-1 w-28 accent-[var(--words)]"
            />
            <span className="pr-1 font-mono text-[12.5px] text-quiet">{cutOpen.at.toFixed(1)} mm</span>
          </>
        )}
      </Group>
      <Group label="Measure">
        <ToolButton label="Measure between two points" isPressed={isMeasuring} onClick={() => onMeasure(!isMeasuring)}>
          measure
        </ToolButton>
        {isMeasuring && (
          <output aria-label="Measured" className="px-1.5 font-mono text-[13px]">
            {measured}
          </output>
        )}
      </Group>
    </div>
  );
}

function Group({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div
      role="group"
      aria-label={label}
      className="flex items-center rounded-md border border-hairline bg-surface p-0.5"
    >
      {children}
    </div>
  );
}

interface ToolButtonProps {
  readonly label: string;
  readonly isPressed?: boolean;
  readonly children: ReactNode;
  onClick: () => void;
}

function ToolButton({ label, isPressed, children, onClick }: ToolButtonProps) {
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={isPressed}
      onClick={onClick}
      className="rounded px-1.5 text-quiet hover:text-words aria-pressed:bg-words aria-pressed:text-surface"
    >
      {children}
    </button>
  );
}
