import type { Page } from "@playwright/test";
import { Desk } from "./desk";
import { expect, RETRIED } from "./server";

interface Place {
  readonly x: number;
  readonly y: number;
}

/** The hands of a designer who makes a motif. Places are millimetres on the sheet, seen whole. */
export class Maker extends Desk {
  constructor(page: Page) {
    super(page);
  }

  /** Screen pixels of a place on a square sheet of so many millimetres that is shown whole. */
  async at(x: number, y: number, side = 200): Promise<Place> {
    const box = await this.page.locator("#sheet").boundingBox();
    if (!box) throw new Error("the sheet is not shown");
    const scale = (Math.min(box.width, box.height) - 72) / side;
    return { x: box.x + box.width / 2 + x * scale, y: box.y + box.height / 2 + y * scale };
  }

  async click(x: number, y: number): Promise<void> {
    const place = await this.at(x, y);
    await this.page.mouse.move(place.x, place.y, { steps: 3 });
    await this.page.mouse.down();
    await this.page.mouse.up();
  }

  /** Presses at one place, goes by the others, and lifts at the last. */
  async drag(...places: readonly (readonly [number, number])[]): Promise<void> {
    for (const [index, [x, y]] of places.entries()) {
      const place = await this.at(x, y);
      await this.page.mouse.move(place.x, place.y, { steps: 6 });
      if (index === 0) await this.page.mouse.down();
    }
    await this.page.mouse.up();
  }

  async keys(...keys: readonly string[]): Promise<void> {
    for (const key of keys) await this.page.keyboard.press(key);
  }

  async tool(name: "Look" | "Nodes" | "Draw" | "Freehand" | "Measure"): Promise<void> {
    await this.page.getByRole("toolbar", { name: "Tools" }).getByRole("button", { name, exact: true }).click();
    await expect(this.page.getByRole("button", { name, exact: true, pressed: true })).toBeVisible();
  }

  /** An empty sheet with a kind of motif begun on it. */
  async begin(kind: string): Promise<void> {
    await this.openEmpty();
    await this.page.getByRole("button", { name: new RegExp(`^${kind}( |$)`) }).click();
    await this.ready();
  }

  /** Chooses one of several words in a sentence. */
  async choose(what: string, choice: string): Promise<void> {
    await this.page
      .getByRole("button", { name: new RegExp(`^${what}:`) })
      .first()
      .click();
    await this.page.getByRole("menuitem", { name: choice }).click();
  }

  async addPart(kind: string): Promise<void> {
    await this.page.getByRole("button", { name: "Add a part" }).click();
    await this.page.getByRole("menuitem", { name: kind, exact: true }).click();
    await expect(this.page.getByRole("button", { name: `motif: ${kind}` })).toBeVisible();
  }

  /** A check of a workshop. */
  check(name: string) {
    return this.page.locator(`[data-check="${name}"]`);
  }

  word(name: string) {
    return this.page.getByRole("button", { name, exact: true });
  }

  /** Joins copies that are apart in another way. */
  async join(way: string): Promise<void> {
    await this.page.getByRole("button", { name: "join: apart", exact: true }).click();
    await this.page.getByRole("menuitem", { name: new RegExp(`^${way}`) }).click();
  }

  /** The design as it is saved. */
  async file(): Promise<{
    parts: { motif: Record<string, unknown>; rules?: Record<string, unknown>[]; [key: string]: unknown }[];
    [key: string]: unknown;
  }> {
    await this.saved();
    const answer = await this.page.request.get(this.page.url().replace("/designs/", "/api/designs/"), RETRIED);
    return answer.json();
  }

  /** The nodes of the first run of the first part, as saved. */
  async nodes(): Promise<{ x: number; y: number; type?: string }[]> {
    const { parts } = await this.file();
    const paths: unknown = parts[0]?.motif.paths;
    const [run] = isRuns(paths) ? paths : [];
    return run?.nodes ?? [];
  }
}

type Runs = { nodes: { x: number; y: number; type?: string }[] }[];

function isRuns(paths: unknown): paths is Runs {
  return Array.isArray(paths);
}
