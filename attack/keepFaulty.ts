import { mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { inRepository } from "../server/src/settings";
import type { Tried } from "./tried";

/** Puts aside what went wrong, to be looked at: one file each. */
export function keepFaulty(done: readonly Tried[]): void {
  const folder = inRepository("attack/dist/faulty");
  for (const { name, trial, faults } of done) {
    if (faults.length === 0) continue;
    mkdirSync(folder, { recursive: true });
    const [text, ending] = "svg" in trial ? [trial.svg, "svg"] : [trial.design, "petal.json"];
    writeFileSync(join(folder, `${name.replaceAll(" ", "-")}.${ending}`), text);
  }
}
