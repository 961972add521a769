import { useState } from "react";
import {
  apply,
  directionOf,
  multiply,
  polar,
  sizeOf,
  type Box,
  type Matrix,
  type PlacedMark,
  type Point,
} from "@twin-petal/core";
import { toScreen, viewMatrix } from "@/paint/view";
import { useDesign, useDesk } from "@/store/deskStore";
import { CountHandle } from "./countHandle";
import { CrossingMarks } from "./crossingMarks";
import { OpeningMarks } from "./openingMarks";
import { DirectionHandle } from "./directionHandle";
import { FaceBrush } from "./faceBrush";
import { Fan, FanProvider } from "./fan";
import { Guides } from "./guides";
import { MotifHandles } from "./motifHandles";
import { MotifTools } from "./motifTools";
import { NestedHandles } from "./nestedHandles";
import { PaintHandles } from "./paintHandles";
import { Measures } from "./measure/measures";
import { PointedCopy } from "./pointedCopy";
import { PivotHandle } from "./pivotHandle";
import { usePicture } from "./pictureContext";
import { WalkedPath } from "./walk/walkReplay";
import { RuleHandles } from "./ruleHandles";
import { handlePlaces, useRuleHandles } from "./useRuleHandles";
import { RadiusHandle } from "./radiusHandle";
import { SecondCopyHandles } from "./secondCopyHandles";
import { SeveralHandle } from "./severalHandle";
import { ShareHandle } from "./shareHandle";
import { VectorHandles } from "./vectorHandles";

const NO_MARKS: readonly PlacedMark[] = [];

/** What lies over the picture: guides, the source's outline, wedges, mirrors, and the handles. */
export function Marks() {
  const { report, view, size } = usePicture("report", "view", "size");
  const design = useDesign();
  const chosenId = useDesk((state) => state.chosen);
  const also = useDesk((state) => state.also);
  const tool = useDesk((state) => state.hand.tool);
  const touching = useDesk((state) => state.hand.touching);
  const chosen = report?.chosen?.id === chosenId ? report?.chosen : null;
  const part = design.parts.find(({ id }) => id === chosenId);
  const marks = chosen?.marks ?? NO_MARKS;
  const handled = useRuleHandles(part, marks);
  const [fan] = useState(() => new Fan());
  if (!report || !view || !size) return null;
  const sheetToScreen = viewMatrix(view, size);
  const screen = (toSheet: Matrix, point: Point) => toScreen(view, size, apply(toSheet, point));
  const taken = handlePlaces(marks, handled);
  const reach = Math.hypot(report.sheet.width, report.sheet.height);
  return (
    <svg
      className="pointer-events-none absolute inset-0 size-full overflow-hidden select-none"
      aria-label="Handles"
      role="group"
    >
      <Guides guides={report.guides} toScreen={(point) => toScreen(view, size, point)} reach={reach} />
      {also.length > 0 && chosenId !== null && tool === "look" && <SeveralHandle ids={[chosenId, ...also]} />}
      {chosen && part?.visible && also.length === 0 && (
        <>
          <SourceOutline
            outline={chosen.outline}
            box={chosen.motifBox}
            toScreen={multiply(sheetToScreen, chosen.source)}
          />
          {chosen.marks.map((placed, index) => (
            <QuietMark key={index} placed={placed} screen={screen} reach={reach} />
          ))}
          {!part.locked && tool === "look" && touching === "fill" && <PaintHandles part={part} chosen={chosen} />}
          <OpeningMarks openings={chosen.openings} />
          {!part.locked && tool === "look" && touching === "crossings" && (
            <CrossingMarks part={part} crossings={chosen.crossings} />
          )}
          {!part.locked && tool === "look" && touching === "faces" && (
            <FaceBrush part={part} sheetToScreen={sheetToScreen} />
          )}
          {!part.locked && tool === "look" && touching === null && (
            <FanProvider value={fan}>
              {chosen.marks.map((placed, index) => (
                <HandleOf key={index} part={part} placed={placed} />
              ))}
              {handled.map((rule) => (
                <RuleHandles key={rule.rule} part={part.id} handled={rule} />
              ))}
              <MotifHandles part={part.id} owner="motif" motif={part.motif} toSheet={chosen.working} taken={taken} />
              <NestedHandles part={part} toSheet={chosen.working} taken={taken} />
            </FanProvider>
          )}
        </>
      )}
      {chosen && <PointedCopy part={chosen.id} sheetToScreen={sheetToScreen} />}
      {chosen && <WalkedPath toScreen={multiply(sheetToScreen, chosen.working)} />}
      {!part?.locked && <MotifTools sheetToScreen={sheetToScreen} />}
      <Measures dimensions={report.dimensions} sheetToScreen={sheetToScreen} />
    </svg>
  );
}

/** Shapes of fewer pixels than this are outlined more thinly, or the outline would hide them. */
const SMALL = 40;

interface SourceOutlineProps {
  readonly outline: string;
  readonly box: Box;
  readonly toScreen: Matrix;
}

