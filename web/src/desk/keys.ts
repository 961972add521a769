import { hasSolids } from "@twin-petal/core";
import { zoomed, panned } from "@/paint/view";
import type { DeskStore } from "@/store/deskStore";
import { groupOf, groupParts, ungroup } from "@/store/edits/groups";
import { duplicatePart } from "@/store/edits/parts";
import { duplicateSeveral } from "@/store/edits/several";
import { HISTORY_KEYS, type Shortcut } from "./historyKeys";
import { stepFor } from "./bottom/neighbourValues";
import type { usePictureStore } from "./stage/pictureContext";
import type { Look } from "./stage/useCloseUpView";
import { TOOL_WORDS } from "./stage/toolStrip";

/** What keys act on. */
interface KeyTargets {
  readonly store: DeskStore;
  readonly picture: ReturnType<typeof usePictureStore>;
  showKeys: () => void;
}

const PAN = 48;
const ZOOM = 1.25;

/** What the keys look about in: the close-up while it has the large place. */
const large = ({ store, picture }: KeyTargets): Look => {
  const shown = picture.getState();
  return store.getState().hand.swapped && shown.closeUp.view ? shown.closeUp : shown;
};

const zoom = (factor: number) => (targets: KeyTargets) => {
  const { size, setView } = large(targets);
  if (size) setView((view) => zoomed(view, size, factor, { x: size.width / 2, y: size.height / 2 }));
};

const pan = (x: number, y: number) => (targets: KeyTargets) =>
  large(targets).setView((view) => panned(view, x * PAN, y * PAN));

/** Sets the number at hand to the neighbour so many steps on. */
const neighbour =
  (steps: number) =>
  ({ store }: KeyTargets) => {
    const { atHand } = store.getState();
    if (atHand?.kind === "number") {
      const next = atHand.value + steps * stepFor(atHand);
      if (next >= atHand.min && next <= atHand.max) atHand.set(Number(next.toFixed(6)));
    } else if (atHand) {
      const at = atHand.choices.findIndex(({ value }) => value === atHand.value);
      const choice = atHand.choices[at + steps];
      if (choice) atHand.set(choice.value);
    }
  };

const press = (id: string) => (): void => {
  const button = document.getElementById(id);
  button?.focus();
  // Menus open on the key itself; a click on their button would not be heard.
  button?.dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true }));
};

const click = (id: string) => (): void => document.getElementById(id)?.click();

/** Chooses the part so many places further up the stack. */
const chooseBy =
  (places: number) =>
  ({ store }: KeyTargets) => {
    const { history, chosen, choose } = store.getState();
    const { parts } = history.design;
    const next = parts[parts.findIndex(({ id }) => id === chosen) + places];
    if (next) choose(next.id);
  };

const LAYERS = {
  look: "sheet",
  nodes: "node-layer",
  draw: "draw-layer",
  freehand: "freehand-layer",
  measure: "measure-layer",
} as const;

/** Frames a layer may take to appear. */
const PATIENCE = 60;

/** Where keys that went there meanwhile are left. */
const KEEPS_KEYS = "[role=menu], [role=dialog], input, textarea";

/** Gives the keys to something that appears with one of the next frames, unless they are wanted elsewhere by then. */
function focusWhenThere(id: string, frames = PATIENCE): void {
  requestAnimationFrame(() => {
    if (document.activeElement?.closest(KEEPS_KEYS)) return;
    const target = document.getElementById(id);
    if (target) target.focus();
    else if (frames > 0) focusWhenThere(id, frames - 1);
  });
}

