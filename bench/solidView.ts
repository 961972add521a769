import { createServer } from "node:http";
import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import type { Browser, Page } from "@playwright/test";
import { buildScene, designForSolids, loadSolidEngine, readDesign, SolidLayouter, type Design } from "@twin-petal/core";
import { blocksOfDrags } from "./blocks";
import { inLab, openDesk, type Lab } from "./lab";
import type { Group } from "./group";
import { median } from "./median";
import type { Row } from "./row";

const PETALS = 500;
const ROUNDS = 6;
/** Every move waits for the picture, which takes long without a graphics card: a few tell enough. */
const HAND = { drags: 3, moves: 12 };
/** The tolerance of copies that follow the hand, as the desk has it, millimetres. */
const COARSE = 0.12;

function thistle(): Design {
  const { design } = readDesign({
    format: "twin-petal/1",
    name: "Thistle",
    sheet: { width: 400, height: 400 },
    parts: [
      {
        id: "a",
        motif: { kind: "petal", length: 60, width: 16 },
        rules: [{ kind: "ring", count: PETALS, radius: 90 }],
        solid: { depth: 3, tilt: { x: 30 } },
      },
    ],
  });
  if (!design) throw new Error("the design cannot be read");
  return design;
}

export const solidView: Group = {
  name: "solidView",
  about:
    "The solid view following a number of 500 tilted petals, beside a page that draws the same instances and nothing else.",
  folders: ["web/src/solid", "core/src/solid"],
  measure: inLab(benchSolidView),
};

/** The solid view following a number of 500 tilted petals, beside a page that draws the same instances and nothing else. */
async function benchSolidView(lab: Lab): Promise<Row[]> {
  const design = thistle();
  const desk = await openDesk(lab, design);
  await desk.keyboard.press("d");
  await desk.waitForSelector("#solid-view[data-state=united]", { timeout: 120_000 });
  const bare = await openBare(lab.browser, design, desk);
  const times: [number[], number[]] = [[], []];
  for (let set = 0; set < 4; set++) {
    await desk.bringToFront();
    times[0].push(...(await changeTimes(desk)));
    await bare.page.bringToFront();
    times[1].push(...(await bare.page.evaluate((many) => window.drawSolid(many), ROUNDS)));
  }
  await bare.page.close();
  bare.end();
  await desk.bringToFront();
  const number = desk.getByRole("spinbutton", { name: "tip raised", exact: true });
  await number.scrollIntoViewIfNeeded();
  const box = await number.boundingBox();
  if (!box) throw new Error("no number to drag");
  const blocks = await blocksOfDrags(desk, { x: box.x + 8, y: box.y + 8 }, 60, HAND);
  await desk.close();
  const change = { measured: median(times[0]), yardstick: median(times[1]), unit: "ms", limit: 1.3 };
  return [
    { what: `change a number, ${PETALS} tilted petals in the solid view`, ...change },
    { what: "longest block while pulling it", measured: median(blocks), yardstick: null, unit: "ms", limit: 50 },
  ];
}

/** Presses an arrow key on the tilt, each time waiting for the finished picture. */
function changeTimes(page: Page): Promise<number[]> {
  return page.evaluate(async (many) => {
    const canvas = document.querySelector("#solid-view canvas");
    const number = document.querySelector('[role=spinbutton][aria-label="tip raised"]');
    if (!canvas || !number) throw new Error("this is no solid view");
    const painted = () =>
      new Promise<void>((resolve) => {
        const observer = new MutationObserver(() => {
          if (canvas.getAttribute("data-painted") !== "yes") return;
          observer.disconnect();
          requestAnimationFrame(() => resolve());
        });
        observer.observe(canvas, { attributes: true });
      });
    const times: number[] = [];
    for (let round = 0; round < many; round++) {
      const began = performance.now();
      const done = painted();
      const key = round % 2 === 0 ? "ArrowUp" : "ArrowDown";
      number.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true }));
      await done;
      times.push(performance.now() - began);
    }
    return times;
  }, ROUNDS);
}

interface Instances {
  readonly width: number;
  readonly height: number;
  readonly positions: number[];
  readonly triangles: number[];
  readonly matrices: number[];
}

