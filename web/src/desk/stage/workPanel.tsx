import { unwaited } from "@/api/unwaited";
import { proxy } from "comlink";
import { useEffect, useState } from "react";
import { useDesk, useDeskStore } from "@/store/deskStore";
import { Button } from "@/ui/button";
import { usePicture } from "./pictureContext";

/** Work that takes longer than this is told, milliseconds. */
const TELL_AFTER = 300;

/** What is being computed when it takes long or cannot be, and a way to stop it: the last change is then undone. */
export function WorkPanel() {
  const { painter, currency, failing, restart } = usePicture("painter", "currency", "failing", "restart");
  const isFailing = useDesk(
    ({ history, opened, hand: { held } }) => failing === (held === "before" ? opened : history.design),
  );
  const store = useDeskStore();
  const [part, setPart] = useState("");
  const [long, setLong] = useState(false);
  useEffect(() => {
    unwaited(painter.watchWork(proxy((name: string) => setPart(name))));
  }, [painter]);
  useEffect(() => {
    let timer = 0;
    const stop = currency.watch((current) => {
      if (current) {
        window.clearTimeout(timer);
        timer = 0;
        setLong(false);
      } else if (timer === 0) timer = window.setTimeout(() => setLong(true), TELL_AFTER);
    });
    return () => {
      stop();
      window.clearTimeout(timer);
    };
  }, [currency]);
  if (!long && !isFailing) return null;
  const { history, undo } = store.getState();
  const name = part === "" ? "It" : `“${part}”`;
  const last = history.past.at(-1)?.label;
  return (
    <div
      role={isFailing ? "alert" : "status"}
      className="absolute bottom-3 left-1/2 z-20 flex -translate-x-1/2 items-center gap-2 rounded-md border border-hairline bg-surface px-3 py-1.5 text-[15px] shadow-floating"
    >
      {isFailing ? (
        <span className="text-failed">✕ {name} comes to more than this browser gives; the last picture stays.</span>
      ) : (
        <>
          <span className="size-2 animate-pulse rounded-full bg-live motion-reduce:animate-none" aria-hidden="true" />
          {part === "" ? "Computing" : `Computing “${part}”`} …
        </>
      )}
      {last !== undefined && (
        <Button
          className="h-7 px-2 text-[15px]"
          title={isFailing ? `Undoes: ${last}` : `Stops, and undoes: ${last}`}
          onClick={() => {
            undo();
            restart();
          }}
        >
          {isFailing ? "Undo" : "Stop and undo"}
        </Button>
      )}
    </div>
  );
}
