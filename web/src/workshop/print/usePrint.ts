import { useEffect, useState } from "react";
import type { Design } from "@twin-petal/core";
import { messageOf } from "@/api/http";
import type { ShownPrint } from "@/workers/printWork";
import { startPrintWork } from "@/workers/start";

/** The hand rests this long before pages are made, milliseconds. */
const REST = 200;
/** Dots an inch of the pages on the screen. */
const DPI = 72;

/** A design's pages, live. */
export interface Print {
  /** The last that were laid out; they stay in view while the next are made. */
  readonly shown: ShownPrint | null;
  /** The address of the sheet's picture, its bleed with it. */
  readonly picture: string | null;
  /** Whether all of it is of the design as it is. */
  readonly isCurrent: boolean;
  /** What went wrong, in words. */
  readonly trouble: string | null;
}

interface PrintState extends Pick<Print, "shown" | "picture" | "trouble"> {
  readonly of: Design | null;
}

const NOTHING: PrintState = { shown: null, picture: null, trouble: null, of: null };

/** Lays a design on pages in a worker whenever the hand rests, and makes a picture of it. */
export function usePrint(design: Design): Print {
  const [state, setState] = useState(NOTHING);
  const [{ work, end }] = useState(startPrintWork);
  useEffect(() => end, [end]);
  useEffect(() => {
    let isOver = false;
    const begin = async () => {
      try {
        const shown = await work.layOut(design);
        const picture = await work.picture(DPI);
        if (!isOver) setState({ shown, picture: picture && URL.createObjectURL(picture), trouble: null, of: design });
      } catch (error) {
        if (!isOver) setState((known) => ({ ...known, trouble: messageOf(error) }));
      }
    };
    const timer = window.setTimeout(() => void begin(), REST);
    return () => {
      isOver = true;
      window.clearTimeout(timer);
    };
  }, [design, work]);
  const { picture } = state;
  useEffect(() => () => void (picture !== null && URL.revokeObjectURL(picture)), [picture]);
  return { ...state, isCurrent: state.of === design };
}
