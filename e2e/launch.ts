import { browserPath } from "../scripts/browserPath.mjs";

/** How the browser is started for tests and measurements: with nothing of its own going on beside the page. */
export const LAUNCH = {
  executablePath: browserPath(),
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};
