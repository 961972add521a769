import { readFileSync } from "node:fs";
import type { Locator, Page } from "@playwright/test";
import { PNG } from "pngjs";
import { expect, RETRIED } from "./server";

/** The hands of a designer on the desk. */
export class Desk {
  constructor(readonly page: Page) {}

  /** Opens a copy of a demo design, which no other test has touched, and waits for its first picture. */
  async open(demo: string): Promise<void> {
    await this.lay(readFileSync(`demo/${demo}.petal.json`, "utf8"));
  }

  /** Opens a design file's text. */
  async lay(design: string): Promise<void> {
    const answer = await this.page.request.post("/api/designs", {
      headers: { "content-type": "application/json" },
      data: design,
      ...RETRIED,
    });
    await this.page.goto(answer.headers().location?.replace("/api", "") ?? "/");
    await this.ready();
  }

  /** Waits until the picture is of the design, and is seen: word of it comes before it is. */
  async ready(): Promise<void> {
    await this.page.waitForSelector("#sheet[data-painted=yes]");
    await this.page.waitForFunction(hasPicture);
  }

  /** Opens an empty design. */
  async openEmpty(): Promise<void> {
    await this.lay(JSON.stringify({ format: "twin-petal/1", name: "Untitled" }));
    await expect(this.page.getByText("What is to be repeated?")).toBeVisible();
  }

  /** Begins an empty design from the wall. */
  async beginEmpty(): Promise<void> {
    await this.page.goto("/");
    await this.page.getByRole("link", { name: "New design" }).click();
    await this.page.getByRole("button", { name: "Empty sheet" }).click();
    // The first desk on a fresh server comes while every demo design's picture is being made.
    await expect(this.page.getByText("What is to be repeated?")).toBeVisible();
  }

  number(name: string): Locator {
    return this.page.getByRole("spinbutton", { name, exact: true });
  }

  async type(name: string, text: string): Promise<void> {
    await this.number(name).click();
    await this.page.getByRole("textbox", { name, exact: true }).fill(text);
    await this.page.keyboard.press("Enter");
  }

  async addRule(kind: string): Promise<void> {
    await this.page.getByRole("button", { name: "Add a rule" }).click();
    await this.page.getByRole("menuitem", { name: new RegExp(`^${kind}`, "i") }).click();
    // The menu gives the focus on once it has gone: what is focused before that would lose it again.
    await this.page.waitForFunction(
      () => document.activeElement !== document.body && !document.activeElement?.closest("[role=menu]"),
    );
  }

  async saved(): Promise<void> {
    await expect(this.page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  }

  copies(count: string): Locator {
    return this.page.getByText(new RegExp(`^${count} cop(y|ies)$`));
  }

  /** The middle of the sheet, in screen pixels. */
  async middle(): Promise<{ x: number; y: number }> {
    const box = await this.page.locator("#sheet").boundingBox();
    if (!box) throw new Error("the sheet is not shown");
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  }

  /** The picture itself, without what lies over it, once it rests. */
  async picture(): Promise<PNG> {
    await this.ready();
    let [before, picture] = [await this.lastPicture(), await this.lastPicture()];
    while (!before.data.equals(picture.data)) [before, picture] = [picture, await this.lastPicture()];
    return picture;
  }

  /** The same, though it may be of the design as it was. */
  async lastPicture(): Promise<PNG> {
    await this.page.addStyleTag({
      content: "svg[aria-label=Handles], [aria-label='Motif close-up'] { visibility: hidden }",
    });
    const shot = await this.page.locator("#sheet").screenshot();
    await this.page.evaluate(() => document.head.lastElementChild?.remove());
    return PNG.sync.read(shot);
  }

  /** Pulls from a point by so many pixels, in small moves as a hand makes them. */
  async pull(from: { x: number; y: number }, dx: number, dy: number): Promise<void> {
    await this.page.mouse.move(from.x, from.y);
    await this.page.mouse.down();
    await this.page.mouse.move(from.x + dx, from.y + dy, { steps: 5 });
    await this.page.mouse.up();
  }
}

/** Whether the sheet's canvas shows anything; one that a worker has not painted yet is clear all over. In the page. */
function hasPicture(): boolean {
  const canvas = document.querySelector<HTMLCanvasElement>("#sheet canvas");
  const probe = new OffscreenCanvas(1, 1).getContext("2d");
  if (!canvas || !probe || canvas.width < 1 || canvas.height < 1) return false;
  probe.drawImage(canvas, canvas.width / 2, canvas.height / 2, 1, 1, 0, 0, 1, 1);
  return (probe.getImageData(0, 0, 1, 1).data[3] ?? 0) > 0;
}

/** How many of a picture's pixels are nearly of a colour. */
export function countPixels({ data }: PNG, [red, green, blue]: readonly [number, number, number], within = 12): number {
  let count = 0;
  for (let at = 0; at < data.length; at += 4) {
    const near = (offset: number, wanted: number) => Math.abs((data[at + offset] ?? 0) - wanted) <= within;
    if (near(0, red) && near(1, green) && near(2, blue)) count += 1;
  }
  return count;
}

/** Goes from the desk to a workshop. */
export async function openWorkshop(page: Page, name: "Print" | "Cut" | "Stitch" | "Solid"): Promise<void> {
  await page.getByRole("button", { name: "Workshop" }).click();
  await page.getByRole("menuitem", { name: new RegExp(`^${name}`) }).click();
}
