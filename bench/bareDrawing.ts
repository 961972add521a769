import type { Page } from "@playwright/test";
import { buildScene, pathData, type Design } from "@twin-petal/core";
import type { Lab } from "./lab";

/** A page that draws a design's outlines at the desk's size, and nothing else. */
export async function openBareDrawing({ browser, yardstick }: Lab, desk: Page, design: Design): Promise<Page> {
  const box = await desk.locator("#sheet").boundingBox();
  const bare = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await bare.goto(yardstick);
  const geometry = buildScene(design).parts[0]?.geometry;
  if (!geometry || !box) throw new Error("nothing to draw");
  const scale = (Math.min(box.width, box.height) - 72) / 400;
  await bare.evaluate((job) => window.prepare(job), {
    width: box.width,
    height: box.height,
    scale,
    outline: pathData(geometry.path),
    matrices: Array.from(geometry.placements.matrices),
    color: "#1E6F5C",
  });
  return bare;
}
