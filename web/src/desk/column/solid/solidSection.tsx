import { memo } from "react";
import { REST, SOLID_FIELDS, type FormKind, type SolidValue } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { changeSolid, FIRST_SOLID, liftOf, setSolid } from "@/store/edits/solid";
import { Sentence } from "@/ui/sentence";
import { BoundChoice } from "../../fields/boundChoice";
import { Folded } from "../../fields/folded";
import { TableNumber } from "../../fields/tableNumber";
import { WordButton } from "../../fields/wordButton";
import { FORM_LABELS } from "./forms/list";
import { SolidNumber } from "./solidNumber";
import { TiltWords } from "./tiltWords";

const LIFTS = [
  { value: "rests", words: "rests on the bed" },
  { value: "lifted", words: "is lifted by" },
] as const;

const ROLES = [
  { value: "body", words: "is made" },
  { value: "cutter", words: "is cut out of the others" },
] as const;

/** How a part is given height, in sentences. */
export const SolidSection = memo(function SolidSection({ part, solid }: { part: string; solid: SolidValue | null }) {
  if (!solid) return null;
  return (
    <section aria-label="Solid">
      <FormSentence part={part} solid={solid} />
      <Sentence>
        <Folded about="tilt each copy" said={isTurned(solid.tilt)}>
          Each copy about its foot: <TiltWords part={part} solid={solid} of="tilt" />.
        </Folded>
        <Folded about="stand the whole up" said={isTurned(solid.stand)}>
          The whole stood up: <TiltWords part={part} solid={solid} of="stand" />.
        </Folded>
      </Sentence>
      <PlaceSentence part={part} solid={solid} />
    </section>
  );
});

/** Of a part that lies flat: to give it height. */
export function SolidOffer({ part, solid }: { part: string; solid: SolidValue | null }) {
  const { edit } = useEditing();
  if (solid) return null;
  return (
    <WordButton title="It lies flat" onClick={() => edit(setSolid(part, FIRST_SOLID, "make it solid"))}>
      make it solid …
    </WordButton>
  );
}

function isTurned({ x, y, z }: SolidValue["tilt"]): boolean {
  return [x, y, z].some((angle) => angle !== 0);
}

function FormSentence({ part, solid }: { part: string; solid: SolidValue }) {
  const { edit } = useEditing();
  const label = FORM_LABELS.find(({ kind }) => kind === solid.form);
  return (
    <Sentence>
      <b>Made solid</b>:{" "}
      <BoundChoice<FormKind>
        label="form"
        value={solid.form}
        choices={FORM_LABELS.map(({ kind, words }) => ({ value: kind, words }))}
        onChange={(form) => edit(changeSolid(part, { form }, `make it ${form === "prism" ? "a prism" : `a ${form}`}`))}
      />{" "}
      {label && <label.Words part={part} solid={solid} />}
      <WordButton onClick={() => edit(setSolid(part, null, "lay it flat"))}>lay it flat</WordButton>
    </Sentence>
  );
}

function PlaceSentence({ part, solid }: { part: string; solid: SolidValue }) {
  const { edit } = useEditing();
  const rests = solid.lift === REST;
  return (
    <Sentence>
      It{" "}
      <BoundChoice
        label="lift"
        value={rests ? "rests" : "lifted"}
        choices={LIFTS}
        onChange={(next) =>
          edit(
            changeSolid(part, { lift: next === "rests" ? REST : 0 }, next === "rests" ? "rest on the bed" : "lift it"),
          )
        }
      />
      {!rests && (
        <>
          {" "}
          <TableNumber
            label="lift"
            stored={liftOf(solid)}
            field={LIFT_FIELD}
            onSet={(lift, change, gesture) =>
              edit(changeSolid(part, { lift: lift ?? 0 }, change, gesture && `lift/${gesture}`))
            }
          />
        </>
      )}
      , and{" "}
      <BoundChoice
        label="solid role"
        value={solid.role}
        choices={ROLES}
        onChange={(role) => edit(changeSolid(part, { role }, role === "body" ? "make it" : "cut it out of the others"))}
      />
      {solid.role === "cutter" && (
        <>
          , reaching <SolidNumber part={part} solid={solid} of="through" label="through" /> beyond itself
        </>
      )}
      .
    </Sentence>
  );
}

/** Any length. */
const LIFT_FIELD = SOLID_FIELDS.base;
