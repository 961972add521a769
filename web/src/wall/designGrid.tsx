import { useEffect, useRef, useState, type RefObject } from "react";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import type { ListedDesign } from "@/api/designs";
import { CARD_HEIGHT, DesignCard } from "./designCard";
import type { useWallActions } from "./useWall";

/** A card is no narrower than this, CSS pixels. */
const CARD_WIDTH = 240;
const GAP = 20;
/** Rows kept ready beyond what is seen. */
const READY = 3;

interface DesignGridProps {
  readonly designs: readonly ListedDesign[];
  readonly binned: boolean;
  readonly actions: ReturnType<typeof useWallActions>;
  /** Called when the last of them come into view. */
  onEnd: () => void;
}

/** The designs in rows, of which only those in view are there: a wall of thousands scrolls as one of ten. */
export function DesignGrid({ designs, binned, actions, onEnd }: DesignGridProps) {
  const list = useRef<HTMLUListElement>(null);
  const { columns, top } = useLaid(list, binned);
  const rows = Math.ceil(designs.length / columns);
  const virtual = useWindowVirtualizer({
    count: rows,
    estimateSize: () => CARD_HEIGHT,
    gap: GAP,
    overscan: READY,
    scrollMargin: top,
  });
  const shown = virtual.getVirtualItems();
  const isAtEnd = (shown.at(-1)?.index ?? -1) >= rows - 1;
  useEffect(() => {
    if (isAtEnd && rows > 0) onEnd();
  }, [isAtEnd, rows, onEnd]);
  return (
    <ul ref={list} aria-label="Designs" className="relative" style={{ height: virtual.getTotalSize() }}>
      {shown.flatMap(({ index, start }) =>
        designs
          .slice(index * columns, (index + 1) * columns)
          .map((design, column) => (
            <DesignCard
              key={design.id}
              design={design}
              binned={binned}
              actions={actions}
              top={start - top}
              left={`calc(${column} * (100% + ${GAP}px) / ${columns})`}
              width={`calc((100% + ${GAP}px) / ${columns} - ${GAP}px)`}
            />
          )),
      )}
    </ul>
  );
}

/** How many cards stand in a row, and how far down the page the first one does. */
function useLaid(
  list: RefObject<HTMLElement | null>,
  /** What stands above goes by this. */
  above: unknown,
): { readonly columns: number; readonly top: number } {
  const [laid, setLaid] = useState({ columns: 4, top: 0 });
  useEffect(() => {
    const element = list.current;
    if (!element) return;
    const measure = () => {
      const { width, top } = element.getBoundingClientRect();
      const columns = Math.max(1, Math.floor((width + GAP) / (CARD_WIDTH + GAP)));
      const next = { columns, top: Math.round(top + window.scrollY) };
      setLaid((known) => (known.columns === next.columns && known.top === next.top ? known : next));
    };
    const watch = new ResizeObserver(measure);
    watch.observe(element);
    measure();
    return () => watch.disconnect();
  }, [list, above]);
  return laid;
}
