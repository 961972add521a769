import { isPair, isSame, PIVOT_LIMITS, type FieldValue, type PairValue } from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { BoundNumber } from "./boundNumber";
import { useField } from "./fieldsContext";

const PLACES = [
  { value: "origin", words: "the part’s centre", stored: { x: 0, y: 0 } },
  { value: "foot", words: "the group’s foot", stored: { box: { x: 0.5, y: 1 } } },
  { value: "middle", words: "the group’s middle", stored: { box: { x: 0.5, y: 0.5 } } },
  { value: "top", words: "the group’s top", stored: { box: { x: 0.5, y: 0 } } },
] as const;

/** The point a rule turns or scales about, in words; it can be dragged on the sheet too. */
export function FieldPivot({ of }: { of: string }) {
  const { field, stored, set } = useField(of, "pivot");
  const standard = "point" in field.default ? field.default.point : { box: field.default.share };
  const current: FieldValue = stored ?? standard;
  const place = PLACES.find((known) => isSame(known.stored, current));
  const point = pointOf(current);
  const choices = [
    ...PLACES.map(({ value, words }) => ({ value, words })),
    { value: "point", words: "a point" } as const,
  ];
  const choose = (value: (typeof choices)[number]["value"]) => {
    const known = PLACES.find((entry) => entry.value === value);
    const next = known?.stored ?? point ?? { x: 10, y: 0 };
    set(isSame(next, standard) ? undefined : next, `pivot at ${known?.words ?? "a point"}`);
  };
  const coordinate = (axis: "x" | "y", words: string) =>
    point && (
      <>
        <BoundNumber
          label={`pivot ${words}`}
          stored={point[axis]}
          standard={0}
          quantity="length"
          limits={PIVOT_LIMITS}
          step={1}
          onSet={(next, change, gesture) => set({ ...point, [axis]: next ?? 0 }, change, gesture)}
        />{" "}
        {words}
      </>
    );
  const special = !place;
  return (
    <>
      <Choice label="pivot" value={place?.value ?? "point"} choices={choices} onChange={choose} />
      {special && point && (
        <>
          {" "}
          {coordinate("x", "across")} and {coordinate("y", "down")}
        </>
      )}
      {special && !point && " of its own in the box"}
    </>
  );
}

function pointOf(value: FieldValue): PairValue | null {
  return isPair(value) ? { x: value.x, y: value.y } : null;
}
