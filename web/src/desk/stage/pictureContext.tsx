import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import type { Remote } from "comlink";
import { useDesign, useDesk } from "@/store/deskStore";
import { fitted, type Size, type View } from "@/paint/view";
import { resolveDesign } from "@twin-petal/core";
import { startPainter } from "@/workers/start";
import type { FrameReport } from "@/workers/frame";
import type { Painter } from "@/workers/painter";
import { useDeskColors } from "./deskColors";

/** Pixels left free around a sheet that is shown whole. */
const ROOM = 36;

/** The picture in the middle of the desk: what paints it, what it shows, and what was told about it. */
interface Picture {
  readonly painter: Remote<Painter>;
  readonly report: FrameReport | null;
  readonly view: View | null;
  readonly size: Size | null;
  setView(change: (view: View) => View): void;
  setSize(size: Size): void;
  /** Shows the sheet whole. */
  fit(): void;
}

const PictureContext = createContext<Picture | null>(null);

export function usePicture(): Picture {
  const picture = useContext(PictureContext);
  if (!picture) throw new Error("this belongs on a desk");
  return picture;
}

/** Keeps the picture up to date: one frame asked for at most each time the screen is drawn. */
export function PictureProvider({ children }: { children: ReactNode }) {
  const design = useDesign();
  const chosen = useDesk((state) => state.chosen);
  const colors = useDeskColors();
  const [started] = useState(startPainter);
  const [report, setReport] = useState<FrameReport | null>(null);
  const [view, setViewState] = useState<View | null>(null);
  const [size, setSize] = useState<Size | null>(null);
  const { painter, end } = started;
  useEffect(() => end, [end]);

  const sheet = useRef({ width: 1, height: 1 });
  sheet.current = resolveDesign(design).sheet;
  const fit = useCallback(() => {
    if (!size) return;
    const { width, height } = sheet.current;
    const box = { left: -width / 2, top: -height / 2, right: width / 2, bottom: height / 2 };
    setViewState(fitted(box, size, ROOM));
  }, [size]);
  useEffect(() => {
    if (size && !view) fit();
  }, [size, view, fit]);

  useEffect(() => {
    if (!view || !size) return;
    const density = window.devicePixelRatio;
    const request = requestAnimationFrame(() => {
      void painter.show({ design, view, size, density, colors, chosen }).then((next) => next && setReport(next));
    });
    return () => cancelAnimationFrame(request);
  }, [painter, design, chosen, view, size, colors]);

  const setView = useCallback((change: (view: View) => View) => {
    setViewState((current) => current && change(current));
  }, []);
  const picture = useMemo(
    () => ({ painter, report, view, size, setView, setSize, fit }),
    [painter, report, view, size, setView, fit],
  );
  return <PictureContext value={picture}>{children}</PictureContext>;
}
