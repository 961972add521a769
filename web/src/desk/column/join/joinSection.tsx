import { memo, useState } from "react";
import { JOIN_OF, SHEET, type Join, type JoinMode } from "@twin-petal/core";
import { rehearsed, useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import { limitBy, setJoin } from "@/store/edits/join";
import { Choice } from "@/ui/choice";
import { Menu, MenuPictures } from "@/ui/menu";
import { Offers } from "@/ui/offers";
import { OpeningWord } from "@/ui/openingWord";
import { Sentence } from "@/ui/sentence";
import { Folded } from "../../fields/folded";
import { PartNames } from "../../fields/partNames";
import { WordButton } from "../../fields/wordButton";
import { PictureItem, PICTURE_SIZE } from "../../live/pictureItem";
import { useLivePictures } from "../../live/useLivePictures";
import { usePicture } from "../../stage/pictureContext";
import { OffsetPanel } from "./offsetPanel";
import { JOIN_LABELS, labelsOfJoin } from "./ways/list";

/** How the copies meet, what takes from them, and what keeps them. */
export const JoinSection = memo(function JoinSection({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  const { report } = usePicture("report");
  const { takesOffset, takesDoubled, takesOthers } = JOIN_OF[join.mode];
  const { Panel } = labelsOfJoin(join.mode);
  const hasWedge = report?.chosen?.id === part && report.chosen.wedge !== null;
  return (
    <section aria-label="Join">
      <Sentence>
        The copies are <ModeChoice part={part} mode={join.mode} />
        {Panel && <Panel part={part} join={join} />}.{takesOthers && <Others part={part} join={join} />}
        {(hasWedge || join.trimToWedge) && (
          <>
            {" "}
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
                  setJoin(
                    part,
                    { trimToWedge: next === "trimmed" },
                    next === "trimmed" ? "trim to the wedge" : "let it reach beyond its wedge",
                  ),
                )
              }
            />
            .
          </>
        )}
      </Sentence>
      <Offers>
        <Limits part={part} join={join} />
        {takesOffset && <OffsetPanel part={part} offset={join.offset} />}
        {takesDoubled && (
          <Folded about="doubled lines" said={join.dropDoubled}>
            Lines that lie on each other are{" "}
            <Choice
              label="doubled lines"
              value={join.dropDoubled ? "once" : "each"}
              choices={[
                { value: "each", words: "drawn for each copy" },
                { value: "once", words: "drawn once" },
              ]}
              onChange={(next) =>
                edit(
                  setJoin(
                    part,
                    { dropDoubled: next === "once" },
                    next === "once" ? "draw doubled lines once" : "draw every line",
                  ),
                )
              }
            />
            .
          </Folded>
        )}
      </Offers>
    </section>
  );
});

/** The ways to join, each a live picture of this ornament. */
function ModeChoice({ part, mode }: { part: string; mode: JoinMode }) {
  const { name, promise } = labelsOfJoin(mode);
  return (
    <Menu beside trigger={<OpeningWord label={`join: ${name}`}>{promise}</OpeningWord>}>
      <Modes part={part} />
    </Menu>
  );
}

function Modes({ part }: { part: string }) {
  const store = useDeskStore();
  const { edit } = useEditing();
  const take = (mode: JoinMode, name: string) => edit(setJoin(part, { mode }, `join: ${name}`));
  const [wanted] = useState(() =>
    JOIN_LABELS.map(({ kind, name }) => ({ key: kind, design: rehearsed(store, () => take(kind, name)) })),
  );
  const pictures = useLivePictures(wanted, "own", PICTURE_SIZE, true);
  return (
    <MenuPictures>
      {JOIN_LABELS.map(({ kind, name, promise }) => (
        <PictureItem
          key={kind}
          name={name}
          promise={promise}
          picture={pictures.get(kind)}
          onSelect={() => take(kind, name)}
        />
      ))}
    </MenuPictures>
  );
}

/** The parts whose areas are joined with the copies. */
function Others({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  return (
    <>
      {join.with.length > 0 && " Joined with them: "}
      <PartNames
        part={part}
        chosen={join.with}
        trigger={<WordButton>join a part with them …</WordButton>}
        leaveWords={(name) => `No longer joined with ${name}`}
        onLeave={(others, name) => edit(setJoin(part, { with: others }, `no longer joined with ${name}`))}
        onAdd={(id, name) => edit(limitBy(part, id, { with: [...join.with, id] }, `joined with “${name}”`))}
      />
      {join.with.length > 0 && "."}
    </>
  );
}

/** What the copies are kept inside, and what cuts them. */
function Limits({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  const parts = useDesk((state) => state.history.design.parts);
  const others = parts.filter(({ id }) => id !== part);
  const keepers = [
    { value: "", words: "anywhere" },
    { value: SHEET, words: "inside the sheet" },
    ...others.map(({ id, name }) => ({ value: id, words: `inside ${name}` })),
  ];
  return (
    <>
      <Folded about="keep them inside" said={join.inside !== null}>
        They are kept{" "}
        <Choice
          label="kept"
          value={join.inside ?? ""}
          choices={keepers}
          onChange={(next) => {
            const inside = next === "" ? null : next;
            const label =
              next === "" ? "keep it anywhere" : `keep it ${keepers.find(({ value }) => value === next)?.words}`;
            edit(
              inside === null || inside === SHEET
                ? setJoin(part, { inside }, label)
                : limitBy(part, inside, { inside }, label),
            );
          }}
        />
        .
      </Folded>
      <Cutters part={part} join={join} />
    </>
  );
}

/** The parts that cut this one. */
function Cutters({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  const names = (
    <PartNames
      part={part}
      chosen={join.cutBy}
      trigger={<WordButton>cut by a part …</WordButton>}
      leaveWords={(name) => `No longer cut by ${name}`}
      onLeave={(cutBy, name) => edit(setJoin(part, { cutBy }, `no longer cut by ${name}`))}
      onAdd={(id, name) => edit(limitBy(part, id, { cutBy: [...join.cutBy, id] }, `cut by “${name}”`))}
    />
  );
  return join.cutBy.length > 0 ? <span>They are cut by {names}.</span> : names;
}
