import { memo } from "react";
import { type Join } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { partEdit } from "@/store/edits/parts";
import { Choice } from "@/ui/choice";
import { Sentence } from "@/ui/sentence";
import { usePicture } from "../stage/pictureContext";

/** How the copies meet. Nothing is said while the rules leave no wedge to keep to. */
export const JoinSection = memo(function JoinSection({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  const { report } = usePicture();
  const hasWedge = report?.chosen?.id === part && report.chosen.wedge !== null;
  if (!hasWedge && !join.trimToWedge) return null;
  return (
    <section aria-label="Join">
      <Sentence>
        The motif{" "}
        <Choice
          label="wedge"
          value={join.trimToWedge ? "trimmed" : "whole"}
          choices={[
            { value: "whole", words: "may reach beyond its wedge" },
            { value: "trimmed", words: "is trimmed to its wedge" },
          ]}
          onChange={(next) =>
            edit(
              partEdit(part, next === "trimmed" ? "trim to the wedge" : "let it reach beyond its wedge", (draft) => {
                draft.join.trimToWedge = next === "trimmed";
              }),
            )
          }
        />
        .
      </Sentence>
    </section>
  );
});
