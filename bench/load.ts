import type { Group } from "./group";
import { inLab, type Lab } from "./lab";
import type { Row } from "./row";

export const load: Group = {
  name: "load",
  about: "What crosses the wire, compressed, before the wall is there.",
  folders: ["web"],
  measure: inLab(benchFirstLoad),
};

/** Kilobytes that cross the wire before the wall is there, as compressed; designs' pictures apart. */
async function benchFirstLoad({ browser, app }: Lab): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const session = await page.context().newCDPSession(page);
  await session.send("Network.enable");
  const addresses = new Map<string, string>();
  const sums = { application: 0, pictures: 0 };
  session.on("Network.responseReceived", ({ requestId, response }) => addresses.set(requestId, response.url));
  session.on("Network.loadingFinished", ({ requestId, encodedDataLength }) => {
    sums[addresses.get(requestId)?.includes("picture.png") ? "pictures" : "application"] += encodedDataLength;
  });
  await page.goto(app, { waitUntil: "networkidle" });
  await page.close();
  const row = (what: string, bytes: number, limit: number | null): Row => ({
    what,
    measured: bytes / 1024,
    yardstick: null,
    unit: "kB",
    limit,
  });
  return [
    row("first load of the wall, compressed", sums.application, 300),
    row("the demo designs' pictures beside it", sums.pictures, null),
  ];
}
