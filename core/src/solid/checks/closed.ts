import { at } from "../../geometry/at";
import { openEdges } from "../openEdges";
import { defineCheck, MOST_PLACES } from "./definition";

/** Whether every edge has a face on either side. */
export const closed = defineCheck({
  kind: "closed",
  check({ whole }) {
    const { positions } = whole;
    const open = openEdges(whole);
    const places = Array.from({ length: Math.min(MOST_PLACES, open.length / 2) }, (_, edge) => {
      const [a, b] = [at(open, edge * 2) * 3, at(open, edge * 2 + 1) * 3];
      const middle = (axis: number) => (at(positions, a + axis) + at(positions, b + axis)) / 2;
      return { x: middle(0), y: middle(1), z: middle(2) };
    });
    return { state: open.length === 0 ? "passed" : "failed", figures: { open: open.length / 2 }, places };
  },
});
