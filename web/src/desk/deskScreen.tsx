import { lazy, Suspense, useCallback, useEffect, useState } from "react";
import { useQuery } from "@tanstack/react-query";
import { Link, useMatch, useParams } from "react-router";
import { ApiError, messageOf } from "@/api/http";
import { DeskProvider, useDesk, useDeskStore } from "@/store/deskStore";
import { startSaving } from "@/store/saving";
import { GiveUpProvider } from "@/ui/useDrag";
import { Waiting } from "@/ui/waiting";
import { WORKSHOPS } from "@/workshop/workshops";
import { BottomStrip } from "./bottom/bottomStrip";
import { ReadingColumn } from "./column/readingColumn";
import { ConflictDialog } from "./conflictDialog";
import type { HeldLook } from "@/store/hand";
import { HELD_KEYS } from "./heldKeys";
import { bindKeys } from "./historyKeys";
import { SHORTCUTS } from "./keys";
import { KeysDialog } from "./keysDialog";
import { loadDesk } from "./loadDesk";
import { ViewSwitch } from "./viewSwitch";
import { PictureProvider, usePictureStore } from "./stage/pictureContext";
import { Stage } from "./stage/stage";
import { WalkReplay } from "./stage/walk/walkReplay";
import { ShelfDrawer } from "./shelf/shelfDrawer";
import { TakingProvider } from "./shelf/taking";
import { PartsStrip } from "./strips/partsStrip";
import { TopStrip } from "./strips/topStrip";
import { isElsewhere, isTyping } from "./keyTargets";
import { useClipboard } from "./useClipboard";
import { useFocusKept } from "./useFocusKept";
import { useOtherWindows } from "./useOtherWindows";

/** The screen where a design is made. */
export default function DeskScreen() {
  const { id = "" } = useParams();
  const loading = useQuery({
    queryKey: ["desk", id],
    queryFn: () => loadDesk(id),
    // A desk is live: it is laid anew each time it is opened, and never under the hand.
    staleTime: Infinity,
    gcTime: 0,
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
    retry: (failures, error) => failures < 2 && !(error instanceof ApiError && error.status === 404),
  });
  if (loading.isPending) return <Waiting what="Opening the design" />;
  if (loading.isError) return <NotOpened reason={messageOf(loading.error)} />;
  return (
    <DeskProvider value={loading.data}>
      <GiveUpProvider value={loading.data.getState().giveUp}>
        <PictureProvider>
          <Opened />
        </PictureProvider>
      </GiveUpProvider>
    </DeskProvider>
  );
}

const PrintWorkshop = lazy(() => import("@/workshop/print/printWorkshop"));
const CutWorkshop = lazy(() => import("@/workshop/cut/cutWorkshop"));
const StitchWorkshop = lazy(() => import("@/workshop/stitch/stitchWorkshop"));
const SolidWorkshop = lazy(() => import("@/workshop/solid/solidWorkshop"));

const CompareScreen = lazy(() => import("@/compare/compareScreen"));

const SCREENS = {
  print: <PrintWorkshop />,
  cut: <CutWorkshop />,
  stitch: <StitchWorkshop />,
  solid: <SolidWorkshop />,
} as const;

/** The desk, or a workshop: both are about the same opened design, and nothing of it is lost on the way. */
function Opened() {
  const store = useDeskStore();
  useEffect(() => startSaving(store), [store]);
  useOtherWindows();
  const kind = useMatch("/designs/:id/:workshop")?.params.workshop;
  const workshop = WORKSHOPS.find((known) => known.kind === kind);
  return (
    <>
      {kind === "compare" ? (
        <Suspense fallback={<Waiting what="Laying them side by side" />}>
          <CompareScreen />
        </Suspense>
      ) : workshop ? (
        <Suspense fallback={<Waiting what="Opening the workshop" />}>{SCREENS[workshop.kind]}</Suspense>
      ) : (
        <Desk />
      )}
      <ConflictDialog />
    </>
  );
}

function Desk() {
  const name = useDesk((state) => state.history.design.name);
  const [keysShown, setKeysShown] = useState(false);
  useEffect(() => {
    document.title = `${name || "Untitled"} · Twin Petal`;
    return () => {
      document.title = "Twin Petal";
    };
  }, [name]);
  const showKeys = useCallback(() => setKeysShown(true), []);
  useKeys(showKeys);
  useHeldKeys();
  useFocusKept();
  useClipboard();
  return (
    <TakingProvider>
      <div className="flex h-full min-w-[1024px] flex-col">
        <TopStrip onKeys={showKeys} />
        <main className="flex min-h-0 flex-1">
          <PartsStrip />
          <ReadingColumn />
          <div className="flex min-w-0 flex-1 flex-col">
            <Middle />
            <WalkReplay />
            <BottomStrip />
          </div>
          <ShelfDrawer />
        </main>
        <KeysDialog open={keysShown} onClose={() => setKeysShown(false)} />
      </div>
    </TakingProvider>
  );
}

const SolidStage = lazy(() => import("./solidStage"));

/** The sheet, or the solid in its place. */
function Middle() {
  const isSolid = useDesk((state) => state.hand.solid);
  return (
    <div className="relative flex min-h-0 flex-1 flex-col">
      {isSolid ? (
        <Suspense fallback={<Waiting what="Standing it up" />}>
          <SolidStage />
        </Suspense>
      ) : (
        <Stage />
      )}
      <ViewSwitch />
    </div>
  );
}

/** Binds the shortcuts. */
function useKeys(showKeys: () => void): void {
  const store = useDeskStore();
  const picture = usePictureStore();
  useEffect(() => bindKeys(SHORTCUTS, { store, picture, showKeys }), [store, picture, showKeys]);
}

/** Other ways of seeing the ornament, as long as their keys are held. */
function useHeldKeys(): void {
  const store = useDeskStore();
  useEffect(() => {
    const hold = (held: HeldLook | null) => {
      if (store.getState().hand.held !== held) store.getState().setHand({ held });
    };
    const onKeyDown = (event: KeyboardEvent) => {
      const look = HELD_KEYS.find(({ key }) => key === event.key.toLowerCase());
      if (!look || event.ctrlKey || event.metaKey || event.altKey || isTyping(event) || isElsewhere(event)) return;
      event.preventDefault();
      hold(look.look);
    };
    const onKeyUp = (event: KeyboardEvent) => {
      if (HELD_KEYS.some(({ key }) => key === event.key.toLowerCase())) hold(null);
    };
    const release = () => hold(null);
    window.addEventListener("keydown", onKeyDown);
    window.addEventListener("keyup", onKeyUp);
    window.addEventListener("blur", release);
    return () => {
      window.removeEventListener("keydown", onKeyDown);
      window.removeEventListener("keyup", onKeyUp);
      window.removeEventListener("blur", release);
    };
  }, [store]);
}

function NotOpened({ reason }: { reason: string }) {
  return (
    <main className="grid h-full place-content-center gap-3 text-center">
      <h1 className="text-2xl font-bold">The design was not opened</h1>
      <p role="alert" className="max-w-prose text-failed">
        {reason}
      </p>
      <p>
        <Link className="font-medium text-live underline" to="/">
          To the wall
        </Link>
      </p>
    </main>
  );
}
