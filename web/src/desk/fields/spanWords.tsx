import { useEditing } from "@/store/deskStore";
import { setField } from "@/store/edits/rules";
import { useFields } from "./fieldsContext";
import { useSpan } from "./useSpan";
import { WordButton } from "./wordButton";

const degrees = (value: number) => `${Number(value.toFixed(3))}°`;

/** Whether a turn closes its circle, and the action that closes it. */
export function SpanWords() {
  const { part, owner, stored } = useFields();
  const { edit } = useEditing();
  const span = useSpan();
  if (stored.kind !== "turn" || !span || stored.angle === undefined) return null;
  const { count, spacing, span: covered, short } = span;
  const sum = `${count} × ${degrees(spacing)} = ${degrees(covered)}`;
  const close = () => edit(setField(part, owner, "angle", undefined, "close the circle"));
  return (
    <p className="text-[15px] leading-snug text-quiet">
      {sum},{" "}
      {short === 0 ? (
        <span className="text-good">✓ a full circle</span>
      ) : (
        <span className="text-doubtful">
          △ {degrees(Math.abs(short))} {short > 0 ? "short of" : "over"} a full circle
        </span>
      )}
      <WordButton onClick={close}>{short === 0 ? "let it follow the count" : "close it"}</WordButton>
    </p>
  );
}
