import { memo, useState } from "react";
import {
  FACE_PAINTS,
  JOIN_MODES,
  paletteReference,
  SHEET,
  type FacePaint,
  type Join,
  type JoinMode,
} from "@twin-petal/core";
import { rehearsed, useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import { limitBy, setJoin } from "@/store/edits/join";
import { addColor } from "@/store/edits/sheet";
import { Choice } from "@/ui/choice";
import { Menu, MenuPictures } from "@/ui/menu";
import { OpeningWord } from "@/ui/openingWord";
import { Sentence } from "@/ui/sentence";
import { Swatch } from "@/ui/swatch";
import { PartNames } from "../fields/partNames";
import { WordButton } from "../fields/wordButton";
import { PictureItem, PICTURE_SIZE } from "../live/pictureItem";
import { useLivePictures } from "../live/useLivePictures";
import { usePicture } from "../stage/pictureContext";

interface ModeWords {
  readonly name: string;
  /** What the copies are then, in a sentence. */
  readonly promise: string;
}

const MODE_WORDS: Readonly<Record<JoinMode, ModeWords>> = {
  apart: { name: "apart", promise: "painted one over the other" },
  merge: { name: "merged", promise: "united into one outline" },
  evenOdd: { name: "even-odd", promise: "filled and hollow in turn where they overlap" },
  faces: { name: "faces", promise: "split into faces where they cross" },
};

const PAINT_WORDS: Readonly<Record<FacePaint, string>> = {
  orbit: "orbit by orbit",
  depth: "by how many lie over each other",
  alternate: "alternately",
};

/** How the copies meet, what takes from them, and what keeps them. */
export const JoinSection = memo(function JoinSection({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  const { report } = usePicture();
  const hasWedge = report?.chosen?.id === part && report.chosen.wedge !== null;
  return (
    <section aria-label="Join">
      <Sentence>
        The copies are <ModeChoice part={part} mode={join.mode} />
        {join.mode === "faces" ? (
          <>
            , coloured{" "}
            <Choice
              label="faces coloured"
              value={join.paint}
              choices={FACE_PAINTS.map((value) => ({ value, words: PAINT_WORDS[value] }))}
              onChange={(paint) => edit(setJoin(part, { paint }, `faces coloured ${PAINT_WORDS[paint]}`))}
            />{" "}
            in <FaceColors part={part} colors={join.colors} />.
          </>
        ) : (
          "."
        )}
        <Limits part={part} join={join} />
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
        {join.mode === "apart" && (
          <>
            {" "}
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
          </>
        )}
      </Sentence>
    </section>
  );
});

/** The ways to join, each a live picture of this ornament. */
function ModeChoice({ part, mode }: { part: string; mode: JoinMode }) {
  return (
    <Menu
      beside
      trigger={<OpeningWord label={`join: ${MODE_WORDS[mode].name}`}>{MODE_WORDS[mode].promise}</OpeningWord>}
    >
      <Modes part={part} />
    </Menu>
  );
}

function Modes({ part }: { part: string }) {
  const store = useDeskStore();
  const { edit } = useEditing();
  const take = (mode: JoinMode) => edit(setJoin(part, { mode }, `join: ${MODE_WORDS[mode].name}`));
  const [wanted] = useState(() =>
    JOIN_MODES.map((mode) => ({ key: mode, design: rehearsed(store, () => take(mode)) })),
  );
  const pictures = useLivePictures(wanted, "own", PICTURE_SIZE, true);
  return (
    <MenuPictures>
      {JOIN_MODES.map((mode) => (
        <PictureItem key={mode} {...MODE_WORDS[mode]} picture={pictures.get(mode)} onSelect={() => take(mode)} />
      ))}
    </MenuPictures>
  );
}

/** The colours faces take in turn; none given, the fill's. */
function FaceColors({ part, colors }: { part: string; colors: Join["colors"] }) {
  const { edit, now } = useEditing();
  const palette = useDesk((state) => state.history.design.palette);
  const set = (next: Join["colors"], change: string, gesture?: string) =>
    edit(setJoin(part, { colors: next }, change, gesture));
  const replaced = (index: number, color: string | null) => colors.map((old, at) => (at === index ? color : old));
  return (
    <>
      {colors.length === 0 && "the fill’s colours"}
      {colors.map((color, index) =>
        color === null ? (
          <WordButton
            key={index}
            title="Fill it again"
            onClick={() => set(replaced(index, "#1E6F5C"), "fill the face")}
          >
            hollow
          </WordButton>
        ) : (
          <Swatch
            key={index}
            label={`face colour ${index + 1}`}
            value={color}
            palette={palette}
            onChange={(next, gesture) => set(replaced(index, next), "face colour", gesture)}
            onName={(hex) => {
              const named = addColor(now(), hex);
              edit(named.edit);
              set(replaced(index, paletteReference(named.name)), "face colour");
            }}
            onRemove={() =>
              set(
                colors.filter((_, at) => at !== index),
                "remove a face colour",
              )
            }
          />
        ),
      )}
      <WordButton
        onClick={() => set([...colors, FRESH[colors.length % FRESH.length] ?? "#1E6F5C"], "add a face colour")}
      >
        {colors.length === 0 ? "colours of their own" : "another"}
      </WordButton>
      {colors.length > 0 && colors.at(-1) !== null && (
        <WordButton onClick={() => set([...colors, null], "add a hollow face")}>a hollow one</WordButton>
      )}
    </>
  );
}

const FRESH: readonly string[] = ["#1E6F5C", "#E7C9A0", "#C8442B", "#17566B", "#D9A24B", "#6E5BA8"];

/** The parts that cut this one, and what it is kept inside. */
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
      {" "}
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
      {join.cutBy.length > 0 && " and cut by "}
      <PartNames
        part={part}
        chosen={join.cutBy}
        trigger={<WordButton>cut by a part …</WordButton>}
        leaveWords={(name) => `No longer cut by ${name}`}
        onLeave={(cutBy, name) => edit(setJoin(part, { cutBy }, `no longer cut by ${name}`))}
        onAdd={(id, name) => edit(limitBy(part, id, { cutBy: [...join.cutBy, id] }, `cut by “${name}”`))}
      />
      .
    </>
  );
}
