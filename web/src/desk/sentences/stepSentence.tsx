import { FieldNumber } from "../fields/fieldNumber";
import { FieldPair } from "../fields/fieldPair";
import { FieldPivot } from "../fields/fieldPivot";
import { More } from "../fields/more";

export function StepSentence() {
  return (
    <>
      <b>Step</b> <FieldNumber of="count" /> times: each copy turns <FieldNumber of="turn" /> and scales by{" "}
      <FieldPair of="scale" apart="each way" /> about <FieldPivot of="pivot" />, then moves <FieldPair of="move" />.
      <More about="height" fields={["rise", "zScale"]}>
        Each stands <FieldNumber of="rise" /> higher than the last, its height scaled by{" "}
        <FieldNumber of="zScale" label="height scale" />.
      </More>
    </>
  );
}
