import { useEffect, useState, type RefObject } from "react";
import type { Size } from "@/paint/view";

/** An element's size in CSS pixels, followed as it changes; null before it is known. */
export function useElementSize(element: RefObject<Element | null>): Size | null {
  const [size, setSize] = useState<Size | null>(null);
  useEffect(() => {
    const target = element.current;
    if (!target) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(target);
    return () => observer.disconnect();
  }, [element]);
  return size;
}
