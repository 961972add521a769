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
