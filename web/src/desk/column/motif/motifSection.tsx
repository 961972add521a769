import {
  motifOf,
  OPERATIONS,
  pathOfData,
  PLACE_DEFAULT,
  STANDS_BY,
  storedMembers,
  type Motif,
  type NumberValue,
  type Operation,
  type PlaceValue,
  type StandsBy,
} from "@twin-petal/core";
import { memo } from "react";
import { toast } from "sonner";
import { useDesign, useDesk, useEditing } from "@/store/deskStore";
import { bakeMotif } from "@/store/edits/drawn";
import { addNested, combineWith, takeApart } from "@/store/edits/nested";
import { partEdit, standBy } from "@/store/edits/parts";
import { setField } from "@/store/edits/rules";
import { Choice } from "@/ui/choice";
import { Offers } from "@/ui/offers";
import { OpeningWord } from "@/ui/openingWord";
import { Sentence } from "@/ui/sentence";
import { Folded } from "../../fields/folded";
import { FieldsProvider } from "../../fields/fieldsContext";
import { WordButton } from "../../fields/wordButton";
import { MOTIF_SENTENCES } from "../../sentences/motifSentences";
import { usePicture } from "../../stage/pictureContext";
import { madeMotif } from "./made/list";
import { articleOf, kindName } from "./motifKinds";
import { MotifPicker } from "./motifPicker";
import { NestedMotifs } from "./nestedList";
import { NestedPicker } from "./nestedPicker";
import { PlaceNumbers } from "./placeNumbers";
import { useMotifMaker } from "./useMotifMaker";

interface MotifSectionProps {
  readonly part: string;
  readonly motif: Motif;
  readonly cutouts: readonly Motif[];
}

/** What is repeated. */
export const MotifSection = memo(function MotifSection({ part, motif, cutouts }: MotifSectionProps) {
  const { begin, fileChooser } = useMotifMaker();
  const Words = MOTIF_SENTENCES[motif.kind];
  const Panel = madeMotif(motif.kind)?.Panel;
  const name = kindName(motif.kind);
  return (
    <section aria-label="Motif">
      <FieldsProvider part={part} owner="motif" stored={motif} table={motifOf(motif.kind)?.fields ?? {}}>
        <Sentence>
          {articleOf(name)}
          <MotifPicker
            onPick={(kind) => (kind !== motif.kind || kind === "svg") && begin(kind, part)}
            trigger={
              <OpeningWord label={`motif: ${name}`} bold>
                {articleOf(name) === "" ? capital(name) : name}
              </OpeningWord>
            }
          />{" "}
          {Words && <Words />}
          {motif.kind === "compound" && <CombinedPanel part={part} motif={motif} />}{" "}
          {!Panel && <MotifStand part={part} />}
        </Sentence>
        {Panel && <Panel />}
      </FieldsProvider>
      <Cutouts part={part} cutouts={cutouts} />
      {Panel && (
        <Sentence>
          <MotifStand part={part} />
        </Sentence>
      )}
      <Offers>
        <MotifPlace part={part} at={motif.at} />
        <MotifActions part={part} motif={motif} cut={cutouts.length > 0} />
      </Offers>
      {fileChooser}
    </section>
  );
});

function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}

const OPERATION_WORDS: Readonly<Record<Operation, string>> = {
  union: "united",
  difference: "the first less the others",
  intersection: "where all overlap",
  exclusive: "where they do not overlap",
};

/** How the shapes are combined, and each of them. */
function CombinedPanel({ part, motif }: { part: string; motif: Motif }) {
  const { edit } = useEditing();
  const op = OPERATIONS.find((known) => known === motif.op) ?? "union";
  const members = storedMembers(motif);
  return (
    <>
      of {members.length} shapes,{" "}
      <Choice
        label="combined"
        value={op}
        choices={OPERATIONS.map((value) => ({ value, words: OPERATION_WORDS[value] }))}
        onChange={(next) =>
          edit(setField(part, "motif", "op", next === "union" ? undefined : next, OPERATION_WORDS[next]))
        }
      />
      :
      <NestedMotifs part={part} list="members" motifs={members} />
      <NestedPicker
        part={part}
        adds="members"
        onPick={(shape) => edit(addNested(part, "members", shape))}
        trigger={<WordButton>another shape …</WordButton>}
      />
      <WordButton onClick={() => edit(takeApart(part))}>take apart</WordButton>
    </>
  );
}

