import type { Page } from "@playwright/test";

/** Presses an arrow key on the motif's width again and again, each time waiting for the finished picture. */
export function changeTimes(page: Page, rounds: number): Promise<number[]> {
  return frameTimes(page, '[role=spinbutton][aria-label="width"]', rounds);
}

/** Presses an arrow key on something again and again, each time waiting for the finished picture. */
export function frameTimes(page: Page, selector: string, rounds: number): Promise<number[]> {
  return page.evaluate(
    async ([target, many]) => {
      const sheet = document.querySelector("#sheet");
      const number = document.querySelector(target);
      if (!sheet || !number) throw new Error("this is no desk");
      const painted = () =>
        new Promise<void>((resolve) => {
          const observer = new MutationObserver(() => {
            if (sheet.getAttribute("data-painted") !== "yes") return;
            observer.disconnect();
            resolve();
          });
          observer.observe(sheet, { attributes: true });
        });
      const times: number[] = [];
      for (let round = 0; round < many; round++) {
        const began = performance.now();
        const key = round % 2 === 0 ? "ArrowUp" : "ArrowDown";
        const done = painted();
        number.dispatchEvent(new KeyboardEvent("keydown", { key, altKey: true, bubbles: true }));
        await done;
        times.push(performance.now() - began);
      }
      return times;
    },
    [selector, rounds] as const,
  );
}
