import { figure } from "../../figures";
import type { SolidCheckLabel } from "./definition";

/** How much it is. */
export const amount: SolidCheckLabel = {
  kind: "amount",
  name: "Amount",
  words: ({ figures: { volume, area, mass } }) =>
    `${figure((volume ?? 0) / 1000, 2)} cm³, surface ${figure((area ?? 0) / 100, 1)} cm², ${figure(mass, 1)} g all filled`,
};
