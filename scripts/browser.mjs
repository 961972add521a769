/** Sees that Chromium and the SVG and PDF viewers the tests compare with are there; installs them from Debian's packages where it may. */
import { execSync } from "node:child_process";
import { existsSync } from "node:fs";

const NEEDED = [
  { file: "/usr/bin/chromium", name: "chromium" },
  { file: "/usr/bin/rsvg-convert", name: "librsvg2-bin" },
  { file: "/usr/bin/pdftoppm", name: "poppler-utils" },
  { file: "/usr/bin/qpdf", name: "qpdf" },
];

const missing = NEEDED.filter(({ file }) => !existsSync(file)).map(({ name }) => name);

if (missing.length > 0) {
  const command = `apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq ${missing.join(" ")}`;
  const mayInstall = process.getuid?.() === 0 && existsSync("/usr/bin/apt-get");
  if (!mayInstall) {
    console.error(`The tests need ${missing.join(" and ")}. Install them and try again:\n  sudo sh -c '${command}'`);
    process.exit(1);
  }
  console.log(`Installing ${missing.join(" and ")} …`);
  execSync(command, { stdio: ["ignore", "ignore", "inherit"] });
}
