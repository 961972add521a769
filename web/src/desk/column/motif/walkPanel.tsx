import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Copy, GripVertical, Plus, Repeat, Trash2 } from "lucide-react";
import { STEP_LIMITS, storedSteps, type NumberValue, type WalkStepValue } from "@twin-petal/core";
import { useDesign, useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import {
  moveRow,
  replaceStep,
  rowsOf,
  setStepNumber,
  setSteps,
  stepsOf,
  type StepPlace,
  type WalkRow,
} from "@/store/edits/walk";
import { IconButton } from "@/ui/button";
import { Menu, MenuItem } from "@/ui/menu";
import { Sentence } from "@/ui/sentence";
import { BoundNumber } from "../../fields/boundNumber";
import { useFields } from "../../fields/fieldsContext";
import { WordButton } from "../../fields/wordButton";
import { useLengthReadout } from "../../stage/useLengthReadout";
import { useWalk } from "../../stage/walk/useWalk";

const NEW_STEPS: readonly { readonly name: string; readonly step: WalkStepValue }[] = [
  { name: "go", step: { go: 10 } },
  { name: "turn", step: { turn: 90 } },
  { name: "skip", step: { skip: 10 } },
  { name: "repeat", step: { times: 4, steps: [{ go: 10 }, { turn: 90 }] } },
];

/** A walk as a nested list that is edited where it stands. */
export function WalkPanel() {
  const { part: id } = useFields();
  const part = useDesign().parts.find((known) => known.id === id);
  const { edit } = useEditing();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  if (!part) return null;
  const steps = storedSteps(part.motif);
  const rows = rowsOf(steps);
  const change = (next: readonly WalkStepValue[], label: string, gesture?: string) =>
    edit(setSteps(id, next, label, gesture && `${id}/walk/${gesture}`));
  return (
    <>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          if (over) change(stepsOf(moveRow(rows, Number(active.id), Number(over.id))), "move a step");
        }}
      >
        <SortableContext items={rows.map((_, index) => String(index))} strategy={verticalListSortingStrategy}>
          <ol aria-label="Steps of the walk" className="my-1">
            {rows.map((row, index) => (
              <StepRow key={index} id={index} row={row} steps={steps} change={change} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <AddStep add={(step, name) => change([...steps, step], `add a ${name}`)} label="Add a step" />
      <WalkEndPanel />
    </>
  );
}

function AddStep({ add, label }: { add: (step: WalkStepValue, name: string) => void; label: string }) {
  return (
    <Menu
      trigger={
        <button
          type="button"
          className="inline-flex items-center gap-1 rounded border border-dashed border-quiet px-1.5 text-[14px] text-quiet hover:text-words"
        >
          <Plus size={13} /> {label}
        </button>
      }
    >
      {NEW_STEPS.map(({ name, step }) => (
        <MenuItem key={name} onSelect={() => add(step, name)}>
          {name}
        </MenuItem>
      ))}
    </Menu>
  );
}

interface StepRowProps {
  readonly id: number;
  readonly row: WalkRow;
  readonly steps: readonly WalkStepValue[];
  change: (next: readonly WalkStepValue[], label: string, gesture?: string) => void;
}

function StepRow({ id, row, steps, change }: StepRowProps) {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition } = useSortable({
    id: String(id),
    disabled: row.kind === "foot" ? { draggable: true } : {},
  });
  const lit = useLit(row.place);
  const style = { transform: CSS.Translate.toString(transform), transition, paddingLeft: row.depth * 14 };
  if (row.kind === "foot") {
    return (
      <li ref={setNodeRef} style={style} className="flex h-6 items-center">
        <span className="ml-5 border-l-2 border-hairline pl-2">
          <AddStep
            label="into the repeat"
            add={(step, name) =>
              change(
                replaceStep(steps, row.place, (repeat) => [intoRepeat(repeat, step)]),
                `add a ${name}`,
              )
            }
          />
        </span>
      </li>
    );
  }
  const { step, place } = row;
  return (
    <li
      ref={setNodeRef}
      style={style}
      data-lit={lit ? "yes" : "no"}
      className="group flex items-center rounded data-[lit=yes]:bg-live-ground"
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move step ${id + 1}`}
        className="grid size-6 shrink-0 cursor-grab touch-none place-items-center rounded text-quiet hover:text-words"
      >
        <GripVertical size={14} />
      </button>
      <div className="min-w-0 flex-1">
        <StepSentence
          step={step}
          place={place}
          onSet={(value, label, gesture) =>
            change(
              replaceStep(steps, place, (old) => [setStepNumber(old, value)]),
              label,
              gesture && `${place.join(".")}/${gesture}`,
            )
          }
        />
      </div>
      <IconButton
        label={`Repeat step ${id + 1}`}
        className="size-6"
        onClick={() =>
          change(
            replaceStep(steps, place, (old) => [{ times: 2, steps: [old] }]),
            "repeat a step",
          )
        }
      >
        <Repeat size={13} />
      </IconButton>
      <IconButton
        label={`Duplicate step ${id + 1}`}
        className="size-6"
        onClick={() =>
          change(
            replaceStep(steps, place, (old) => [old, old]),
            "duplicate a step",
          )
        }
      >
        <Copy size={13} />
      </IconButton>
      <IconButton
        label={`Remove step ${id + 1}`}
        className="size-6"
        onClick={() =>
          change(
            replaceStep(steps, place, () => []),
            "remove a step",
          )
        }
      >
        <Trash2 size={13} />
      </IconButton>
    </li>
  );
}

function intoRepeat(repeat: WalkStepValue, step: WalkStepValue): WalkStepValue {
  return "steps" in repeat ? { ...repeat, steps: [...repeat.steps, step] } : repeat;
}

/** Whether the replay is at a step, or inside the repeat a row stands for. */
function useLit(place: StepPlace): boolean {
  const walk = useWalk();
  return walk?.step ? place.every((index, level) => walk.step?.place[level] === index) : false;
}

interface StepSentenceProps {
  readonly step: WalkStepValue;
  readonly place: StepPlace;
  onSet: (value: NumberValue, label: string, gesture?: string) => void;
}

function StepSentence({ step, place, onSet }: StepSentenceProps) {
  const walk = useWalk();
  const round = walk?.step?.rounds[place.length - 1];
  const number = (
    label: "go" | "turn" | "skip" | "times",
    stored: NumberValue,
    quantity: "length" | "angle" | "count",
  ) => (
    <BoundNumber
      label={label}
      stored={stored}
      standard={label === "times" ? 2 : 10}
      quantity={quantity}
      limits={STEP_LIMITS[label]}
      step={1}
      onSet={(value, change, gesture) => onSet(value ?? (label === "times" ? 2 : 10), change, gesture)}
    />
  );
  return (
    <Sentence>
      {"go" in step && <>go {number("go", step.go, "length")}</>}
      {"turn" in step && <>turn {number("turn", step.turn, "angle")}</>}
      {"skip" in step && <>skip {number("skip", step.skip, "length")}</>}
      {"times" in step && (
        <>
          <b>{number("times", step.times, "count")} times</b>
          {round && isLitRound(walk, place) && <span className="font-mono text-[13px] text-live"> {round.round}</span>}
        </>
      )}
    </Sentence>
  );
}

function isLitRound(walk: ReturnType<typeof useWalk>, place: StepPlace): boolean {
  return place.every((index, level) => walk?.step?.place[level] === index);
}

/** How far the walk misses closing, and its replay. */
function WalkEndPanel() {
  const walk = useWalk();
  const { words } = useLengthReadout();
  const walked = useDesk((state) => state.hand.walked);
  const { setHand } = useDeskStore().getState();
  if (!walk) return null;
  const { gap, turned } = walk.end;
  return (
    <p className="mt-1 text-[15px] leading-snug text-quiet">
      {walk.count.toLocaleString("en")} steps.{" "}
      {gap < 1e-6 ? (
        <span className="text-good">✓ it closes</span>
      ) : (
        <span className="text-doubtful">△ it misses closing by {words(Number(gap.toPrecision(4)))}</span>
      )}
      {Math.abs(turned) > 1e-9 && <>, heading {Number(turned.toFixed(3))}° off</>}
      <WordButton onClick={() => setHand({ walked: walked === null ? 0 : null })}>
        {walked === null ? "watch it walk" : "stop watching"}
      </WordButton>
    </p>
  );
}
