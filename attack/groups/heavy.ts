import { COSTLY } from "../heavy/costly";
import type { HeavyCase } from "../heavy/heavyCase";
import { JUST_UNDER } from "../heavy/justUnder";
import { reported, type Reported } from "../reported";
import { tried } from "../tried";

/** What a design within the limits may take to be made here. */
const WITHIN = { seconds: 60, computed: 20, files: 20, megabytes: 1_500 };

/** Designs that cost too much are refused in words; those just within the limits are made in time. */
export async function heavy(): Promise<Reported[]> {
  const [over, under] = [COSTLY.map(trialOf), JUST_UNDER.map(trialOf)];
  return [
    reported("costly designs: refused or made", await tried(over, WITHIN)),
    reported("designs just within the limits", await tried(under, WITHIN), ({ made }) => made),
  ];
}

function trialOf({ name, design, as, dpi }: HeavyCase) {
  const options = dpi === undefined ? {} : { dpi };
  return { name, trial: { design: JSON.stringify(design), as, picture: false, options } };
}
