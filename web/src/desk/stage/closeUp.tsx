import { useEffect, useId, useRef, useState } from "react";
import { ArrowLeftRight, ChevronDown, ChevronUp } from "lucide-react";
import { invert, multiply, polar, type Matrix } from "@twin-petal/core";
import { useDesk, useDeskStore } from "@/store/deskStore";
import { panned, viewMatrix, zoomed } from "@/paint/view";
import { IconButton } from "@/ui/button";
import type { ChosenReport } from "@/workers/frame";
import { MotifTools } from "./motifTools";
import { usePicture } from "./pictureContext";
import { useViewHand } from "./useViewHand";
import { useElementSize } from "./useElementSize";

/** The motif of the chosen part by itself, its neighbours faint around it; it can take the sheet's place. */
export function CloseUp() {
  const { report } = usePicture("report");
  const [open, setOpen] = useState(true);
  const swapped = useDesk((state) => state.hand.swapped);
  const { setHand } = useDeskStore().getState();
  const chosen = report?.chosen;
  if (!chosen) return null;
  const swap = swapped ? "Give the sheet its place back (X)" : "Work here: swap places with the sheet (X)";
  return (
    <section
      aria-label="Motif close-up"
      className={
        swapped
          ? "absolute inset-0 flex flex-col bg-page"
          : "absolute top-3 right-3 w-44 rounded-md border border-hairline bg-surface shadow-floating"
      }
    >
      <div
        className={
          swapped
            ? "absolute top-3 right-52 flex rounded-md border border-hairline bg-surface"
            : "flex items-center pl-3"
        }
      >
        {!swapped && <h2 className="mr-auto text-[15px] text-quiet">Motif</h2>}
        <IconButton label={swap} className="size-7" onClick={() => setHand({ swapped: !swapped })}>
          <ArrowLeftRight size={15} />
        </IconButton>
        {!swapped && (
          <IconButton
            label={open ? "Fold the close-up away" : "Unfold the close-up"}
            className="size-7"
            onClick={() => setOpen(!open)}
          >
            {open ? <ChevronUp size={15} /> : <ChevronDown size={15} />}
          </IconButton>
        )}
      </div>
      {(open || swapped) && <MotifDrawing chosen={chosen} large={swapped} />}
    </section>
  );
}

function MotifDrawing({ chosen, large }: { chosen: ChosenReport; large: boolean }) {
  const holder = useRef<HTMLDivElement>(null);
  const outlineId = useId();
  const { view, size, setView, setSize } = usePicture("closeUp").closeUp;
  const measured = useElementSize(holder);
  useEffect(() => {
    if (measured) setSize(measured);
  }, [measured, setSize]);
  useViewHand(holder, {
    zoom: (factor, at) => size && setView((own) => zoomed(own, size, factor, at)),
    pan: (x, y) => setView((own) => panned(own, x, y)),
  });
  const toScreen = view && size && viewMatrix(view, size);
  const back = invert(chosen.working);
  return (
    <div ref={holder} data-own-view className={large ? "min-h-0 flex-1" : "h-36 px-2 pb-2"}>
      {size && toScreen && (
        <svg
          data-surface="close-up"
          width={size.width}
          height={size.height}
          role={large ? "group" : "img"}
          aria-label="The motif’s outline with its neighbours"
          className="overflow-hidden"
        >
          <defs>
            <path id={outlineId} d={chosen.outline} vectorEffect="non-scaling-stroke" />
          </defs>
          {chosen.neighbours.map((copy, index) => (
            <Outline key={index} id={outlineId} toScreen={multiply(toScreen, copy)} strong={false} />
          ))}
          <Outline id={outlineId} toScreen={toScreen} strong />
          <WedgeLines chosen={chosen} toScreen={toScreen} />
          <path
            d="M-7 0H7M0-7V7"
            transform={`translate(${toScreen[4]} ${toScreen[5]})`}
            stroke="var(--brass)"
            strokeWidth={1.5}
          />
          {/* The tools work from the sheet's space: here the copy that is worked on is laid back on the motif. */}
          {large && back && <MotifTools sheetToScreen={multiply(multiply(toScreen, chosen.motifAt), back)} />}
        </svg>
      )}
    </div>
  );
}

/** The motif's outline once more: the path itself is written only once. */
function Outline({ id, toScreen, strong }: { id: string; toScreen: Matrix; strong: boolean }) {
  return (
    <use
      href={`#${id}`}
      transform={`matrix(${toScreen.join(" ")})`}
      fill={strong ? "var(--page)" : "none"}
      fillOpacity={strong ? 0.9 : 1}
      stroke={strong ? "var(--words)" : "var(--quiet)"}
      strokeOpacity={strong ? 1 : 0.35}
      strokeWidth={strong ? 1.5 : 1}
    />
  );
}

function WedgeLines({ chosen: { wedge }, toScreen }: { chosen: ChosenReport; toScreen: Matrix }) {
  if (!wedge) return null;
  const [a, b, c, d, e, f] = toScreen;
  const far = 4_000 / Math.hypot(a, b);
  return [wedge.from, wedge.to].map((angle) => {
    const end = polar(far, angle, wedge.pivot);
    return (
      <line
        key={angle}
        x1={a * wedge.pivot.x + c * wedge.pivot.y + e}
        y1={b * wedge.pivot.x + d * wedge.pivot.y + f}
        x2={a * end.x + c * end.y + e}
        y2={b * end.x + d * end.y + f}
        stroke="var(--brass)"
        strokeDasharray="1 5"
        strokeLinecap="round"
        strokeWidth={1.5}
      />
    );
  });
}
