import { useRef } from "react";
import {
  EMPTY_BOX,
  isEmpty,
  joinBoxes,
  MILLIMETRES_PER,
  type Box,
  type Design,
  type PartGroup,
  type Point,
} from "@twin-petal/core";
import { together } from "@/store/atHand";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import { ALIGNMENTS, alignPart, spreadParts, type Alignment } from "@/store/edits/compose";
import { groupOf, groupParts, renameGroup, repeatGroup, ungroup } from "@/store/edits/groups";
import {
  duplicateSeveral,
  lockSeveral,
  moveSeveral,
  partsWords,
  removeSeveral,
  showSeveral,
  sizeSeveral,
  turnSeveral,
} from "@/store/edits/several";
import { FallingNumber } from "@/ui/fallingNumber";
import { Menu, MenuItem } from "@/ui/menu";
import { NameInput } from "@/ui/nameInput";
import { Offers } from "@/ui/offers";
import { Sentence } from "@/ui/sentence";
import { LENGTH_STEP } from "../fields/boundNumber";
import { useNumbers } from "../fields/useNumbers";
import { WordButton } from "../fields/wordButton";
import { usePicture } from "../stage/pictureContext";
import { ALIGNMENT_WORDS } from "./alignmentWords";

/** Parts are moved no further at once, millimetres. */
const FARTHEST = 10_000;

/** Several chosen parts, and what can be done with them together. */
export function SeveralParts({ ids }: { ids: readonly string[] }) {
  const design = useDesign();
  const { choose, edit } = useDeskStore().getState();
  const chosen = design.parts.filter(({ id }) => ids.includes(id));
  const group = groupOf(design, ids);
  return (
    <section aria-label="Chosen parts" className="flex flex-col gap-2">
      {group ? (
        <h2 className="-mx-1 flex items-baseline text-xl">
          <NameInput label="Name of the group" name={group.name} onRename={(name) => edit(renameGroup(group, name))} />
          <span className="text-[15px] whitespace-nowrap text-quiet">a group of {partsWords(chosen.length)}</span>
        </h2>
      ) : (
        <h2 className="text-xl font-bold">{partsWords(chosen.length)}</h2>
      )}
      <ul className="flex flex-wrap">
        {chosen.map(({ id, name }) => (
          <li key={id}>
            <WordButton title={`Choose only “${name}”`} onClick={() => choose(id)}>
              {name}
            </WordButton>
          </li>
        ))}
      </ul>
      <Placing ids={ids} />
      <Doing ids={ids} />
    </section>
  );
}

interface Begun {
  readonly gesture: string;
  /** The design as it was when the hand took hold, and the middle of the chosen parts then. */
  readonly from: Design;
  readonly middle: Point;
}

/** Moves, turns and sizes them; the numbers fall back, as the change is made. */
function Placing({ ids }: { ids: readonly string[] }) {
  const store = useDeskStore();
  const { painter } = usePicture("painter");
  const numbers = useNumbers();
  const unit = useDesk((state) => state.history.design.sheet.unit);
  const millimetres = MILLIMETRES_PER[unit];
  const begun = useRef<Begun | null>(null);
  /** A pull is counted from where it began; single changes from where the parts are. */
  const change = async (
    gesture: string | undefined,
    make: (from: Design, middle: Point) => ReturnType<typeof moveSeveral>,
  ) => {
    const isPull = gesture !== undefined && !gesture.endsWith("keys");
    if (isPull && begun.current?.gesture === gesture) {
      return store.getState().edit(make(begun.current.from, begun.current.middle));
    }
    const from = store.getState().history.design;
    const middle = middleOf(unionOf(await painter.boxes(), ids));
    if (isPull) begun.current = { gesture, from, middle };
    store.getState().edit(make(isPull ? from : store.getState().history.design, middle));
  };
  const length = { value: 0, unit: ` ${unit}`, step: LENGTH_STEP[unit] };
  const reach = { min: -FARTHEST / millimetres, max: FARTHEST / millimetres };
  return (
    <Sentence>
      <FallingNumber
        label="move them across"
        words="Move them"
        {...length}
        {...reach}
        onSet={(by, _, gesture) =>
          void change(gesture, (from) => moveSeveral(from, ids, { x: by * millimetres, y: 0 }, gesture))
        }
      />{" "}
      across and
      <FallingNumber
        label="move them down"
        words=""
        {...length}
        {...reach}
        onSet={(by, _, gesture) =>
          void change(gesture, (from) => moveSeveral(from, ids, { x: 0, y: by * millimetres }, gesture))
        }
      />{" "}
      down,
      <FallingNumber
        label="turn them"
        words=" turn them"
        {...{ value: 0, unit: "°", step: 1, min: -360, max: 360 }}
        onSet={(by, _, gesture) =>
          void change(gesture, (from, middle) => turnSeveral(from, ids, by, middle, numbers, gesture))
        }
      />{" "}
      and
      <FallingNumber
        label="size them"
        words=" size them by"
        {...{ value: 1, unit: "", step: 0.01, min: 0.01, max: 100 }}
        onSet={(by, _, gesture) =>
          void change(gesture, (from, middle) => sizeSeveral(from, ids, by, middle, numbers, gesture))
        }
      />{" "}
      about their middle.
    </Sentence>
  );
}

