import { useState } from "react";
import {
  FOOT,
  isBoxPivot,
  isPair,
  isSame,
  PIVOT_LIMITS,
  BOX_SHARE_LIMITS,
  type FieldValue,
  type PairValue,
  type Pivot,
  type PlacedMark,
  type Quantity,
  type Limits,
} from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { usePicture } from "../stage/pictureContext";
import { BoundNumber } from "./boundNumber";
import { useField, useFields } from "./fieldsContext";

type PivotMark = Extract<PlacedMark["mark"], { kind: "pivot" }>;

const PLACES = [
  { value: "foot", words: "the motif’s foot", stored: FOOT },
  { value: "origin", words: "the part’s centre", stored: { x: 0, y: 0 } },
  { value: "bottom", words: "the group’s bottom", stored: { box: { x: 0.5, y: 1 } } },
  { value: "middle", words: "the group’s middle", stored: { box: { x: 0.5, y: 0.5 } } },
  { value: "top", words: "the group’s top", stored: { box: { x: 0.5, y: 0 } } },
] as const;

const CHOICES = [
  ...PLACES.map(({ value, words }) => ({ value, words })),
  { value: "box", words: "a place in the group’s box" } as const,
  { value: "point", words: "a point" } as const,
];
type Place = (typeof CHOICES)[number]["value"];

/** The point a rule turns or scales about, in words; it can be dragged on the sheet too. */
export function FieldPivot({ of }: { of: string }) {
  const { field, stored, set } = useField(of, "pivot");
  const mark = usePivotMark(of);
  const standard: FieldValue = storedAs(field.default);
  const current: FieldValue = stored ?? standard;
  // A point that comes to stand where a place has a name stays a point, as long as nothing else is chosen.
  const [asked, setAsked] = useState<Place | null>(null);
  const named = PLACES.find((known) => isSame(known.stored, current))?.value;
  const kind = isPair(current) ? "point" : isBoxPivot(current) ? "box" : "foot";
  const place: Place = asked === kind ? kind : (named ?? kind);
  const store = (next: FieldValue, change: string, gesture?: string) =>
    set(isSame(next, standard) ? undefined : next, change, gesture);
  const choose = (next: Place) => {
    setAsked(next);
    const words = CHOICES.find(({ value }) => value === next)?.words ?? "";
    store(PLACES.find(({ value }) => value === next)?.stored ?? present(next, current, mark), `pivot at ${words}`);
  };
  return (
    <>
      <Choice label="pivot" value={place} choices={CHOICES} onChange={choose} />
      {place === "point" && isPair(current) && (
        <Coordinates pair={current} quantity="length" limits={PIVOT_LIMITS} step={1} onSet={store} />
      )}
      {place === "box" && isBoxPivot(current) && (
        <Coordinates
          pair={current.box}
          quantity="share"
          limits={BOX_SHARE_LIMITS}
          step={0.05}
          onSet={(box, change, gesture) => store({ box }, change, gesture)}
        />
      )}
    </>
  );
}

interface CoordinatesProps {
  readonly pair: PairValue;
  readonly quantity: Quantity;
  readonly limits: Limits;
  readonly step: number;
  onSet: (pair: PairValue, change: string, gesture?: string) => void;
}

function Coordinates({ pair, quantity, limits, step, onSet }: CoordinatesProps) {
  const coordinate = (axis: "x" | "y", words: string) => (
    <>
      <BoundNumber
        label={`pivot ${words}`}
        stored={pair[axis]}
        standard={0}
        {...{ quantity, limits, step }}
        onSet={(next, change, gesture) => onSet({ ...pair, [axis]: next ?? 0 }, change, gesture)}
      />{" "}
      {words}
    </>
  );
  return (
    <>
      {" "}
      {coordinate("x", "across")} and {coordinate("y", "down")}
    </>
  );
}

/** The pivot as it stands on the ornament; undefined where it is not known yet. */
function usePivotMark(of: string): PivotMark | undefined {
  const { owner, part } = useFields();
  const chosen = usePicture("report").report?.chosen;
  if (typeof owner !== "object" || !("rule" in owner) || chosen?.id !== part) return undefined;
  return chosen.marks
    .filter(({ rule }) => rule === owner.rule)
    .map(({ mark }) => mark)
    .find((mark): mark is PivotMark => mark.kind === "pivot" && mark.field === of);
}

function storedAs(pivot: Pivot): FieldValue {
  if (pivot === FOOT) return FOOT;
  return "point" in pivot ? pivot.point : { box: pivot.share };
}

/** Where the pivot now stands, said as a point or as shares of the box, so that choosing moves nothing. */
function present(as: Place, current: FieldValue, mark: PivotMark | undefined): FieldValue {
  if (as === "point") {
    if (isPair(current)) return current;
    return mark ? { x: tidy(mark.at.x), y: tidy(mark.at.y) } : { x: 0, y: 0 };
  }
  if (isBoxPivot(current) || !mark) return isBoxPivot(current) ? current : { box: { x: 0.5, y: 0.5 } };
  const { at, box } = mark;
  const share = (value: number, from: number, to: number) =>
    to - from > 1e-9 ? tidy((value - from) / (to - from)) : 0.5;
  return { box: { x: share(at.x, box.left, box.right), y: share(at.y, box.top, box.bottom) } };
}

const tidy = (value: number) => Number(value.toFixed(4));
