import type { IncomingMessage, Server, ServerResponse } from "node:http";

/** What is under way when the server is stopped has so long to be answered, milliseconds. */
const PATIENCE = 8_000;

/**
 * Watches what a server answers. Calling what comes back ends it: nothing new is taken, what is under way is answered first, and
 * what takes too long is cut off and told to `ended`, as it was asked. Events, which would go on for ever, end at once.
 */
export function drainer(server: Server): (ended: (cutOff: readonly string[]) => void) => void {
  const open = new Map<ServerResponse, IncomingMessage>();
  server.on("request", (request, response) => {
    open.set(response, request);
    response.once("close", () => open.delete(response));
  });
  return (ended) => {
    let cutOff: string[] = [];
    server.close(() => ended(cutOff));
    server.closeIdleConnections();
    for (const response of open.keys()) {
      if (String(response.getHeader("Content-Type")).startsWith("text/event-stream")) response.end();
      // A kept connection would hold the end up.
      else if (!response.headersSent) response.setHeader("Connection", "close");
    }
    setTimeout(() => {
      cutOff = [...open.values()].map(({ method, url }) => `${method} ${url?.split("?")[0]}`);
      server.closeAllConnections();
    }, PATIENCE).unref();
  };
}
