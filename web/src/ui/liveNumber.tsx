import { useEffect, useId, useLayoutEffect, useRef, useState, type KeyboardEvent } from "react";
import { useTroubleNotes } from "./sentence";
import { coarseness, quantised } from "./stepping";
import { useDrag } from "./useDrag";
import { useWheelSteps } from "./wheelSteps";

/** What a typed text turned out to be. */
export type Typed = { readonly ok: true } | { readonly trouble: string };

interface LiveNumberProps {
  /** The word it goes by: "count". */
  readonly label: string;
  /** Its value as shown, in `unit`. */
  readonly value: number;
  /** What is typed when it is clicked: the number or its formula. */
  readonly text: string;
  readonly unit?: string;
  readonly step: number;
  readonly min: number;
  readonly max: number;
  readonly whole: boolean;
  /** The formula it comes from, shown before it. */
  readonly formula?: string | undefined;
  /** A formula other than a single name cannot be pulled, only typed. */
  readonly pullable: boolean;
  /** Follows from other numbers until it is set. */
  readonly follows?: boolean;
  /** What is wrong with it as it stands. */
  readonly trouble?: string | null;
  /** Sets a value by hand; one gesture is one step of undo. */
  onChange: (value: number, gesture: string) => void;
  /** Takes a typed text; what is wrong is told and the text kept. */
  onType: (text: string) => Typed;
  onDefault: () => void;
  /** It is taken to hand: focused, pulled or turned. */
  onTouched?: () => void;
}

const PIXELS_A_STEP = 5;
const DOUBLE_CLICK = 400;

/** A number in a sentence: pulled sideways, turned by the wheel or the arrow keys, or typed. */
export function LiveNumber(props: LiveNumberProps) {
  const { label, value, text, unit = "", step, min, max, whole, formula, pullable, follows, trouble } = props;
  const { note } = useTroubleNotes();
  const [typing, setTyping] = useState<string | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const id = useId();
  const element = useRef<HTMLSpanElement>(null);
  const opened = useRef(0);
  /** Whether the focus comes back to it as soon as typing has ended. */
  const returns = useRef(false);
  /** A number was typed and taken: single keys are the desk's again, until it is turned to anew. */
  const taken = useRef(false);
  /** Whether typing began with a digit of its own, which the next ones go on from. */
  const begun = useRef(false);
  const shownTrouble = refused ?? trouble ?? null;

  useEffect(() => {
    note(label, shownTrouble);
    return () => note(label, null);
  }, [note, label, shownTrouble]);

  // At once, not a frame later: by then the hand may be elsewhere.
  useLayoutEffect(() => {
    if (typing !== null || !returns.current) return;
    returns.current = false;
    element.current?.focus();
  }, [typing]);

  const set = (next: number, gesture: string, fineness = 1) => {
    const bounded = Math.min(max, Math.max(min, quantised(next, step, fineness, whole)));
    if (bounded !== value) props.onChange(bounded, gesture);
  };
  useWheelSteps(element, (steps, fineness, gesture) => {
    props.onTouched?.();
    if (pullable) set(value + steps * step, gesture, fineness);
  });

  const open = (first = text) => {
    opened.current = Date.now();
    begun.current = first !== text;
    setTyping(first);
  };
  const close = (focus: boolean) => {
    setTyping(null);
    setRefused(null);
    returns.current = focus;
  };
  const finish = (focus: boolean) => {
    if (typing === null) return;
    if (typing.trim() === text) return close(focus);
    if (typing.trim() === "") {
      // Left empty by the way, nothing was meant by it.
      return focus ? setRefused("type a number, or Delete on the number itself for its default") : close(false);
    }
    const outcome = props.onType(typing.trim());
    if ("trouble" in outcome) return setRefused(outcome.trouble);
    taken.current = true;
    close(focus);
  };

  const onKeyDown = (event: KeyboardEvent) => {
    if (taken.current && /^[\d.(=-]$/.test(event.key)) return;
    taken.current = false;
    const direction = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (direction !== undefined && pullable) {
      event.preventDefault();
      event.stopPropagation();
      const { times, fineness } = coarseness(event);
      set(value + direction * times * step, `${id}-keys`, fineness);
    } else if (event.key === "Enter" || event.key === "F2") {
      event.preventDefault();
      open();
    } else if (event.key === "Backspace" || event.key === "Delete") {
      event.preventDefault();
      event.stopPropagation();
      props.onDefault();
    } else if (/^[\d.(=-]$/.test(event.key) && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      event.stopPropagation();
      open(event.key === "=" ? "" : event.key);
    }
  };
  const drag = useDrag<{ exact: number }>({
    grasp() {
      props.onTouched?.();
      return { exact: value };
    },
    onMove(pulled, { from, before, to, gesture }) {
      if (!pullable) return;
      // The further from the start up or down, the finer: every 80 pixels halve the pace.
      const fineness = 2 ** -Math.floor(Math.abs(to.y - from.y) / 80);
      pulled.exact += ((to.x - before.x) / PIXELS_A_STEP) * step * fineness;
      set(pulled.exact, gesture, fineness < 1 ? 0.1 : 1);
    },
    onEnd: (_, moved) => !moved && open(),
    isShared: true,
  });

  if (typing !== null) {
    return (
      <input
        aria-label={label}
        aria-invalid={refused !== null}
        autoFocus
        value={typing}
        onFocus={({ target }) => (begun.current ? target.setSelectionRange(99, 99) : target.select())}
        onChange={(event) => {
          setTyping(event.target.value);
          setRefused(null);
        }}
        onPointerDown={() => {
          if (Date.now() - opened.current > DOUBLE_CLICK) return;
          props.onDefault();
          close(true);
        }}
        onBlur={() => finish(false)}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === "Enter") finish(true);
          if (event.key === "Escape") close(true);
        }}
        size={Math.max(4, typing.length)}
        className="rounded bg-live-ground px-1 font-mono text-[14px] text-live outline-2 outline-live aria-invalid:outline-failed"
      />
    );
  }
  return (
    <span
      ref={element}
      role="spinbutton"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={value}
      aria-valuetext={`${shown(value)}${unit}${formula ? `, from ${formula}` : ""}`}
      aria-invalid={shownTrouble !== null}
      title={hintOf(pullable, formula, follows)}
      onFocus={props.onTouched}
      onBlur={() => (taken.current = false)}
      onKeyDown={onKeyDown}
      {...drag}
      className={`touch-none rounded px-0.5 font-mono text-[14px] select-none hover:bg-live-ground aria-invalid:decoration-wavy ${
        formula === undefined ? "whitespace-nowrap" : "wrap-anywhere"
      } ${
        follows ? "text-quiet" : "text-live"
      } ${pullable ? "cursor-ew-resize" : "cursor-text"} underline decoration-dotted decoration-1 underline-offset-[5px]`}
    >
      {formula !== undefined && <span>{formula} = </span>}
      {shown(value)}
      <span className={unit.startsWith(" ") ? "text-[12px] text-quiet" : ""}>{unit}</span>
    </span>
  );
}

function shown(value: number): string {
  return String(Number(value.toFixed(4)));
}

function hintOf(pullable: boolean, formula: string | undefined, follows: boolean | undefined): string {
  if (!pullable) return `Follows the formula ${formula ?? ""}. Click to change it.`;
  if (follows) return "Follows from the other numbers. Pull, turn the wheel or type to set it by hand.";
  return "Pull sideways, turn the wheel, use the arrow keys, or click to type a value or a formula.";
}
