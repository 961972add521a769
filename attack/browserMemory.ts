import { readFileSync } from "node:fs";
import type { Browser, CDPSession, Page } from "@playwright/test";

/** What a page and its workers take, megabytes. */
export interface BrowserMemory {
  /** What something still holds: objects and buffers. */
  readonly held: number;
  /** What the system has given the process, what the browser keeps at hand for later included. */
  readonly given: number;
}

/** Before memory is looked at everything rests so long, milliseconds. */
const REST = 3_000;

/** What a page and its workers take once everything that nobody holds has gone. */
export async function memoryOf(browser: Browser, page: Page): Promise<BrowserMemory> {
  await page.waitForTimeout(REST);
  const devtools = await browser.newBrowserCDPSession();
  let held = 0;
  const { targetInfos } = await devtools.send("Target.getTargets", { filter: [{}] });
  for (const { targetId, type } of targetInfos) {
    if (type === "page" || type === "worker") held += await heldBy(devtools, targetId);
  }
  const { processInfo } = await devtools.send("SystemInfo.getProcessInfo");
  const given = processInfo.reduce((sum, { id, type }) => sum + (type === "renderer" ? givenTo(id) : 0), 0);
  await devtools.detach();
  return { held, given };
}

async function heldBy(devtools: CDPSession, targetId: string): Promise<number> {
  const { sessionId } = await devtools.send("Target.attachToTarget", { targetId, flatten: false });
  await asked(devtools, sessionId, "HeapProfiler.collectGarbage");
  const heap = await asked(devtools, sessionId, "Runtime.getHeapUsage");
  await devtools.send("Target.detachFromTarget", { sessionId });
  return (
    ["usedSize", "embedderHeapUsedSize", "backingStorageSize"].reduce((sum, kind) => sum + (heap[kind] ?? 0), 0) /
    MEGABYTE
  );
}

const MEGABYTE = 2 ** 20;

/** What one page or worker answers to a command; numbers by name. */
function asked(devtools: CDPSession, sessionId: string, method: string): Promise<Readonly<Record<string, number>>> {
  return new Promise((resolve, reject) => {
    const hear = (event: { readonly sessionId: string; readonly message: string }) => {
      if (event.sessionId !== sessionId) return;
      const told: unknown = JSON.parse(event.message);
      if (!isAnswer(told)) return;
      devtools.off("Target.receivedMessageFromTarget", hear);
      resolve(told.result);
    };
    devtools.on("Target.receivedMessageFromTarget", hear);
    devtools
      .send("Target.sendMessageToTarget", { sessionId, message: JSON.stringify({ id: 1, method }) })
      .catch(reject);
  });
}

/** Anything else that is told is no answer. */
function isAnswer(told: unknown): told is { readonly result: Readonly<Record<string, number>> } {
  return typeof told === "object" && told !== null && "id" in told && "result" in told;
}

function givenTo(pid: number): number {
  const [, kilobytes] = /Private_Dirty:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/smaps_rollup`, "utf8")) ?? [];
  return Number(kilobytes) / 1_024;
}
