import type { Page } from "@playwright/test";
import { Maker } from "./making";

/**
 * A hand that counts what it does: every key pressed, every press of the pointer (a click or a pull), every turn of the
 * wheel. What is typed counts its letters.
 */
export class CountedHand extends Maker {
  actions = 0;
  /** The side of a square sheet that would be shown as large as this one, millimetres. */
  side = 200;

  constructor(page: Page) {
    super(page);
  }

  override at(x: number, y: number, side = this.side): Promise<{ readonly x: number; readonly y: number }> {
    return super.at(x, y, side);
  }

  async press(...keys: readonly string[]): Promise<void> {
    for (const key of keys) {
      await this.page.keyboard.press(key);
      this.actions += 1;
    }
  }

  async write(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.actions += text.length;
  }

  /** Goes by Tab, or back by Shift and Tab, until something of that name has the focus. */
  async tabTo(name: RegExp, key: "Tab" | "Shift+Tab" = "Tab"): Promise<void> {
    for (let times = 0; times < 60; times++) {
      await this.press(key);
      const focused = await this.page.evaluate(() => {
        const element = document.activeElement;
        return element?.getAttribute("aria-label") ?? element?.textContent ?? "";
      });
      if (name.test(focused)) return;
    }
    throw new Error(`nothing called ${name} is reached by ${key}`);
  }

  /** One click on a button, a menu's line or a tool. */
  async hit(role: "button" | "menuitem", name: string | RegExp): Promise<void> {
    await this.page
      .getByRole(role, { name, ...(typeof name === "string" && { exact: true }) })
      .first()
      .click();
    this.actions += 1;
  }

  /** A number clicked, its value typed and taken: one press of the pointer, and its keys. */
  async enter(name: string, text: string): Promise<void> {
    await this.type(name, text);
    this.actions += 2 + text.length;
  }

  /** One pull over places of the sheet. */
  async sweep(...places: readonly (readonly [number, number])[]): Promise<void> {
    await this.drag(...places);
    this.actions += 1;
  }

  /** A number clicked and a value typed. */
  async set(name: string, text: string): Promise<void> {
    await this.type(name, text);
    this.actions += 2;
  }

  /** The same for the last of several numbers of one name. */
  async setLast(name: string, text: string): Promise<void> {
    await this.number(name).last().click();
    await this.page.getByRole("textbox", { name, exact: true }).fill(text);
    await this.page.keyboard.press("Enter");
    this.actions += 2;
  }

  async duplicate(part: string): Promise<void> {
    await this.hit("button", `More for ${part}`);
    await this.hit("menuitem", "Duplicate");
  }

  async repeat(rule: string): Promise<void> {
    await this.hit("button", "Add a rule");
    await this.hit("menuitem", new RegExp(`^${rule}`, "i"));
  }

  /** The latest stamp pulled by its middle to a place of the sheet. */
  async pullStamp(x: number, y: number): Promise<void> {
    const handle = this.page.getByRole("button", { name: /^Place of cutout/ }).last();
    const box = await handle.boundingBox();
    if (!box) throw new Error("the stamp has no handle");
    const to = await this.at(x, y);
    await this.page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await this.page.mouse.down();
    await this.page.mouse.move(to.x, to.y, { steps: 6 });
    await this.page.mouse.up();
    this.actions += 1;
  }

  /** One click on the sheet. */
  async point(x: number, y: number): Promise<void> {
    await this.click(x, y);
    this.actions += 1;
  }

  async add(kind: string): Promise<void> {
    await this.addPart(kind);
    this.actions += 2;
  }
}
