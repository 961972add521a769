import { FieldToggle } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { FieldPair } from "../fields/fieldPair";
import { More } from "../fields/more";

export function ReflectSentence() {
  return (
    <>
      <b>Reflect</b> across a line at <FieldNumber of="angle" />, keeping{" "}
      <FieldToggle of="keep" label="kept" yes="it and its image" no="only the image" />.
      <More about="where the line is" fields={["through", "glide"]}>
        The line goes through <FieldPair of="through" label="line" />; the image slides along it by{" "}
        <FieldNumber of="glide" />.
      </More>
    </>
  );
}