/** The box of several parts together, of those that are painted. */
export function unionOf(boxes: ReadonlyMap<string, Box>, ids: readonly string[]): Box {
  return ids.reduce((whole, id) => joinBoxes(whole, boxes.get(id) ?? EMPTY_BOX), EMPTY_BOX);
}

/** The middle of a box; the sheet's where it is empty. */
export function middleOf(box: Box): Point {
  return isEmpty(box) ? { x: 0, y: 0 } : { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
}

/** What is done with them by one word. */
function Doing({ ids }: { ids: readonly string[] }) {
  const store = useDeskStore();
  const { report, painter } = usePicture("report", "painter");
  const design = useDesign();
  const chosen = design.parts.filter(({ id }) => ids.includes(id));
  const group = groupOf(design, ids);
  const { edit, choose, chooseTogether } = store.getState();
  const boxed = async () => {
    const boxes = await painter.boxes();
    const now = store.getState().history.design.parts;
    return now.flatMap((part) => {
      const box = boxes.get(part.id);
      return ids.includes(part.id) && !part.locked && box && !isEmpty(box) ? [{ part, box }] : [];
    });
  };
  const align = async (alignment: Alignment) => {
    const placed = await boxed();
    if (!report || placed.length === 0) return;
    // They are aligned as one: what stands between them stays.
    const whole = placed.reduce((box, one) => joinBoxes(box, one.box), EMPTY_BOX);
    const edits = placed.map(({ part }) => alignPart(part, whole, alignment, report.sheet));
    edit(together(`align ${partsWords(placed.length)}: ${alignment}`, edits));
  };
  const spread = async (way: "across" | "down") => {
    const placed = await boxed();
    if (report) edit(spreadParts(placed, way, report.sheet));
  };
  const double = () => {
    const copies = duplicateSeveral(store.getState().history.design, ids);
    edit(copies.edit);
    chooseTogether(copies.ids);
  };
  const repeat = (whole: PartGroup) => {
    const repeated = repeatGroup(store.getState().history.design, whole);
    edit(repeated.edit);
    choose(repeated.id);
  };
  const isShown = chosen.some(({ visible }) => visible);
  const isLocked = chosen.every(({ locked }) => locked);
  return (
    <Offers>
      {group ? (
        <>
          <WordButton onClick={() => edit(ungroup(group))}>ungroup them</WordButton>
          <WordButton onClick={() => repeat(group)}>repeat the group whole</WordButton>
        </>
      ) : (
        <WordButton onClick={() => edit(groupParts(design, ids).edit)}>group them</WordButton>
      )}
      <Menu trigger={<WordButton>align them …</WordButton>}>
        {ALIGNMENTS.map((alignment) => (
          <MenuItem key={alignment} onSelect={() => void align(alignment)}>
            {ALIGNMENT_WORDS[alignment]}
          </MenuItem>
        ))}
      </Menu>
      {chosen.length > 2 && (
        <>
          <WordButton onClick={() => void spread("across")}>spread them across</WordButton>
          <WordButton onClick={() => void spread("down")}>spread them down</WordButton>
        </>
      )}
      <WordButton onClick={double}>double them</WordButton>
      <WordButton onClick={() => edit(showSeveral(ids, !isShown))}>{isShown ? "hide them" : "show them"}</WordButton>
      <WordButton onClick={() => edit(lockSeveral(ids, !isLocked))}>
        {isLocked ? "unlock them" : "lock them"}
      </WordButton>
      <WordButton onClick={() => edit(removeSeveral(ids))}>remove them</WordButton>
    </Offers>
  );
}
