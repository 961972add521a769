import { isStoredFields } from "@twin-petal/core";
import { NestedMotif } from "../column/motif/nestedMotif";
import { FieldToggle } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { useFields } from "../fields/fieldsContext";

export function BetweenSentence() {
  return (
    <>
      <b>Between</b> this and <SecondShape /> lie <FieldNumber of="count" /> shapes,{" "}
      <FieldToggle of="ends" label="ends" yes="both counted" no="both left out" />, crowding towards one end by{" "}
      <FieldNumber of="ease" />.
    </>
  );
}

/** The shape the copies become: its kind, its numbers, its place. */
function SecondShape() {
  const { part, owner, stored } = useFields();
  if (typeof owner !== "object" || !("rule" in owner) || !isStoredFields(stored.to)) return "nothing yet";
  return (
    <>
      <NestedMotif part={part} owner={{ to: owner.rule }} motif={stored.to} role="second shape" /> Between them
    </>
  );
}
