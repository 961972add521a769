import { readFileSync } from "node:fs";
import { unzipSync } from "fflate";
import { Maker } from "./making";
import { expect, test } from "./server";

test("the build-up is kept as an SVG that plays and as numbered pictures, as long and as large as asked", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.open("towel-leaf-ring");
  await page.getByRole("tab", { name: "Build-up" }).click();
  await page.getByRole("button", { name: "as a film" }).click();
  const panel = page.getByRole("dialog", { name: "Film of the build-up" });
  await desk.type("seconds of the film", "nothing");
  await expect(panel.getByRole("alert")).toContainText("must be a number from 1 to 100");
  await page.keyboard.press("Escape");
  await desk.type("seconds of the film", "2");
  await desk.type("pixels of the film", "90");
  const taken = async (button: string) => {
    const [file] = await Promise.all([
      page.waitForEvent("download"),
      panel.getByRole("button", { name: button }).click(),
    ]);
    return { name: file.suggestedFilename(), data: readFileSync(await file.path()) };
  };
  const film = await taken("One SVG that plays");
  expect(film.name).toBe("Towel leaf ring.film.svg");
  const pictures = await taken("Pictures");
  expect(pictures.name).toBe("Towel leaf ring.film.zip");
  expect(Object.keys(unzipSync(pictures.data))).toHaveLength(75);

  // The browser plays it: fewer leaves at first, all of them in the end, and from the beginning again.
  await page.setContent(film.data.toString("utf8").replace(/^<\?xml[^>]*>/, ""));
  const seenAt = (seconds: number) =>
    page.evaluate((time) => {
      const svg = document.querySelector("svg");
      svg?.pauseAnimations();
      svg?.setCurrentTime(time);
      return [...document.querySelectorAll("use")].filter((use) => use.getBoundingClientRect().width > 0).length;
    }, seconds);
  expect(await seenAt(0.01)).toBe(1);
  const half = await seenAt(1);
  expect(half).toBeGreaterThan(3);
  expect(half).toBeLessThan(7);
  expect(await seenAt(3)).toBe(9);
  expect(await seenAt(3.51)).toBe(1);
});
