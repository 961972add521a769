import { unwaited } from "@/api/unwaited";
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { extent } from "d3-array";
import { scaleLinear } from "d3-scale";
import { MILLIMETRES_PER, type GapReport, type Unit } from "@twin-petal/core";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import { Choice } from "@/ui/choice";
import { useRested } from "@/ui/useRested";
import { usePicture } from "../stage/pictureContext";
import { useElementSize } from "../stage/useElementSize";

type Measure = "gap" | "size" | "turn";

const WORDS: Readonly<Record<Measure, string>> = {
  gap: "gap to the nearest copy",
  size: "size",
  turn: "turn",
};
const HEIGHT = 86;
const MARGIN = { top: 6, bottom: 6, left: 50, right: 8 } as const;
const REST = 250;

/** For each copy its distance to the nearest other one, its size or its turn, by index. */
export function GapChart() {
  const chosen = useDesk((state) => state.chosen);
  const unit = useDesk((state) => state.history.design.sheet.unit);
  const pointed = useDesk((state) => state.hand.pointed);
  const report = useGaps(chosen);
  const [measure, setMeasure] = useState<Measure>("gap");
  if (!report || report.gap.length === 0) {
    return <p className="grid h-full place-content-center text-quiet">Measuring the gaps …</p>;
  }
  const notes = pointed !== null && pointed < report.gap.length ? copyWords(report, pointed, unit) : null;
  return (
    <div className="flex h-full items-center">
      <div className="w-[168px] shrink-0 px-3 text-[14.5px] leading-snug">
        <Choice
          label="Measured"
          value={measure}
          choices={[
            { value: "gap", words: WORDS.gap },
            { value: "size", words: WORDS.size },
            { value: "turn", words: WORDS.turn },
          ]}
          onChange={setMeasure}
        />
        <p className="text-quiet" aria-live="polite" data-testid="gap-words">
          {notes ?? overlapWords(report, unit)}
        </p>
        {report.copies > report.gap.length && (
          <p className="text-[13px] text-quiet">the first {report.gap.length.toLocaleString("en")} copies</p>
        )}
      </div>
      <Bars report={report} measure={measure} unit={unit} />
    </div>
  );
}

function useGaps(part: string | null): GapReport | null {
  const design = useRested(useDesign(), REST);
  const { assistant } = usePicture("assistant");
  const [report, setReport] = useState<{ part: string; gaps: GapReport } | null>(null);
  useEffect(() => {
    if (part === null) return;
    let wanted = true;
    unwaited(assistant.gaps(design, part).then((gaps) => wanted && gaps && setReport({ part, gaps })));
    return () => {
      wanted = false;
    };
  }, [assistant, design, part]);
  return report?.part === part ? report.gaps : null;
}

interface BarsProps {
  readonly report: GapReport;
  readonly measure: Measure;
  readonly unit: Unit;
}