export const SHORTCUTS: readonly Shortcut<KeyTargets>[] = [
  ...HISTORY_KEYS,
  { keys: "n", shown: "N", words: "Add a part", act: press("add-part") },
  { keys: "u", shown: "U", words: "Add a rule", act: press("add-rule") },
  ...TOOL_WORDS.map(({ tool, key, name }): Shortcut<KeyTargets> => ({
    keys: key,
    shown: key,
    words: `Take up: ${name.toLowerCase()}`,
    act: ({ store }) => {
      store.getState().setHand({ tool });
      focusWhenThere(LAYERS[tool]);
    },
  })),
  {
    keys: "x",
    shown: "X",
    words: "Swap the close-up and the sheet",
    act: ({ store }) => store.getState().setHand({ swapped: !store.getState().hand.swapped }),
  },
  {
    keys: "d",
    shown: "D",
    words: "Show the solid, or the sheet",
    act({ store }) {
      const { hand, history, setHand } = store.getState();
      if (hand.solid || hasSolids(history.design)) setHand({ solid: !hand.solid });
    },
  },
  {
    keys: "w",
    shown: "W",
    words: "Show the sheet as it is sewn, or as it is painted",
    act({ store }) {
      const { hand, setHand } = store.getState();
      setHand({ thread: !hand.thread, solid: false });
    },
  },
  {
    keys: "a",
    shown: "A",
    words: "Say everything in words, or only what is set",
    act: ({ store }) => store.getState().setHand({ sayAll: !store.getState().hand.sayAll }),
  },
  {
    keys: "$mod+d",
    shown: "Ctrl D",
    words: "Double the chosen parts, beside themselves",
    act({ store }) {
      const { history, chosen, also, edit, choose, chooseTogether } = store.getState();
      const part = history.design.parts.find(({ id }) => id === chosen);
      if (!part) return;
      if (also.length > 0) {
        const copies = duplicateSeveral(history.design, [part.id, ...also]);
        edit(copies.edit);
        return chooseTogether(copies.ids);
      }
      const copy = duplicatePart(history.design, part);
      edit(copy.edit);
      choose(copy.id);
    },
  },
  {
    keys: "g",
    shown: "G",
    words: "Group the chosen parts, or ungroup them",
    act({ store }) {
      const { history, chosen, also, edit } = store.getState();
      if (chosen === null || also.length === 0) return;
      const ids = [chosen, ...also];
      const group = groupOf(history.design, ids);
      edit(group ? ungroup(group) : groupParts(history.design, ids).edit);
    },
  },
  { keys: "$mod+a", shown: "Ctrl A", words: "Choose all parts", act: ({ store }) => store.getState().chooseAll() },
  { keys: "t", shown: "T", words: "Takes: states that are kept", act: click("takes") },
  {
    keys: "h",
    shown: "H",
    words: "The shelf: what is kept to be used again",
    act: ({ store }) => store.getState().setHand({ shelf: !store.getState().hand.shelf }),
  },
  { keys: "PageUp", shown: "Page up", words: "Choose the part above", act: chooseBy(1) },
  { keys: "PageDown", shown: "Page down", words: "Choose the part below", act: chooseBy(-1) },
  { keys: "k", shown: "K and J", words: "The next neighbour, the one before", act: neighbour(1) },
  { keys: "j", shown: "", words: "", act: neighbour(-1) },
  { keys: "+", shown: "+", words: "Zoom in", act: zoom(ZOOM) },
  { keys: "Shift++", shown: "", words: "", act: zoom(ZOOM) },
  { keys: "-", shown: "−", words: "Zoom out", act: zoom(1 / ZOOM) },
  { keys: "0", shown: "0", words: "Show the sheet whole", act: (targets) => large(targets).fit() },
  { keys: "ArrowLeft", shown: "Arrows", words: "Move the view", act: pan(1, 0) },
  { keys: "ArrowRight", shown: "", words: "", act: pan(-1, 0) },
  { keys: "ArrowUp", shown: "", words: "", act: pan(0, 1) },
  { keys: "ArrowDown", shown: "", words: "", act: pan(0, -1) },
  { keys: "Shift+?", shown: "?", words: "Show the keys", act: ({ showKeys }) => showKeys() },
];

/** What the browser itself binds to keys. */
export const CLIPBOARD_KEYS: readonly { shown: string; words: string }[] = [
  { shown: "Ctrl C, X, V", words: "Copy, cut, paste parts, between designs too; paste an SVG" },
  { shown: "Ctrl V among rules", words: "Paste only the rules, or in the finish only that" },
];

/** How nodes answer to keys while the tool for them is in hand. */
export const NODE_KEYS: readonly { shown: string; words: string }[] = [
  { shown: ". and ,", words: "The next node, the one before" },
  { shown: "Shift . and ,", words: "Choose it as well" },
  { shown: "Alt . and , then Space", words: "Go there; choose it, or let go of it" },
  { shown: "Arrows", words: "Move the chosen nodes" },
  { shown: "M", words: "What can be done to the chosen nodes" },
  { shown: "Ctrl A", words: "Choose all nodes" },
  { shown: "Delete", words: "Remove the chosen nodes" },
  { shown: "Ctrl while pulling", words: "Hold snapping off" },
  { shown: "Space, Enter, C", words: "Drawing: place, end, close" },
  { shown: "=, or a number", words: "Drawing: a place to type, as 12, -30 or 15 at 40" },
];

/** How measuring answers to keys while its tool is in hand. */
export const MEASURE_KEYS: readonly { shown: string; words: string }[] = [
  { shown: "Arrows, Space", words: "Move the point, place it" },
  { shown: "Enter", words: "Leave the measure lying; it follows" },
  { shown: "Escape", words: "Drop it" },
];

/** How a live number answers to keys; it binds them itself. */
export const NUMBER_KEYS: readonly { shown: string; words: string }[] = [
  { shown: "Arrows", words: "One step up or down" },
  { shown: "Shift arrows", words: "Ten steps" },
  { shown: "Alt arrows", words: "A tenth of a step" },
  { shown: "Enter, or type", words: "A value or a formula" },
  { shown: "Delete", words: "Back to the default" },
];