/** What can be done with a motif as a whole: combined with others, or made plain. */
function MotifActions({ part, motif, cut }: { part: string; motif: Motif; cut: boolean }) {
  const { edit } = useEditing();
  const { assistant } = usePicture("assistant");
  const design = useDesign();
  const bake = async () => {
    const outline = await assistant.motifOutline(design, part);
    if (outline === null) toast.error("It cannot be baked before what is wrong with it is put right.");
    else edit(bakeMotif(part, pathOfData(outline)));
  };
  // A ready shape is as large as the motif; another part stands where it stands.
  const stamped = (shape: Motif): Motif => (shape.kind === "part" ? shape : { ...shape, at: { size: 0.3 } });
  return (
    <>
      <NestedPicker
        part={part}
        adds="cutouts"
        onPick={(shape) => edit(addNested(part, "cutouts", stamped(shape)))}
        trigger={<WordButton>{cut ? "cut another …" : "cut a shape out …"}</WordButton>}
      />
      {motif.kind !== "compound" && motif.kind !== "svg" && (
        <NestedPicker
          part={part}
          onPick={(shape) => edit(combineWith(part, shape))}
          trigger={<WordButton>combine with …</WordButton>}
        />
      )}
      {motif.kind !== "drawn" && (
        <WordButton
          title="Its outline becomes nodes you can edit one by one; what is cut from it stays live. Undo brings the numbers back"
          onClick={() => void bake()}
        >
          bake into nodes
        </WordButton>
      )}
    </>
  );
}

/** Shapes taken from the motif before anything is repeated. */
function Cutouts({ part, cutouts }: { part: string; cutouts: readonly Motif[] }) {
  if (cutouts.length === 0) return null;
  return (
    <>
      <p className="text-[15px] text-quiet">Cut from it:</p>
      <NestedMotifs part={part} list="cutouts" motifs={cutouts} />
    </>
  );
}

const STAND_WORDS: Readonly<Record<StandsBy, string>> = {
  own: "where it was drawn from",
  foot: "by its foot",
  middle: "by its middle",
};

/** By what of it the motif stands at its place; its own origin is called by where that is. */
function MotifStand({ part }: { part: string }) {
  const { edit } = useEditing();
  const { report } = usePicture("report");
  const standsBy = useDesk(({ history }) => history.design.parts.find(({ id }) => id === part)?.standsBy ?? "own");
  const chosen = report?.chosen?.id === part ? report.chosen : null;
  const own = chosen?.ownStand ?? "own";
  const choices = STANDS_BY.filter((by) => by === "own" || by !== own);
  return (
    <>
      It stands{" "}
      <Choice
        label="stands by"
        value={standsBy === own ? "own" : standsBy}
        choices={choices.map((value) => ({ value, words: STAND_WORDS[value === "own" ? own : value] }))}
        onChange={(next) => edit(standBy(part, next, STAND_WORDS[next === "own" ? own : next]))}
      />
      .{" "}
    </>
  );
}

/** Where the motif is set before any rule; folded while it stands as it comes. */
function MotifPlace({ part, at }: { part: string; at: Motif["at"] }) {
  const { edit } = useEditing();
  const set = (key: keyof PlaceValue, value: NumberValue | undefined, change: string, gesture?: string) =>
    edit(
      partEdit(
        part,
        `motif ${change}`,
        (draft) => {
          const place = { ...draft.motif.at };
          if (value === undefined || value === PLACE_DEFAULT[key]) delete place[key];
          else place[key] = value;
          if (Object.keys(place).length > 0) draft.motif.at = place;
          else delete draft.motif.at;
        },
        gesture && `${part}/motif-${key}/${gesture}`,
      ),
    );
  return (
    <Folded about="move, turn or size it" said={at !== undefined}>
      Set <PlaceNumbers place={at ?? {}} label="motif" onSet={set} />.
    </Folded>
  );
}
