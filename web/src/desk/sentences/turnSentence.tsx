import { FieldNumber } from "../fields/fieldNumber";
import { FieldPivot } from "../fields/fieldPivot";
import { More } from "../fields/more";

export function TurnSentence() {
  return (
    <>
      <b>Turn</b> <FieldNumber of="count" /> times about <FieldPivot of="pivot" />, <FieldNumber of="angle" /> apart,{" "}
      <FieldNumber of="span" /> in all.
      <More about="where it starts" fields={["start"]}>
        The first stands at <FieldNumber of="start" />.
      </More>
    </>
  );
}
