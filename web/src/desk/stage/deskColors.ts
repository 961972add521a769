import { useEffect, useState } from "react";
import type { DeskColors } from "@/paint/paintScene";

function read(): DeskColors {
  const style = getComputedStyle(document.documentElement);
  return { page: style.getPropertyValue("--page"), hairline: style.getPropertyValue("--hairline") };
}

/** The colours of the page as the stylesheet has them now; they follow the system's light or dark. */
export function useDeskColors(): DeskColors {
  const [colors, setColors] = useState(read);
  useEffect(() => {
    const dark = window.matchMedia("(prefers-color-scheme: dark)");
    const update = () => setColors(read());
    dark.addEventListener("change", update);
    return () => dark.removeEventListener("change", update);
  }, []);
  return colors;
}
