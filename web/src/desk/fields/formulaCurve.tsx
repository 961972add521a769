import { unwaited } from "@/api/unwaited";
import { useEffect, useState } from "react";
import { extent } from "d3-array";
import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import { useDesign } from "@/store/deskStore";
import { usePicture } from "../stage/pictureContext";
import { useFields } from "./fieldsContext";

const WIDTH = 240;
const HEIGHT = 44;
const MARGIN = 4;

/** The values a formula has from the first copy to the last, as a curve. */
export function FormulaCurve({ field, label }: { field: string; label: string }) {
  const values = useVariedValues(field);
  if (!values || values.length === 0) return null;
  const [least = 0, most = 1] = extent(values);
  const room = most === least ? 1 : 0;
  const x = scaleLinear([0, Math.max(1, values.length - 1)], [MARGIN, WIDTH - MARGIN]);
  const y = scaleLinear([least - room, most + room], [HEIGHT - MARGIN, MARGIN]);
  const path = line<number>(
    (_, index) => x(index),
    (value) => y(value),
  )(values);
  const rounded = (value: number) => Number(value.toPrecision(4));
  const spoken = `${label}: from ${rounded(values[0] ?? 0)} to ${rounded(values.at(-1) ?? 0)}`;
  return (
    <span className="mt-1 flex items-center gap-2 text-[13px] text-quiet">
      <svg width={WIDTH} height={HEIGHT} role="img" aria-label={spoken} className="rounded border border-hairline">
        <path d={path ?? ""} fill="none" stroke="var(--live)" strokeWidth={1.5} />
      </svg>
      <span className="flex flex-col font-mono leading-tight">
        <span>{rounded(most)}</span>
        <span>{rounded(least)}</span>
      </span>
    </span>
  );
}

/** More points than this are not told apart on the curve. */
const POINTS = 240;
const REST = 60;

function useVariedValues(field: string): readonly number[] | null {
  const { part, owner } = useFields();
  const design = useDesign();
  const { assistant } = usePicture("assistant");
  const [values, setValues] = useState<readonly number[] | null>(null);
  const rule = typeof owner === "object" && "rule" in owner ? owner.rule : null;
  useEffect(() => {
    if (rule === null) return;
    let wanted = true;
    const timer = window.setTimeout(() => {
      unwaited(assistant.variedValues(design, part, rule, field, POINTS).then((found) => wanted && setValues(found)));
    }, REST);
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [assistant, design, part, rule, field]);
  return values;
}
