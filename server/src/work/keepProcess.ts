import { pipeline } from "node:stream/promises";
import { joinDatabase } from "../db/database";
import { DesignStore } from "../db/designStore";
import { keepAll } from "../keep/keepAll";
import { readSettings } from "../settings";

// Writes everything there is as one zip to its standard output: packing it holds up nobody.
process.on("disconnect", () => process.exit());
const { db, close } = await joinDatabase(readSettings(process.env));
await pipeline(await keepAll(new DesignStore(db)), process.stdout);
close();
process.disconnect();
