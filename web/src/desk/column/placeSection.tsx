import { memo } from "react";
import { groupsAround, isSame, PLACE_DEFAULT, type Part } from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { alignPart, ALIGNMENTS, type Alignment } from "@/store/edits/compose";
import { showGroup } from "@/store/edits/groups";
import { partEdit } from "@/store/edits/parts";
import { Choice } from "@/ui/choice";
import { Menu, MenuItem } from "@/ui/menu";
import { Folded } from "../fields/folded";
import { WordButton } from "../fields/wordButton";
import { usePicture } from "../stage/pictureContext";
import { ALIGNMENT_WORDS } from "./alignmentWords";
import { PlaceNumbers } from "./motif/placeNumbers";

const ROLE_WORDS = [
  { value: "show", words: "is shown and made" },
  { value: "guide", words: "is only a guide" },
  { value: "tool", words: "is only a tool for other parts" },
] as const;

interface PlaceSectionProps extends Pick<Part, "at" | "role" | "group"> {
  readonly part: string;
}

/** Sets the part in the sheet's middle or at its margin. */
function AlignPanel({ part: id }: { part: string }) {
  const { report, painter } = usePicture("report", "painter");
  const { edit, now } = useEditing();
  const align = async (alignment: Alignment) => {
    const box = (await painter.boxes()).get(id);
    const part = now().parts.find((known) => known.id === id);
    if (report && box && part) edit(alignPart(part, box, alignment, report.sheet));
  };
  return (
    <Menu trigger={<WordButton>align it …</WordButton>}>
      {ALIGNMENTS.map((alignment) => (
        <MenuItem key={alignment} onSelect={() => void align(alignment)}>
          {ALIGNMENT_WORDS[alignment]}
        </MenuItem>
      ))}
    </Menu>
  );
}

/** Where the whole part stands, and what it is for; folded while it stands as it comes and is made. */
export const PlaceOffers = memo(function PlaceOffers({ part, at, role: current, group }: PlaceSectionProps) {
  const { edit } = useEditing();
  const groups = useDesk((state) => state.history.design.groups);
  const tool = groupsAround({ groups }, group).find(({ role }) => role === "tool");
  return (
    <>
      <Folded about="place the whole" said={!isSame(at, PLACE_DEFAULT)}>
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
        .
      </Folded>
      <Folded about="a guide or a tool" said={current !== "show" || tool !== undefined}>
        The part{" "}
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
        {tool && (
          <>
            {" "}
            where its group “{tool.name}” is repeated; by itself the group is only a tool and is not made.{" "}
            <WordButton onClick={() => edit(showGroup(tool))}>make the group by itself too</WordButton>
          </>
        )}
        .
      </Folded>
      <AlignPanel part={part} />
    </>
  );
});
