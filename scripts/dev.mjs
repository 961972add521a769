/** The server beside Vite's live interface; a change in web/ or core/ shows at once. */
import { spawn } from "node:child_process";
import { fileURLToPath } from "node:url";
import { createServer } from "vite";
import { build } from "./build.mjs";

await build(["server"]);
const path = (relative) => fileURLToPath(new URL(relative, import.meta.url));
const server = spawn(process.execPath, [path("../server/dist/main.js")], { stdio: "inherit" });
process.on("exit", () => server.kill());
const web = await createServer({ configFile: path("../web/vite.config.ts"), root: path("../web") });
await web.listen();
web.printUrls();
