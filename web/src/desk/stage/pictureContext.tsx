import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from "react";
import type { Remote } from "comlink";
import { createStore, useStore, type StoreApi } from "zustand";
import { useShallow } from "zustand/react/shallow";
import { useSheet } from "@/store/useMaking";
import { useDesk, useDeskStore, useDesign, type DeskState } from "@/store/deskStore";
import { fitted, type Size, type View } from "@/paint/view";
import type { Design } from "@twin-petal/core";
import { WorkerEnded } from "@/workers/started";
import { startAssistant } from "@/workers/start";
import type { FrameReport } from "@/workers/frame";
import type { Assistant } from "@/workers/assistant";
import type { Painter } from "@/workers/painter";
import { PictureQueue } from "../live/pictureQueue";
import { Freshness } from "./freshness";
import { useDeskColors } from "./deskColors";
import { useCloseUpView, type Look } from "./useCloseUpView";
import { usePainter } from "./usePainter";

/** Pixels left free around a sheet that is shown whole. */
const ROOM = 36;
/** The hand rests when nothing changes for so long, milliseconds. */
const REST = 250;

/** The picture in the middle of the desk: what paints it, what it shows, and what was told about it. */
interface Picture {
  readonly painter: Remote<Painter>;
  readonly assistant: Remote<Assistant>;
  /** Small pictures of what the design could be. */
  readonly pictures: PictureQueue;
  readonly report: FrameReport | null;
  /** Whether the report is about the design as it now is. */
  readonly isCurrent: boolean;
  readonly currency: Freshness;
  readonly view: View | null;
  readonly size: Size | null;
  setView: (change: (view: View) => View) => void;
  setSize: (size: Size) => void;
  /** Says whether the picture is seen; one that is not follows when the hand rests. */
  setSeen: (isSeen: boolean) => void;
  /** Shows the sheet whole. */
  fit: () => void;
  /** What is seen of the motif in its close-up. */
  readonly closeUp: Look;
  /** The design that is not tried again, since painters have ended under it; null for none. */
  readonly failing: Design | null;
  /** Ends the painter in the middle of its work and starts another. */
  restart: () => void;
}

const PictureContext = createContext<StoreApi<Picture> | null>(null);

/** The picture as it is at any moment; redraws nothing. */
export function usePictureStore(): StoreApi<Picture> {
  const store = useContext(PictureContext);
  if (!store) throw new Error("this belongs on a desk");
  return store;
}

/** Those of the picture's members that are named: who asks is drawn anew when one of them changes. */
export function usePicture<K extends keyof Picture>(...names: readonly K[]): Pick<Picture, K> {
  const store = usePictureStore();
  useStore(
    store,
    useShallow((picture: Picture) => names.map((name) => picture[name])),
  );
  return store.getState();
}

/** What is seen in the large place: the sheet, or the close-up that has changed places with it. */
export function useLargeView(): Look {
  const picture = usePicture("closeUp", "view", "size", "setView", "setSize", "fit");
  const swapped = useDesk((state) => state.hand.swapped);
  return swapped && picture.closeUp.view ? picture.closeUp : picture;
}

/** Keeps the picture up to date. Every change asks for a frame at once; the painter drops those overtaken. */
export function PictureProvider({ children }: { children: ReactNode }) {
  const design = useDesign();
  const colors = useDeskColors();
  const [currency] = useState(() => new Freshness());
  const { painter, endings, failing, restart } = usePainter(currency);
  const [{ work: assistant, end: endAssistant }] = useState(startAssistant);
  const [pictures] = useState(() => new PictureQueue(assistant, currency));
  const [latest, setLatest] = useState<{ report: FrameReport; design: Design } | null>(null);
  /** The view the hand has made; null while the sheet is shown whole, whatever its size. */
  const [ownView, setOwnView] = useState<View | null>(null);
  const [size, setSize] = useState<Size | null>(null);
  const [isSeen, setSeen] = useState(true);
  /** How many frames were asked for. */
  const asked = useRef(0);
  useEffect(() => endAssistant, [endAssistant]);

  const { width, height } = useSheet(design);
  const whole = useMemo(() => size && wholeSheet(width, height, size), [width, height, size]);
  const view = ownView ?? whole;
  const fit = useCallback(() => setOwnView(null), []);

  // A change goes to the painter as it is made, before the words and handles are drawn anew: both go on at once.
  const store = useDeskStore();
  useEffect(() => {
    if (!view || !size) return;
    const density = window.devicePixelRatio;
    const ask = ({ history: { design }, chosen, opened, hand: { copy, built, held, thread } }: DeskState) => {
      currency.set(false);
      const turn = ++asked.current;
      const before = held === "before";
      const shown = before ? opened : design;
      if (!endings.isTried(shown)) return;
      endings.ask(shown);
      const frame = { view, size, density, colors, chosen, copy, built, held: before ? null : held, thread };
      painter.show({ design: shown, ...frame }).then(
        (report) => {
          if (!report) return;
          const now = store.getState();
          currency.set(turn === asked.current && now.history.design === design && now.hand.held === held);
          if (!before) setLatest({ report, design });
        },
        // Another painter is asked as soon as there is one.
        (error: unknown) => error instanceof WorkerEnded || console.error(error),
      );
    };
    ask(store.getState());
    let timer = 0;
    const askLater = (state: DeskState) => {
      currency.set(false);
      window.clearTimeout(timer);
      timer = window.setTimeout(() => ask(state), REST);
    };
    const forget = store.subscribe((state, before) => {
      const same =
        state.history.design === before.history.design &&
        state.chosen === before.chosen &&
        state.hand.copy === before.hand.copy &&
        state.hand.built === before.hand.built &&
        state.hand.thread === before.hand.thread &&
        state.hand.held === before.hand.held;
      if (!same) (isSeen ? ask : askLater)(state);
    });
    return () => {
      window.clearTimeout(timer);
      forget();
    };
  }, [painter, endings, store, currency, view, size, colors, isSeen]);

  const setView = useCallback(
    (change: (view: View) => View) => setOwnView((current) => (whole ? change(current ?? whole) : current)),
    [whole],
  );
  const report = latest?.report ?? null;
  const isCurrent = latest?.design === design;
  const closeUp = useCloseUpView(report?.chosen);
  const picture = {
    ...{ painter, assistant, pictures, report, isCurrent, currency, view, size },
    ...{ setView, setSize, setSeen, fit, closeUp, failing, restart },
  };
  const [shared] = useState(() => createStore<Picture>(() => picture));
  useLayoutEffect(() => shared.setState(picture));
  return <PictureContext value={shared}>{children}</PictureContext>;
}

function wholeSheet(width: number, height: number, size: Size): View {
  return fitted({ left: -width / 2, top: -height / 2, right: width / 2, bottom: height / 2 }, size, ROOM);
}
