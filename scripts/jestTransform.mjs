/**
 * The unit tests' transform: swc, and the globals a module uses bound once at its head. Modules run in a context of
 * the runner's own, where each look at a global goes through an interceptor: hot loops were up to 13 times slower.
 */
import { createTransformer as createSwc } from "@swc/jest";

const globals = [
  "Math",
  "Infinity",
  "NaN",
  "Number",
  "String",
  "Object",
  "Array",
  "Map",
  "Set",
  "WeakMap",
  "Float64Array",
  "Float32Array",
  "Int32Array",
  "Uint32Array",
  "Uint16Array",
  "Uint8Array",
  "Uint8ClampedArray",
];

/** The module with the globals it names bound on its first line, so that lines keep their numbers. */
function bound(code) {
  const names = globals.filter(
    (name) =>
      new RegExp(`(?<![.\\w$"'])${name}\\b`).test(code) &&
      !new RegExp(`\\b(?:class|function|const|let|var|as)\\s+${name}\\b`).test(code),
  );
  return names.length === 0 ? code : `const { ${names.join(", ")} } = globalThis; ${code}`;
}

function createTransformer(options) {
  const swc = createSwc(options);
  return {
    ...swc,
    process: (...given) => {
      const made = swc.process(...given);
      return { ...made, code: bound(made.code) };
    },
    processAsync: async (...given) => {
      const made = await swc.processAsync(...given);
      return { ...made, code: bound(made.code) };
    },
    getCacheKey: (...given) => `bound${swc.getCacheKey(...given)}`,
  };
}

export default { createTransformer };
