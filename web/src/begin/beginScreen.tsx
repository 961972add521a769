import { useEffect, useState, type ReactNode } from "react";
import { Link } from "react-router";
import { emptyDesign, onSheet, toFile, type SheetSize } from "@twin-petal/core";
import { OwnArtist } from "@/shelf/artist";
import { PiecePicture } from "@/shelf/piecePicture";
import { readPiece, useShelf } from "@/shelf/useShelf";
import { Mark } from "@/ui/mark";
import { useRested } from "@/ui/useRested";
import { ChoiceCard } from "./choiceCard";
import { EXAMPLES } from "./examples";
import { SheetPicture } from "./sheetPicture";
import { SizeSentence } from "./sizeSentence";
import { STARTERS } from "./starters";
import { useBegin } from "./useBegin";

const SQUARE: SheetSize = { width: 200, height: 200, unit: "mm" };
/** A size rests this long before the pictures are painted anew, milliseconds. */
const REST = 200;

/** Where a design begins: an empty sheet, a starter, what is on the shelf, an example. */
export default function BeginScreen() {
  const [size, setSize] = useState(SQUARE);
  const rested = useRested(size, REST);
  useEffect(() => {
    document.title = "New design · Twin Petal";
    return () => {
      document.title = "Twin Petal";
    };
  }, []);
  const begin = useBegin();
  const choose = (make: () => unknown) => () => begin.mutate(make);
  const empty = emptyDesign("Untitled");
  return (
    <div className="flex min-h-full flex-col">
      <header className="sticky top-0 z-10 border-b border-hairline bg-surface">
        <div className="mx-auto flex max-w-6xl flex-wrap items-center gap-x-6 gap-y-1 px-6 py-2">
          <Link to="/" aria-label="To the wall" title="To the wall" className="rounded-md p-1 hover:bg-page">
            <Mark />
          </Link>
          <h1 className="text-xl font-bold">New design</h1>
          <SizeSentence size={size} onChange={setSize} />
        </div>
      </header>
      <main className="mx-auto w-full max-w-6xl flex-1 px-6 pb-8">
        <OwnArtist>
          <Choices words="Begin with" about="every number and colour of it is yours to change">
            <ChoiceCard
              name="Empty sheet"
              words="The motif first."
              disabled={begin.isPending}
              picture={<SheetPicture name="empty" design={onSheet(empty, rested)} size={rested} />}
              onChoose={choose(() => toFile(onSheet(empty, size)))}
            />
            {STARTERS.map(({ key, design }) => (
              <ChoiceCard
                key={key}
                name={design.name}
                words={design.notes}
                disabled={begin.isPending}
                picture={<SheetPicture name={key} design={onSheet(design, rested)} size={rested} />}
                onChoose={choose(() => toFile({ ...onSheet(design, size), notes: "" }))}
              />
            ))}
          </Choices>
          <FromShelf size={size} choose={choose} disabled={begin.isPending} />
        </OwnArtist>
        <Choices words="Examples" about="from Brinewick Baths, on their own sheets">
          {EXAMPLES.map(({ name, picture, load }) => (
            <ChoiceCard
              key={name}
              name={name}
              disabled={begin.isPending}
              picture={
                <img
                  src={picture}
                  alt=""
                  loading="lazy"
                  className="absolute inset-0 m-auto max-h-full max-w-full border border-hairline bg-white"
                />
              }
              onChoose={choose(load)}
            />
          ))}
        </Choices>
      </main>
    </div>
  );
}

/** Choices of one kind beside each other. */
function Choices({ words, about, children }: { words: string; about: string; children: ReactNode }) {
  return (
    <section aria-label={words} className="mt-5">
      <h2 className="mb-2 text-lg font-bold">
        {words} <span className="text-[15px] font-normal text-quiet">{about}</span>
      </h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(170px,1fr))] gap-3">{children}</ul>
    </section>
  );
}

interface FromShelfProps {
  readonly size: SheetSize;
  readonly disabled: boolean;
  choose: (make: () => unknown) => () => void;
}

/** What is kept to be used again, each on a sheet by itself. */
function FromShelf({ size, disabled, choose }: FromShelfProps) {
  const { pieces } = useShelf();
  const listed = pieces.data ?? [];
  if (listed.length === 0) return null;
  return (
    <Choices words="From the shelf" about="as large as it was">
      {listed.map((piece) => (
        <ChoiceCard
          key={piece.id}
          name={piece.name}
          disabled={disabled}
          picture={
            <span className="absolute inset-0 m-auto block size-36 bg-page">
              <PiecePicture piece={piece} />
            </span>
          }
          onChoose={choose(async () => {
            const { design } = await readPiece(piece.id, piece.kind);
            return toFile({ ...design, sheet: { ...design.sheet, ...size } });
          })}
        />
      ))}
    </Choices>
  );
}
