import { connect } from "node:net";
import { newDataFolder, startServer } from "../../server/test/running";
import type { Reported } from "../reported";

/** Every connection that says nothing, or never comes to an end, is closed within so many seconds. */
const CLOSED_WITHIN = 90;

/** What a connection sends before it hangs: nothing, half a head, half a body. */
const BEGINNINGS = [
  "",
  "GET /api/health HTTP/1.1\r\nHost: 127.0.0.1\r\nX-",
  "POST /api/designs HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 1000\r\n\r\n{",
];

/** Connections that hang: all are closed, and meanwhile others are answered. */
export async function hangers(many = 300): Promise<Reported[]> {
  const server = await startServer(newDataFolder());
  const { port, hostname } = new URL(server.address);
  const closed = await Promise.all(
    Array.from({ length: many }, (_, k) => hung(Number(port), hostname, BEGINNINGS[k % BEGINNINGS.length] ?? "")),
  );
  const { status } = await fetch(`${server.address}/api/health`);
  await server.kill();
  const left = closed.filter((seconds) => seconds === null).length;
  const last = Math.max(...closed.map((seconds) => seconds ?? CLOSED_WITHIN));
  const faults = [
    ...(left > 0 ? [`${left} connections were not closed`] : []),
    ...(status === 200 ? [] : [`health answers ${status}`]),
  ];
  const cells = [
    `${many} connections`,
    `${many - left} closed`,
    `last after ${last.toFixed(0)} s`,
    String(faults.length),
  ];
  return [{ what: "hanging connections", cells, faults }];
}

/** Seconds after which a connection was closed; null where it was not. */
function hung(port: number, host: string, beginning: string): Promise<number | null> {
  const began = performance.now();
  return new Promise((resolve) => {
    const socket = connect(port, host, () => socket.write(beginning));
    const late = setTimeout(() => {
      resolve(null);
      socket.destroy();
    }, CLOSED_WITHIN * 1_000);
    socket.on("error", () => undefined);
    socket.on("close", () => {
      clearTimeout(late);
      resolve((performance.now() - began) / 1_000);
    });
    socket.resume();
  });
}
