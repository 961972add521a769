import {
  CUT_FIELDS,
  CUT_WAYS,
  NOT_CUT,
  repeatsWhole,
  WAY_COLORS,
  type CutValue,
  type CutWay,
  type Part,
} from "@twin-petal/core";
import { useDesign, useEditing } from "@/store/deskStore";
import { changeCut, cutAsItComes, cutValueOf, dropBridges, leaveUncut } from "@/store/edits/cut";
import { BoundChoice } from "@/desk/fields/boundChoice";
import { TableNumber } from "@/desk/fields/tableNumber";
import { WordButton } from "@/desk/fields/wordButton";
import { Sentence } from "@/ui/sentence";

const WORDS = { cut: "cut through", score: "scored", engrave: "engraved", draw: "drawn", none: "left alone" } as const;
type Way = CutWay | typeof NOT_CUT | "members";
const WAYS: readonly Exclude<Way, "members">[] = [...CUT_WAYS, NOT_CUT];
const CHOICES = WAYS.map((value): { value: Way; words: string } => ({ value, words: WORDS[value] }));
/** Of a part that repeats others whole. */
const CHOICES_OF_WHOLE = [{ value: "members" as const, words: "cut as what it repeats is" }, ...CHOICES];
const { hatch: HATCH, bridges: BRIDGES } = CUT_FIELDS;

/** How every part that is made is cut, in sentences. */
export function PartsWords() {
  const { parts } = useDesign();
  const made = parts.filter(({ visible, role }) => visible && role === "show");
  return (
    <section aria-label="Parts" className="flex flex-col gap-3">
      {made.length === 0 && <p className="text-quiet">No part is shown; show one on the desk.</p>}
      {[...made].reverse().map((part) => (
        <PartWords key={part.id} part={part} />
      ))}
    </section>
  );
}

function PartWords({ part }: { part: Part }) {
  const { edit } = useEditing();
  const cut = cutValueOf(part);
  const isWhole = repeatsWhole(part);
  const as: Way = isWhole && part.cut === null ? "members" : cut === NOT_CUT ? NOT_CUT : cut.as;
  const set = (way: Way) => {
    if (way === "members") edit(cutAsItComes(part.id));
    else edit(way === NOT_CUT ? leaveUncut(part.id) : changeCut(part.id, { as: way }, `${WORDS[way]}: ${part.name}`));
  };
  return (
    <Sentence>
      <span
        aria-hidden="true"
        className="mr-1.5 inline-block h-1 w-4 rounded align-middle"
        style={{ background: as === NOT_CUT || as === "members" ? "var(--hairline)" : WAY_COLORS[as] }}
      />
      <b>{part.name}</b> is{" "}
      <BoundChoice label={`${part.name} is`} value={as} choices={isWhole ? CHOICES_OF_WHOLE : CHOICES} onChange={set} />
      {cut !== NOT_CUT && as === "engrave" && <HatchWords part={part} cut={cut} />}
      {cut !== NOT_CUT && as === "cut" && <BridgeWords part={part} cut={cut} />}.
    </Sentence>
  );
}

function HatchWords({ part, cut }: { part: Part; cut: CutValue }) {
  const { edit } = useEditing();
  const number = (of: "angle" | "spacing", label: string) => (
    <TableNumber
      label={`${part.name} ${label}`}
      stored={cut.hatch[of]}
      field={HATCH.fields[of]}
      onSet={(value, change, gesture) =>
        edit(
          changeCut(
            part.id,
            { hatch: { ...cut.hatch, [of]: value ?? HATCH.fields[of].default } },
            change,
            gesture && `${of}/${gesture}`,
          ),
        )
      }
    />
  );
  return (
    <>
      {" "}
      in rows {number("spacing", "rows")} apart at {number("angle", "direction of rows")}
    </>
  );
}

function BridgeWords({ part, cut: { bridges } }: { part: Part; cut: CutValue }) {
  const { edit } = useEditing();
  const number = (of: "count" | "width", label: string) => (
    <TableNumber
      label={`${part.name} ${label}`}
      stored={bridges[of]}
      field={BRIDGES.fields[of]}
      onSet={(value, change, gesture) =>
        edit(
          changeCut(
            part.id,
            { bridges: { ...bridges, [of]: value ?? BRIDGES.fields[of].default } },
            change,
            gesture && `${of}/${gesture}`,
          ),
        )
      }
    />
  );
  const hasAny = bridges.count !== 0 || bridges.at.length > 0;
  return (
    <>
      , with {number("count", "bridges")} bridges on each outline
      {bridges.at.length > 0 && (
        <>
          {" "}
          and {bridges.at.length} by hand
          <WordButton onClick={() => edit(dropBridges(part.id, bridges))}>take those away</WordButton>
        </>
      )}
      {hasAny && <>, each {number("width", "bridge")} wide</>}
    </>
  );
}
