import { unwaited } from "@/api/unwaited";
import { useCallback, useDeferredValue, useEffect, useRef, useState, type DragEvent } from "react";
import { Archive, FilePlus2, Library, Trash2, Upload } from "lucide-react";
import type { Order } from "@/api/designs";
import { messageOf } from "@/api/http";
import { sendLeftBehind } from "@/store/sendLeftBehind";
import { Button, ButtonLink } from "@/ui/button";
import { Mark } from "@/ui/mark";
import { ProgressChip } from "@/ui/progressChip";
import { SearchBox } from "@/ui/searchBox";
import { Dialog } from "@/ui/dialog";
import { DesignGrid } from "./designGrid";
import { UndecidedDialog } from "./undecidedDialog";
import { useImport } from "./useImport";
import { useDesigns, useWallActions } from "./useWall";

/** A window that was closed as the wall was opened may be held to be open for so long, milliseconds. */
const CLOSING = 3_000;

/** All designs as pictures. */
export function WallScreen() {
  const [search, setSearch] = useState("");
  const [sort, setSort] = useState<Order>("changed");
  const [bin, setBin] = useState(false);
  const [dropping, setDropping] = useState(false);
  const chooser = useRef<HTMLInputElement>(null);
  const wanted = useDeferredValue(search.trim());
  const list = useDesigns({ search: wanted, sort, bin });
  const actions = useWallActions();
  const designs = list.data?.pages.flatMap((page) => page.designs) ?? [];
  const unreadable = list.data?.pages[0]?.unreadable ?? [];

  const { hasNextPage, isFetchingNextPage, fetchNextPage } = list;
  const fetchMore = useCallback(() => {
    if (hasNextPage && !isFetchingNextPage) unwaited(fetchNextPage());
  }, [hasNextPage, isFetchingNextPage, fetchNextPage]);

  const { refresh } = actions;
  useEffect(() => {
    const send = () => void sendLeftBehind().then(refresh);
    send();
    const timer = window.setTimeout(send, CLOSING);
    return () => window.clearTimeout(timer);
  }, [refresh]);

  const { coming, refused, undecided, take, choose, forget } = useImport(() => {
    setBin(false);
    unwaited(actions.refresh());
  });
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setDropping(false);
    unwaited(take([...event.dataTransfer.files]));
  };

  return (
    <div
      className="flex min-h-full flex-col"
      onDragOver={(event) => {
        event.preventDefault();
        setDropping(true);
      }}
      onDragLeave={(event) => event.currentTarget === event.target && setDropping(false)}
      onDrop={drop}
    >
      <header className="sticky top-0 z-10 border-b border-hairline bg-surface">
        <div className="mx-auto flex max-w-6xl flex-wrap items-center gap-3 px-6 py-3">
          <h1 className="mr-auto flex items-center gap-2 text-xl font-bold">
            <Mark size={28} /> Twin Petal
          </h1>
          <SearchBox label="Search designs" value={search} onChange={setSearch} />
          <label className="flex items-center gap-1.5 text-quiet">
            in order of
            <select
              value={sort}
              onChange={(event) => setSort(event.target.value === "name" ? "name" : "changed")}
              className="h-8 rounded-md border border-hairline bg-surface px-1.5 text-words"
            >
              <option value="changed">last change</option>
              <option value="name">name</option>
            </select>
          </label>
          <Button
            look="quiet"
            aria-pressed={bin}
            onClick={() => setBin(!bin)}
            className="aria-pressed:bg-page aria-pressed:text-words"
          >
            <Trash2 size={16} /> Bin
          </Button>
          <ButtonLink look="quiet" to="/shelf">
            <Library size={16} aria-hidden="true" /> Shelf
          </ButtonLink>
          <Button onClick={() => chooser.current?.click()}>
            <Upload size={16} /> Open files
          </Button>
          <input
            ref={chooser}
            type="file"
            multiple
            accept=".json,.svg,.zip"
            hidden
            aria-label="Files to open"
            onChange={(event) => {
              unwaited(take([...(event.target.files ?? [])]));
              event.target.value = "";
            }}
          />
          <a
            href="/api/keep"
            download
            title="Every design with its takes, and the shelf, as one zip"
            className="inline-flex h-8 items-center gap-1.5 rounded-md px-3 font-medium whitespace-nowrap text-quiet hover:bg-page hover:text-words"
          >
            <Archive size={16} aria-hidden="true" /> Keep everything
          </a>
          <ButtonLink look="main" to="/new">
            <FilePlus2 size={16} aria-hidden="true" /> New design
          </ButtonLink>
        </div>
      </header>
      <main className="mx-auto w-full max-w-6xl flex-1 px-6 py-6">
        {list.isError && (
          <p role="alert" className="rounded-md border border-failed bg-surface p-4 text-failed">
            The designs could not be read: {messageOf(list.error)}{" "}
            <button type="button" className="underline" onClick={() => void list.refetch()}>
              Try again
            </button>
          </p>
        )}
        {unreadable.length > 0 && (
          <p role="alert" className="mb-4 rounded-md border border-failed bg-surface p-3">
            {unreadable.length === 1 ? "One design is" : `${unreadable.length} designs are`} not shown: something else
            has written numbers into the database that no design has ({unreadable.slice(0, 5).join(", ")}). The others
            are whole.
          </p>
        )}
        {bin && <p className="mb-4 text-quiet">In the bin. Bring back what you still need.</p>}
        <DesignGrid designs={designs} binned={bin} actions={actions} onEnd={fetchMore} />
        {list.isSuccess && designs.length === 0 && <Nothing search={wanted} bin={bin} />}
      </main>
      {dropping && (
        <div className="pointer-events-none fixed inset-3 z-30 grid place-items-center rounded-md border-2 border-dashed border-live bg-surface/85 text-xl font-bold">
          Let go to open the files as designs
        </div>
      )}
      {coming && (
        <div role="status" className="fixed right-4 bottom-4 z-30 shadow-floating">
          <ProgressChip
            label={`Bringing ${coming.file.name}`}
            share={coming.of > 0 ? coming.done / coming.of : 0}
            words={
              coming.of > 0
                ? `${coming.file.name}: design ${coming.done + 1} of ${coming.of}`
                : `${coming.file.name} is being read`
            }
            onStop={coming.stop}
          />
        </div>
      )}
      {undecided && (
        <UndecidedDialog
          undecided={undecided}
          onTakeOut={actions.restore}
          onChosen={(choices) => unwaited(choose(choices))}
        />
      )}
      <Dialog title="Not opened" open={refused.length > 0} onClose={forget}>
        {refused.map(({ file, reasons }) => (
          <section key={file} className="mt-2">
            <h3 className="font-bold">{file}</h3>
            <ul className="list-disc pl-5">
              {reasons.map((reason) => (
                <li key={reason}>{reason}</li>
              ))}
            </ul>
          </section>
        ))}
        <p className="mt-3 text-quiet">
          Twin Petal opens design files (.petal.json), SVG files it has written and the zip of everything. Nothing else
          was changed.
        </p>
      </Dialog>
    </div>
  );
}

function Nothing({ search, bin }: { search: string; bin: boolean }) {
  if (search !== "")
    return <p className="py-16 text-center text-quiet">No design is called anything like “{search}”.</p>;
  if (bin) return <p className="py-16 text-center text-quiet">The bin is empty.</p>;
  return (
    <p className="py-16 text-center text-lg">
      Nothing hangs here yet. Begin with <b>New design</b>: an empty sheet, or one of the examples.
    </p>
  );
}
