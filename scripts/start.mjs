/** Builds what is stale, then serves. The server makes its database, brings it up to date and seeds it when empty. */
import { build } from "./build.mjs";

await build(["server", "web"]);
await import("../server/dist/main.js");
