import { LINK_ROLES, MILLIMETRES_PER, type LinkReport, type LinkRole, type Unit } from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { setFields } from "@/store/edits/rules";
import { useFields } from "./fieldsContext";
import { useLinks } from "./useLinks";
import { WordButton } from "./wordButton";

const ROLE_WORDS: Readonly<Record<string, Readonly<Record<LinkRole, string>>>> = {
  around: { count: "count", spacing: "angle", span: "span" },
  columns: { count: "columns", spacing: "pitch", span: "width" },
  rows: { count: "rows", spacing: "pitch", span: "height" },
  along: { count: "count", spacing: "pitch", span: "end" },
  border: { count: "count", spacing: "pitch", span: "length" },
};

/** Under a rule's sentence: which of its linked numbers follows, and whether the copies close their circle or line. */
export function LinkPanel() {
  const { part, owner, stored } = useFields();
  const { edit } = useEditing();
  const unit = useDesk((state) => state.history.design.sheet.unit);
  const links = useLinks();
  if (stored.on === false) return null;
  return links.map((link) => {
    const words = ROLE_WORDS[link.about];
    const name = (role: LinkRole) => words?.[role] ?? role;
    return (
      <div key={link.about} className="text-[14.5px] leading-snug text-quiet">
        <Closing
          link={link}
          unit={unit}
          onClose={() => link.close && edit(setFields(part, owner, link.close, "close the circle"))}
        />
        <p role="radiogroup" aria-label={`Which number follows: ${link.about}`} className="flex items-center gap-1">
          {LINK_ROLES.map((role) => (
            <button
              key={role}
              type="button"
              role="radio"
              aria-checked={role === link.follows}
              title={
                role === link.follows
                  ? `The ${name(role)} follows from the other two`
                  : `Let the ${name(role)} follow from the other two`
              }
              onClick={() => edit(setFields(part, owner, link.letFollow[role], `let the ${name(role)} follow`))}
              className="rounded px-1 decoration-dotted underline-offset-4 hover:text-words aria-checked:text-words aria-checked:underline"
            >
              {name(role)}
              {role === link.follows && " follows"}
            </button>
          ))}
        </p>
      </div>
    );
  });
}

interface ClosingProps {
  readonly link: LinkReport;
  readonly unit: Unit;
  onClose: () => void;
}

/** 14 × 25° = 350°, 10° short of a full circle; and the action that closes it. */
function Closing({ link, unit, onClose }: ClosingProps) {
  const { count, spacing, short, quantity, follows } = link;
  if (short === null || (follows === "spacing" && short === 0)) return null;
  const inWords = (value: number) =>
    quantity === "angle"
      ? `${Number(value.toFixed(3))}°`
      : `${Number((value / MILLIMETRES_PER[unit]).toFixed(2))} ${unit}`;
  const whole = quantity === "angle" ? "a full circle" : "the whole line";
  return (
    <p>
      {count} × {inWords(Math.abs(spacing))} = {inWords(count * Math.abs(spacing))},{" "}
      {short === 0 ? (
        <span className="text-good">✓ {whole}</span>
      ) : (
        <span className="text-doubtful">
          △ {inWords(Math.abs(short))} {short > 0 ? "short of" : "over"} {whole}
        </span>
      )}
      <WordButton onClick={onClose}>{short === 0 ? "let it follow the count" : "close it"}</WordButton>
    </p>
  );
}
