import { useId, useRef } from "react";
import type { Matrix, Point, PrintPage } from "@twin-petal/core";
import { useElementSize } from "@/desk/stage/useElementSize";
import type { Print } from "./usePrint";

interface PagesStageProps {
  readonly print: Print;
  /** How far the picture goes beyond the sheet, millimetres of the sheet. */
  readonly bleed: number;
  /** Whether colours are left out. */
  readonly grey: boolean;
  /** The sheet's size, millimetres. */
  readonly sheet: { readonly width: number; readonly height: number };
  /** The page up to which it is printed, counted from 0; null for all. */
  readonly at: number | null;
  /** Places of the sheet that are marked. */
  readonly places: readonly Point[];
}

/** Pixels left free around the pages, and between them. */
const ROOM = 28;
const BETWEEN = 10;

/** The pages as they will be, side by side as they are joined. */
export function PagesStage({ print: { shown, picture, isCurrent }, bleed, grey, sheet, at, places }: PagesStageProps) {
  const holder = useRef<HTMLDivElement>(null);
  const size = useElementSize(holder);
  const layout = shown?.layout;
  const scale =
    size && layout
      ? Math.min(
          (size.width - 2 * ROOM - (layout.across - 1) * BETWEEN) / (layout.across * layout.paper.width),
          (size.height - 2 * ROOM - (layout.down - 1) * BETWEEN) / (layout.down * layout.paper.height),
        )
      : 0;
  return (
    <div
      ref={holder}
      id="print-view"
      role="group"
      aria-label="The pages as they will be printed."
      data-current={isCurrent ? "yes" : "no"}
      className="relative grid min-h-0 min-w-0 flex-1 place-content-center overflow-hidden"
    >
      {layout && scale > 0 && (
        <div
          className="grid"
          style={{ gap: BETWEEN, gridTemplateColumns: `repeat(${layout.across}, ${layout.paper.width * scale}px)` }}
        >
          {layout.pages.map((page, index) => (
            <figure
              key={index}
              data-page={index + 1}
              className="relative m-0 border border-hairline bg-white transition-opacity"
              style={{
                width: layout.paper.width * scale,
                height: layout.paper.height * scale,
                opacity: at === null || index <= at ? 1 : 0.25,
              }}
            >
              <PagePicture
                page={page}
                paper={layout.paper}
                {...{ picture, bleed, grey, sheet, places }}
                number={index + 1}
              />
            </figure>
          ))}
        </div>
      )}
    </div>
  );
}

interface PagePictureProps extends Pick<PagesStageProps, "bleed" | "grey" | "sheet" | "places"> {
  readonly page: PrintPage;
  readonly paper: { readonly width: number; readonly height: number };
  readonly picture: string | null;
  readonly number: number;
}

/** What of the sheet a page shows, its marks, and rings around places. */
function PagePicture({ page, paper, picture, number, bleed, grey, sheet, places }: PagePictureProps) {
  const id = useId();
  const [x, y] = [sheet.width / 2 + bleed, sheet.height / 2 + bleed];
  const rings = page.windows.flatMap(({ matrix, clip }) =>
    places
      .map((place) => onPage(matrix, place))
      .filter(({ x, y }) => x >= clip.left - 1 && x <= clip.right + 1 && y >= clip.top - 1 && y <= clip.bottom + 1),
  );
  return (
    <svg
      role="img"
      aria-label={`Page ${number}`}
      className="absolute inset-0 size-full"
      viewBox={`0 0 ${paper.width} ${paper.height}`}
    >
      {picture !== null &&
        page.windows.map(({ matrix, clip }, index) => (
          <g key={index} clipPath={`url(#${id}-${index})`} style={grey ? { filter: "grayscale(1)" } : undefined}>
            <clipPath id={`${id}-${index}`}>
              <rect x={clip.left} y={clip.top} width={clip.right - clip.left} height={clip.bottom - clip.top} />
            </clipPath>
            <image
              href={picture}
              transform={`matrix(${matrix.join(" ")})`}
              x={-x}
              y={-y}
              width={2 * x}
              height={2 * y}
              preserveAspectRatio="none"
            />
          </g>
        ))}
      {page.marks.map(([from, to], index) => (
        <line key={index} x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#000000" strokeWidth={0.2} />
      ))}
      {rings.map((ring, index) => (
        <circle key={index} cx={ring.x} cy={ring.y} r={6} fill="none" stroke="var(--failed)" strokeWidth={1.5} />
      ))}
    </svg>
  );
}

function onPage([a, b, c, d, e, f]: Matrix, { x, y }: Point): Point {
  return { x: a * x + c * y + e, y: b * x + d * y + f };
}