function Bars({ report, measure, unit }: BarsProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useElementSize(frame);
  const pointed = useDesk((state) => state.hand.pointed);
  const { setHand } = useDeskStore().getState();
  const width = size?.width ?? 0;
  const scaling = measure === "gap" ? MILLIMETRES_PER[unit] : 1;
  const values = useMemo(() => Array.from(report[measure], (value) => value / scaling), [report, measure, scaling]);
  const seen = useMemo(() => seenIn(values, Math.max(1, width - MARGIN.left - MARGIN.right)), [values, width]);
  const [least = 0, most = 0] = extent(values);
  const y = scaleLinear([Math.min(0, least), Math.max(0, most) || 1], [HEIGHT - MARGIN.bottom, MARGIN.top]).nice(3);
  const x = scaleLinear([0, values.length], [MARGIN.left, Math.max(MARGIN.left + 1, width - MARGIN.right)]);
  const step = x(1) - x(0);
  const across = step * (values.length > 300 ? 1 : 0.8);
  const bar = (copy: number) => {
    const [from, to] = [y(0), y(values[copy] ?? 0)];
    const left = x(copy);
    const right = left + Math.max(0.6, across);
    const end = Math.abs(to - from) < 1 ? from - 1 : to;
    return `M${left} ${from}H${right}V${end}H${left}Z`;
  };
  const bars = (wanted: (value: number) => boolean) =>
    values.flatMap((value, copy) => (seen[copy] && wanted(value) ? [bar(copy)] : [])).join("");
  const copyUnder = (event: PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    const copy = Math.floor((event.clientX - box.left - MARGIN.left) / Math.max(step, 1e-6));
    return copy >= 0 && copy < values.length ? copy : null;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, ArrowDown: -1, ArrowUp: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const from = pointed ?? (by > 0 ? -1 : values.length);
    setHand({ pointed: (from + by * (event.shiftKey ? 10 : 1) + values.length) % values.length });
  };
  return (
    <div className="min-w-0 flex-1 pr-3">
      <div ref={frame}>
        <svg
          width={width}
          height={HEIGHT}
          role="slider"
          tabIndex={0}
          aria-label={`Chart: ${WORDS[measure]}, copy by copy`}
          aria-valuemin={1}
          aria-valuemax={values.length}
          aria-valuenow={(pointed ?? 0) + 1}
          aria-valuetext={pointed === null ? "no copy pointed at" : copyWords(report, pointed, unit)}
          onPointerMove={(event) => setHand({ pointed: copyUnder(event) })}
          onPointerLeave={() => setHand({ pointed: null })}
          onKeyDown={onKeyDown}
          className="block"
        >
          {y.ticks(3).map((tick) => (
            <g key={tick} aria-hidden="true">
              <line x1={MARGIN.left} x2={width - MARGIN.right} y1={y(tick)} y2={y(tick)} stroke="var(--hairline)" />
              <text
                x={MARGIN.left - 6}
                y={y(tick)}
                dy="0.32em"
                textAnchor="end"
                className="fill-quiet font-mono text-[11px]"
              >
                {tick}
              </text>
            </g>
          ))}
          <path d={bars((value) => value >= 0)} fill="var(--good)" />
          <path d={bars((value) => value < 0)} fill="var(--failed)" />
          {pointed !== null && pointed < values.length && (
            <>
              <rect
                x={x(pointed) - 1}
                width={Math.max(3, across + 2)}
                y={MARGIN.top}
                height={HEIGHT - MARGIN.top - MARGIN.bottom}
                fill="var(--live)"
                opacity={0.16}
              />
              <path d={bar(pointed)} fill="var(--live)" />
            </>
          )}
        </svg>
      </div>
    </div>
  );
}

/** Which bars are seen: where many share a pixel the highest and the deepest of them hide the others. */
function seenIn(values: readonly number[], pixels: number): Uint8Array {
  const seen = new Uint8Array(values.length);
  if (values.length <= 2 * pixels) return seen.fill(1);
  const share = values.length / pixels;
  for (let pixel = 0; pixel < pixels; pixel++) {
    const from = Math.floor(pixel * share);
    let [most, least] = [from, from];
    for (let copy = from; copy < Math.min(values.length, Math.floor((pixel + 1) * share)); copy++) {
      if ((values[copy] ?? 0) > (values[most] ?? 0)) most = copy;
      if ((values[copy] ?? 0) < (values[least] ?? 0)) least = copy;
    }
    seen[most] = seen[least] = 1;
  }
  return seen;
}

function copyWords({ gap, nearest, size, turn }: GapReport, copy: number, unit: Unit): string {
  const rounded = (value: number) => Number(value.toFixed(2));
  const apart = rounded((gap[copy] ?? 0) / MILLIMETRES_PER[unit]);
  const other = nearest[copy] ?? -1;
  const near =
    other < 0
      ? "alone"
      : apart < 0
        ? `${-apart} ${unit} into copy ${other + 1}`
        : `${apart} ${unit} to copy ${other + 1}`;
  return `copy ${copy + 1}: ${near}, size ${rounded(size[copy] ?? 1)}, ${rounded(turn[copy] ?? 0)}°`;
}

function overlapWords({ gap }: GapReport, unit: Unit): string {
  const overlapping = gap.filter((value) => value < -1e-6).length;
  if (overlapping > 0) return `${overlapping.toLocaleString("en")} overlap another`;
  const [least = 0, most = 0] = extent(gap);
  const rounded = (value: number) => Number((value / MILLIMETRES_PER[unit]).toFixed(2));
  return `from ${rounded(least)} to ${rounded(most)} ${unit}`;
}
