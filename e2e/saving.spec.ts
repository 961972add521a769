import { Desk } from "./desk";
import { expect, test } from "./server";

test("two windows on one design: the second is told and chooses, and no change is lost", async ({ context, page }) => {
  const first = new Desk(page);
  await first.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await first.saved();
  const second = new Desk(await context.newPage());
  await second.page.goto(page.url());
  await second.ready();
  await expect(second.page.getByText("This design is open in another window too.")).toBeVisible();
  await expect(page.getByText("This design was opened in another window too.")).toBeVisible();

  await first.type("length", "60");
  await first.saved();
  await second.type("width", "30");
  const dialog = second.page.getByRole("dialog", { name: "Changed in another window" });
  await expect(dialog).toBeVisible();
  await dialog.getByRole("button", { name: "Keep both" }).click();
  await expect(second.number("length")).toHaveAttribute("aria-valuenow", "60");
  await expect(second.number("width")).toHaveAttribute("aria-valuenow", "16");
  await second.page.goto("/");
  await second.page.getByRole("link", { name: "Untitled, my version", exact: true }).click();
  await second.ready();
  await expect(second.number("width")).toHaveAttribute("aria-valuenow", "30");
});

test("keeping mine saves it over the other, taking the other shows it", async ({ context, page }) => {
  const first = new Desk(page);
  await first.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await first.saved();
  const second = new Desk(await context.newPage());
  await second.page.goto(page.url());
  await second.ready();
  await first.type("length", "60");
  await first.saved();
  await second.type("width", "30");
  await second.page.getByRole("button", { name: "Keep mine" }).click();
  await second.saved();
  await first.type("width", "5");
  await page.getByRole("button", { name: "Take the other" }).click();
  await expect(first.number("width")).toHaveAttribute("aria-valuenow", "30");
  await first.saved();
});

test("a save that fails keeps the change through a reload and is tried again", async ({ page, context }) => {
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.saved();
  await context.route("**/api/designs/*", (route) =>
    route.request().method() === "PUT" ? route.abort() : route.continue(),
  );
  await desk.type("length", "72");
  await expect(page.getByText("Not saved, kept here")).toBeVisible();
  await context.unroute("**/api/designs/*");
  await page.getByRole("button", { name: "try again" }).click();
  await desk.saved();

  await context.route("**/api/designs/*", (route) =>
    route.request().method() === "PUT" ? route.abort() : route.continue(),
  );
  await desk.type("width", "9");
  await expect(page.getByText("Not saved, kept here")).toBeVisible();
  await page.reload();
  await desk.ready();
  await expect(desk.number("width")).toHaveAttribute("aria-valuenow", "9");
  await context.unroute("**/api/designs/*");
  await desk.saved();
});

test("an address without a design says so and leads back", async ({ page }) => {
  await page.goto("/designs/nowhere");
  await expect(page.getByRole("alert")).toContainText("There is no design “nowhere”");
  await page.getByRole("link", { name: "To the wall" }).click();
  await expect(page.getByRole("heading", { name: "Plaster fan" })).toBeVisible();
});

test("what one window kept survives another that was only looked at, and is saved by the next", async ({ context }) => {
  const first = new Desk(await context.newPage());
  await first.openEmpty();
  await first.page.getByRole("button", { name: "petal" }).click();
  await first.saved();
  const address = first.page.url();
  // Saves fail, and are kept here.
  await first.page.route("**/api/designs/*", (route) =>
    route.request().method() === "PUT" ? route.abort() : route.continue(),
  );
  await first.type("length", "60");
  await expect(first.page.getByRole("status").filter({ hasText: "Kept here" })).toBeVisible();
  const second = new Desk(await context.newPage());
  await second.page.goto(address);
  await second.ready();
  await second.page.close();
  await first.page.close();
  const third = new Desk(await context.newPage());
  await third.page.goto(address);
  await third.ready();
  await expect(third.number("length")).toHaveAttribute("aria-valuenow", "60");
  await third.saved();
  await expect(third.page.getByRole("button", { name: /^Undo: / })).toBeEnabled();
});

test("a design too large for a last request is kept, and saved at the next start", async ({ context, request }) => {
  const nodes = Array.from({ length: 3_000 }, (_, k) => {
    const radius = 60 + 8 * Math.sin(k / 5);
    return {
      x: Number((radius * Math.cos(k / 477.5)).toFixed(3)),
      y: Number((radius * Math.sin(k / 477.5)).toFixed(3)),
    };
  });
  const design = JSON.stringify({
    format: "twin-petal/1",
    name: "Many nodes",
    parts: [
      { id: "a", motif: { kind: "drawn", paths: [{ closed: true, nodes }] } },
      { id: "b", name: "Leaf", motif: { kind: "leaf", length: 30 } },
    ],
  });
  expect(design.length).toBeGreaterThan(64 * 1024);
  const desk = new Desk(await context.newPage());
  await desk.lay(design);
  await desk.page.getByRole("button", { name: "Part Leaf" }).click();
  const address = desk.page.url().replace("/designs/", "/api/designs/");
  // Nothing goes through, also what is sent as the page goes.
  await context.setOffline(true);
  await desk.type("length", "44");
  await expect(desk.page.getByRole("status").filter({ hasText: "Kept here" })).toBeVisible();
  await desk.page.close();
  await context.setOffline(false);
  const wall = await context.newPage();
  await wall.goto("/");
  await expect(wall.getByText("What was kept here of “Many nodes” is saved now")).toBeVisible();
  const { parts }: { parts: { motif: { length?: number } }[] } = await (await request.get(address)).json();
  expect(parts[1]?.motif.length).toBe(44);
});

test("a browser that keeps nothing opens the desk all the same, and says that it keeps nothing", async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, "indexedDB", {
      get() {
        throw new DOMException("refused", "SecurityError");
      },
    });
  });
  const desk = new Desk(page);
  await desk.openEmpty();
  await page.getByRole("button", { name: "petal" }).click();
  await desk.saved();
  await page.route("**/api/designs/*", (route) =>
    route.request().method() === "PUT" ? route.abort() : route.continue(),
  );
  await desk.type("length", "60");
  await expect(page.getByText("and not kept here: take the file away")).toBeVisible();
});
