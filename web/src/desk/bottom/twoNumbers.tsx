import { useMemo } from "react";
import { X } from "lucide-react";
import { together, type NumberAtHand } from "@/store/atHand";
import { rehearsed, useDesign, useDeskStore } from "@/store/deskStore";
import { Bitmap } from "@/ui/bitmap";
import { IconButton } from "@/ui/button";
import { useRested } from "@/ui/useRested";
import { pixelsOf, useLivePictures } from "../live/useLivePictures";
import { stepFor, valuesAround } from "./neighbourValues";

const SIDE = 5;
const PICTURE = { width: 84, height: 64 } as const;
const REST = 150;

interface TwoNumbersProps {
  readonly down: NumberAtHand;
  readonly across: NumberAtHand;
  onClose: () => void;
}

/** A sheet of pictures over two numbers; a chosen one sets both in one step. */
export function TwoNumbers({ down, across, onClose }: TwoNumbersProps) {
  const store = useDeskStore();
  const design = useDesign();
  const rested = useRested(
    useMemo(() => ({ down, across, design }), [down, across, design]),
    REST,
  );
  const rows = valuesAround(down, SIDE, stepFor(down));
  const columns = valuesAround(across, SIDE, stepFor(across));
  const wanted = useMemo(() => {
    const { down: first, across: second } = rested;
    return valuesAround(first, SIDE, stepFor(first)).flatMap((row) =>
      valuesAround(second, SIDE, stepFor(second)).map((column) => ({
        key: `${row}/${column}`,
        design: rehearsed(store, setBoth(first, row, second, column)),
      })),
    );
  }, [rested, store]);
  const pictures = useLivePictures(wanted, rested.design, PICTURE);
  const choose = (row: number, column: number) => {
    const { rehearse, edit } = store.getState();
    const label = `${down.label} ${down.show(row)}, ${across.label} ${across.show(column)}`;
    edit(together(label, rehearse(setBoth(down, row, across, column))));
    onClose();
  };
  return (
    <section
      aria-label={`${down.label} and ${across.label}`}
      className="absolute right-3 bottom-full z-20 mb-2 max-h-[70vh] overflow-auto rounded-md border border-hairline bg-surface p-3 shadow-floating"
    >
      <div className="mb-1 flex items-center gap-3">
        <p className="text-[15px]">
          <b>{down.label}</b> down, <b>{across.label}</b> across
        </p>
        <IconButton label="Close the sheet of pictures" className="ml-auto size-7" onClick={onClose}>
          <X size={15} />
        </IconButton>
      </div>
      <table className="border-separate border-spacing-1 text-[12.5px]">
        <thead>
          <tr>
            <td />
            {columns.map((column) => (
              <th key={column} scope="col" className="font-mono font-normal text-quiet">
                {across.show(column)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row}>
              <th scope="row" className="pr-1 text-right font-mono font-normal text-quiet">
                {down.show(row)}
              </th>
              {columns.map((column) => (
                <td key={column}>
                  <button
                    type="button"
                    aria-label={`${down.label} ${down.show(row)}, ${across.label} ${across.show(column)}`}
                    aria-pressed={row === down.value && column === across.value}
                    onClick={() => choose(row, column)}
                    className="block rounded-md border border-hairline p-px hover:border-quiet aria-pressed:border-words"
                  >
                    <Bitmap
                      picture={pictures.get(`${row}/${column}`)?.bitmap ?? undefined}
                      width={pixelsOf(PICTURE.width)}
                      height={pixelsOf(PICTURE.height)}
                      className="rounded-[4px] bg-page"
                    />
                  </button>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function setBoth(down: NumberAtHand, row: number, across: NumberAtHand, column: number) {
  return () => {
    down.set(row);
    across.set(column);
  };
}
