import { Maker } from "./making";
import { expect, test } from "./server";

test("a measure from node to node is told, left lying, and follows; what is pointed at tells its area", async ({
  page,
}) => {
  const desk = new Maker(page);
  await desk.begin("rectangle");
  await desk.type("width", "40");
  await desk.type("height", "60");
  await desk.tool("Measure");
  // The lower corners stand at 20 to either side of the sheet's centre.
  await desk.click(-20, 0);
  await desk.click(20, 0);
  const dimension = page.getByTestId("dimension");
  await expect(dimension).toContainText("40 mm at 90°");
  const within = await desk.at(5, -25);
  await page.mouse.move(within.x, within.y, { steps: 3 });
  await expect(page.getByText("2400 mm², outline 200 mm")).toBeVisible();
  await desk.keys("Escape");

  // By one pull, and left lying by a key.
  await desk.drag([-20, 0], [-20, -30], [-20, -60]);
  await expect(dimension).toContainText("60 mm at 0°");
  await desk.keys("Enter");
  await expect(dimension).toHaveCount(1);
  await desk.tool("Look");
  await desk.type("height", "45");
  await expect(dimension).toContainText("45 mm at 0°");
  await expect(page.getByText("from a node of “Rectangle” to a node of “Rectangle”")).toBeVisible();
  expect((await desk.file()).guides).toMatchObject([{ dimension: { from: { part: "rectangle" } } }]);

  await page.getByRole("button", { name: "Remove guide 1" }).click();
  await expect(dimension).toHaveCount(0);
});

test("measuring by keys alone", async ({ page }) => {
  const desk = new Maker(page);
  await desk.begin("disc");
  await page.locator("#sheet").focus();
  await desk.keys("5");
  await expect(page.locator("#measure-layer")).toBeFocused();
  await desk.keys("Space", "Shift+ArrowRight", "Shift+ArrowRight", "Shift+ArrowDown", "Space");
  await expect(page.getByTestId("dimension")).toContainText("22.361 mm at 116.565°");
  await desk.keys("Enter");
  expect((await desk.file()).guides).toHaveLength(1);
});
