import { FieldNumber } from "../fields/fieldNumber";
import { FieldPivot } from "../fields/fieldPivot";
import { More } from "../fields/more";
import { useSpan } from "../fields/useSpan";

export function TurnSentence() {
  const span = useSpan();
  return (
    <>
      <b>Turn</b> <FieldNumber of="count" /> times about <FieldPivot of="pivot" />,{" "}
      <FieldNumber of="angle" following={span?.spacing ?? 0} /> apart.
      <More about="where it starts" fields={["start"]}>
        The first stands at <FieldNumber of="start" />.
      </More>
    </>
  );
}
