/** Sees that Chromium and the viewers of SVG, PDF and STL the tests compare with are there; installs them from Debian's packages where it may. */
import { execSync } from "node:child_process";
import { existsSync } from "node:fs";
import { CHROMIUM, HEADLESS } from "./browserPath.mjs";

const NEEDED = [
  { file: HEADLESS, name: "chromium-headless-shell", instead: CHROMIUM },
  { file: "/usr/bin/rsvg-convert", name: "librsvg2-bin" },
  { file: "/usr/bin/pdftoppm", name: "poppler-utils" },
  { file: "/usr/bin/qpdf", name: "qpdf" },
  { file: "/usr/bin/admesh", name: "admesh" },
];

const isThere = ({ file }) => existsSync(file);
const isReplaced = ({ instead }) => instead !== undefined && existsSync(instead);
const missing = NEEDED.filter((needed) => !isThere(needed));
const names = missing.map(({ name }) => name);
const command = `apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq ${names.join(" ")}`;
const mayInstall = process.getuid?.() === 0 && existsSync("/usr/bin/apt-get");

if (missing.length > 0 && mayInstall) {
  console.log(`Installing ${names.join(" and ")} …`);
  try {
    execSync(command, { stdio: ["ignore", "ignore", "inherit"] });
  } catch {
    console.error("That could not be installed.");
  }
}
const lacking = missing.filter((needed) => !isThere(needed) && !isReplaced(needed)).map(({ name }) => name);
if (lacking.length > 0) {
  console.error(`The tests need ${lacking.join(" and ")}. Install them and try again:\n  sudo sh -c '${command}'`);
  process.exit(1);
}
