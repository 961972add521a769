import { memo } from "react";
import { PLACE_DEFAULT, type Part } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { partEdit } from "@/store/edits/parts";
import { Choice } from "@/ui/choice";
import { Sentence } from "@/ui/sentence";
import { PlaceNumbers } from "./motif/placeNumbers";

const ROLE_WORDS = [
  { value: "show", words: "is shown and made" },
  { value: "guide", words: "is only a guide" },
  { value: "tool", words: "is only a tool for other parts" },
] as const;

interface PlaceSectionProps extends Pick<Part, "at" | "role"> {
  readonly part: string;
}

/** Where the whole part stands, and what it is for. */
export const PlaceSection = memo(function PlaceSection({ part, at, role: current }: PlaceSectionProps) {
  const { edit } = useEditing();
  return (
    <section aria-label="Place">
      <Sentence>
        The whole stands{" "}
        <PlaceNumbers
          place={at}
          label="part"
          onSet={(key, value, change, gesture) =>
            edit(
              partEdit(
                part,
                change,
                (draft) => {
                  draft.at[key] = value ?? PLACE_DEFAULT[key];
                },
                gesture && `${part}/at-${key}/${gesture}`,
              ),
            )
          }
        />
        ; it{" "}
        <Choice
          label="role"
          value={current}
          choices={ROLE_WORDS}
          onChange={(role) =>
            edit(
              partEdit(part, `make it a ${role}`, (draft) => {
                draft.role = role;
              }),
            )
          }
        />
        .
      </Sentence>
    </section>
  );
});
