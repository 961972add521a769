import { PLACE_DEFAULT, type Part } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { partEdit } from "@/store/edits/parts";
import { Choice } from "@/ui/choice";
import { Sentence } from "@/ui/sentence";
import { PlaceNumbers } from "./motifSection";

const ROLE_WORDS = [
  { value: "show", words: "is shown and made" },
  { value: "guide", words: "is only a guide" },
  { value: "tool", words: "is only a tool for other parts" },
] as const;

/** Where the whole part stands, and what it is for. */
export function PlaceSection({ part }: { part: Part }) {
  const edit = useDesk((state) => state.edit);
  return (
    <section aria-label="Place">
      <Sentence>
        The whole stands{" "}
        <PlaceNumbers
          place={part.at}
          label="part"
          onSet={(key, value, change, gesture) =>
            edit(
              partEdit(
                part.id,
                change,
                (draft) => {
                  draft.at[key] = value ?? PLACE_DEFAULT[key];
                },
                gesture && `${part.id}/at-${key}/${gesture}`,
              ),
            )
          }
        />
        ; it{" "}
        <Choice
          label="role"
          value={part.role}
          choices={ROLE_WORDS}
          onChange={(role) =>
            edit(
              partEdit(part.id, `make it a ${role}`, (draft) => {
                draft.role = role;
              }),
            )
          }
        />
        .
      </Sentence>
    </section>
  );
}
