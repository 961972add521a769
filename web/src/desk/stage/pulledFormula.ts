import { toast } from "sonner";
import { useEditing } from "@/store/deskStore";
import { setNumber } from "@/store/edits/numbers";

/** Pulls a number that is a formula: where it is one named number, that is pulled; otherwise it says what to do. */
export function usePulledFormula() {
  const { edit, now } = useEditing();
  return (label: string, formula: string, value: number, change: string, gesture: string): void => {
    const named = now().numbers.find(({ name }) => name === formula.trim());
    if (typeof named?.value === "number") return edit(setNumber(named.name, value, change, gesture));
    toast(`The ${label} follows the formula ${formula}. Type a number to pull it.`, { id: "formula" });
  };
}
