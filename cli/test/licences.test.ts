import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { expect, test } from "@jest/globals";

test("the page of licences lists what is installed, and every licence is told", () => {
  const { status, stderr } = spawnSync(process.execPath, ["scripts/licences.mjs", "--check"], { encoding: "utf8" });
  expect([status, stderr]).toEqual([0, ""]);
  const page = readFileSync("docs/licences.md", "utf8");
  expect(page).not.toContain("not told");
  const fonts = /## Fonts(.*)## Packages/s.exec(page)?.[1] ?? "";
  expect(fonts.match(/OFL-1\.1/g)).toHaveLength(7);
  for (const needed of ["express", "react", "manifold-3d", "clipper2-wasm"]) expect(page).toContain(`| ${needed} `);
});