declare global {
  interface Window {
    prepareSolid: (instances: Instances) => void;
    /** Draws so often, all instances set anew each time; answers how long each took, milliseconds. */
    drawSolid: (times: number) => Promise<number[]>;
  }
}

/** A page with a bare three scene of the same instanced mesh at the same size. */
async function openBare(browser: Browser, design: Design, desk: Page) {
  const build = dirname(createRequire(import.meta.url).resolve("three"));
  const server = createServer((request, response) => {
    const name = request.url ?? "/";
    if (!name.endsWith(".js")) {
      response.setHeader("Content-Type", "text/html");
      return void response.end(BARE_PAGE);
    }
    response.setHeader("Content-Type", "text/javascript");
    return void readFile(join(build, name)).then((script) => response.end(script));
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const address = server.address();
  if (typeof address !== "object" || !address) throw new Error("the yardstick has no address");
  await loadSolidEngine(() => readFile(createRequire(import.meta.url).resolve("manifold-3d/manifold.wasm")));
  const layout = new SolidLayouter().layOut(design, buildScene(designForSolids(design)), COARSE);
  const group = layout.parts[0]?.groups[0];
  const box = await desk.locator("#solid-view").boundingBox();
  if (!group || !box) throw new Error("nothing to draw");
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`http://127.0.0.1:${address.port}/`);
  await page.waitForFunction(() => "prepareSolid" in window);
  await page.evaluate((instances) => window.prepareSolid(instances), {
    width: box.width,
    height: box.height,
    positions: Array.from(group.mesh.positions),
    triangles: Array.from(group.mesh.triangles),
    matrices: Array.from(group.matrices),
  });
  return { page, end: () => server.close() };
}

const BARE_PAGE = `<!doctype html><body><script type="module">
import * as THREE from "/three.module.js";
let renderer, scene, camera, mesh, job;
window.prepareSolid = (given) => {
  job = given;
  renderer = new THREE.WebGLRenderer({ antialias: true });
  renderer.setSize(job.width, job.height);
  document.body.append(renderer.domElement);
  scene = new THREE.Scene();
  scene.background = new THREE.Color("#F1F3F4");
  camera = new THREE.PerspectiveCamera(28, job.width / job.height, 1, 20000);
  camera.up.set(0, 0, 1);
  camera.position.set(300, -650, 500);
  camera.lookAt(0, 0, 20);
  scene.add(new THREE.AmbientLight(0xffffff, 1.5));
  for (const [place, intensity] of [[[-3, -4, 6], 2.3], [[5, 2, 2], 0.7]]) {
    const light = new THREE.DirectionalLight(0xffffff, intensity);
    light.position.set(...place);
    scene.add(light);
  }
  const geometry = new THREE.BufferGeometry();
  geometry.setAttribute("position", new THREE.BufferAttribute(Float32Array.from(job.positions), 3));
  geometry.setIndex(new THREE.BufferAttribute(Uint32Array.from(job.triangles), 1));
  const count = job.matrices.length / 12;
  mesh = new THREE.InstancedMesh(geometry, new THREE.MeshLambertMaterial({ flatShading: true }), count);
  const color = new THREE.Color("#1E6F5C");
  for (let k = 0; k < count; k++) mesh.setColorAt(k, color);
  scene.add(mesh);
};
window.drawSolid = async (times) => {
  const taken = [];
  const matrix = new THREE.Matrix4();
  for (let time = 0; time < times; time++) {
    const began = performance.now();
    for (let k = 0; k * 12 < job.matrices.length; k++) {
      const [a, b, c, d, e, f, g, h, i, x, y, z] = job.matrices.slice(k * 12, k * 12 + 12);
      mesh.setMatrixAt(k, matrix.set(a, d, g, x, b, e, h, y, c, f, i, z, 0, 0, 0, 1));
    }
    mesh.instanceMatrix.needsUpdate = true;
    await new Promise((resolve) => requestAnimationFrame(() => {
      renderer.render(scene, camera);
      requestAnimationFrame(resolve);
    }));
    taken.push(performance.now() - began);
  }
  return taken;
};
</script>`;
