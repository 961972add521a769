import { defineConfig } from "@playwright/test";
import tests from "../e2e/playwright.config";

/** `npm run screenshots`: the pictures of the main views, made from the demo data. */
export default defineConfig({ ...tests, testDir: ".", testMatch: "screenshots.ts", reporter: "line" });
