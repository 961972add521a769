import { isPair } from "@twin-petal/core";
import { FieldChoice } from "../fields/fieldChoice";
import { useFields } from "../fields/fieldsContext";
import { FieldNumber } from "../fields/fieldNumber";
import { FieldPair } from "../fields/fieldPair";
import { FieldPivot } from "../fields/fieldPivot";
import { More } from "../fields/more";

const AXES = { own: "square, along its own axes", fixed: "skewed, along the sheet’s axes" };

export function StepSentence() {
  const { stored } = useFields();
  const isUneven = isPair(stored["scale"]);
  return (
    <>
      <b>Step</b> <FieldNumber of="count" /> times: each copy turns <FieldNumber of="turn" /> and scales by{" "}
      <FieldPair of="scale" apart="each way" />
      {isUneven && (
        <>
          {" "}
          each <FieldChoice of="axes" label="step axes" words={AXES} />,
        </>
      )}{" "}
      about <FieldPivot of="pivot" />, then moves <FieldPair of="move" />.
      <More about="height" fields={["rise", "zScale"]}>
        Each stands <FieldNumber of="rise" /> higher than the last, its height scaled by{" "}
        <FieldNumber of="zScale" label="height scale" />.
      </More>
    </>
  );
}
