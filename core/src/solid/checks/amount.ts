import { defineCheck } from "./definition";

/** How much it is: its volume, its surface, and what it weighs all filled. */
export const amount = defineCheck({
  kind: "amount",
  check({ solid, making: { density } }) {
    const volume = solid.volume();
    // Grams a cubic centimetre, of cubic millimetres.
    return {
      state: "passed",
      figures: { volume, area: solid.surfaceArea(), mass: (volume / 1000) * density },
      places: [],
    };
  },
});