/** The source is told apart by a dash of two tones, which shows on any artwork. */
function SourceOutline({ outline, box, toScreen }: SourceOutlineProps) {
  const pixels = Math.max(box.right - box.left, box.bottom - box.top) * sizeOf(toScreen);
  const thin = Math.min(1, Math.max(0.4, pixels / SMALL));
  const shared = {
    d: outline,
    fill: "none",
    transform: `matrix(${toScreen.join(" ")})`,
    vectorEffect: "non-scaling-stroke",
  } as const;
  return (
    <g data-testid="source">
      <path {...shared} stroke="#FFFFFF" strokeWidth={1.8 * thin} />
      <path {...shared} stroke="#2B2140" strokeWidth={thin} strokeDasharray={`${5 * thin} ${4 * thin}`} />
    </g>
  );
}

interface QuietMarkProps {
  readonly placed: PlacedMark;
  screen: (toSheet: Matrix, point: Point) => Point;
  /** Millimetres that reach across the sheet. */
  readonly reach: number;
}

/** Marks that only show: mirror lines, wedges, circles, the point copies spiral into. */
function QuietMark({ placed: { mark, toSheet }, screen, reach }: QuietMarkProps) {
  const far = reach / Math.max(sizeOf(toSheet), 1e-9);
  const line = (from: Point, to: Point) => {
    const [a, b] = [screen(toSheet, from), screen(toSheet, to)];
    return (
      <line
        x1={a.x}
        y1={a.y}
        x2={b.x}
        y2={b.y}
        stroke="var(--brass)"
        strokeDasharray="1 5"
        strokeLinecap="round"
        strokeWidth={1.5}
      />
    );
  };
  switch (mark.kind) {
    case "mirror":
      return line(polar(far, mark.angle, mark.through), polar(-far, mark.angle, mark.through));
    case "wedge":
      return (
        <>
          {line(mark.pivot, polar(far / 3, mark.from, mark.pivot))}
          {line(mark.pivot, polar(far / 3, mark.to, mark.pivot))}
        </>
      );
    case "radius": {
      const centre = screen(toSheet, { x: 0, y: 0 });
      const across = screen(toSheet, { x: mark.radii.x, y: 0 });
      const up = screen(toSheet, { x: 0, y: -mark.radii.y });
      const turn = directionOf(centre, up);
      return (
        <ellipse
          cx={centre.x}
          cy={centre.y}
          rx={Math.hypot(across.x - centre.x, across.y - centre.y)}
          ry={Math.hypot(up.x - centre.x, up.y - centre.y)}
          transform={`rotate(${turn} ${centre.x} ${centre.y})`}
          fill="none"
          stroke="var(--brass)"
          strokeDasharray="1 5"
          strokeLinecap="round"
          strokeWidth={1.5}
        />
      );
    }
    case "fixedPoint": {
      const at = screen(toSheet, mark.at);
      return (
        <g transform={`translate(${at.x} ${at.y})`} stroke="var(--brass)" strokeWidth={1.5} fill="none">
          <title>The copies spiral into this point</title>
          <circle r={4} />
          <circle r={1} />
        </g>
      );
    }
    case "area": {
      const corners = mark.corners.map((corner) => screen(toSheet, corner));
      return (
        <polygon
          points={corners.map(({ x, y }) => `${x},${y}`).join(" ")}
          fill="var(--brass)"
          fillOpacity={0.08}
          stroke="var(--brass)"
          strokeDasharray="1 5"
          strokeLinecap="round"
          strokeWidth={1.5}
        >
          <title>The area one motif has to itself</title>
        </polygon>
      );
    }
    case "vectors":
      return (
        <>
          {line({ x: 0, y: 0 }, mark.a)}
          {line({ x: 0, y: 0 }, mark.b)}
        </>
      );
    case "share":
      return mark.field === "from" ? (
        <polyline
          points={mark.line
            .map((point) => screen(toSheet, point))
            .map(({ x, y }) => `${x},${y}`)
            .join(" ")}
          fill="none"
          stroke="var(--brass)"
          strokeDasharray="1 5"
          strokeLinecap="round"
          strokeWidth={1.5}
        />
      ) : null;
    case "direction":
    case "count":
    case "second":
    case "pivot":
    case "space":
      return null;
  }
}

type PartOf = Parameters<typeof PivotHandle>[0]["part"];

function HandleOf({ part, placed }: { part: PartOf; placed: PlacedMark }) {
  const { mark } = placed;
  if (mark.kind === "pivot") return <PivotHandle part={part} placed={placed} mark={mark} />;
  if (mark.kind === "radius") return <RadiusHandle part={part} placed={placed} mark={mark} />;
  if (mark.kind === "direction") return <DirectionHandle part={part} placed={placed} mark={mark} />;
  if (mark.kind === "count") return <CountHandle part={part} placed={placed} mark={mark} />;
  if (mark.kind === "second") return <SecondCopyHandles part={part} placed={placed} mark={mark} />;
  if (mark.kind === "vectors") return <VectorHandles part={part} placed={placed} mark={mark} />;
  if (mark.kind === "share") return <ShareHandle part={part} placed={placed} mark={mark} />;
  return null;
}
