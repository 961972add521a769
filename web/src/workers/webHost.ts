import { FONTS, prepareFor, type Design, type MakeHost } from "@twin-petal/core";
import rasteriserUrl from "@resvg/resvg-wasm/index_bg.wasm?url";
import geometryUrl from "clipper2-wasm/dist/es/clipper2z.wasm?url";
import solidUrl from "manifold-3d/manifold.wasm?url";
import alegreyaSans from "@fontsource/alegreya-sans/files/alegreya-sans-latin-700-normal.woff?url";
import alfaSlabOne from "@fontsource/alfa-slab-one/files/alfa-slab-one-latin-400-normal.woff?url";
import cormorantGaramond from "@fontsource/cormorant-garamond/files/cormorant-garamond-latin-600-normal.woff?url";
import greatVibes from "@fontsource/great-vibes/files/great-vibes-latin-400-normal.woff?url";
import limelight from "@fontsource/limelight/files/limelight-latin-400-normal.woff?url";
import uncialAntiqua from "@fontsource/uncial-antiqua/files/uncial-antiqua-latin-400-normal.woff?url";

/** Where the built application keeps each shipped font. */
const FONT_URLS: Readonly<Record<string, string>> = {
  "alegreya-sans": alegreyaSans,
  "alfa-slab-one": alfaSlabOne,
  "cormorant-garamond": cormorantGaramond,
  "great-vibes": greatVibes,
  limelight,
  "uncial-antiqua": uncialAntiqua,
};

async function bytesAt(url: string | undefined): Promise<Uint8Array> {
  if (url === undefined) throw new Error(`one of ${FONTS.length} fonts is not shipped`);
  const answer = await fetch(url);
  if (!answer.ok) throw new Error(`${url} could not be loaded (${answer.status})`);
  return new Uint8Array(await answer.arrayBuffer());
}

/** Where the browser finds what the core needs: beside the built application. */
export const WEB_HOST: MakeHost = {
  geometryEngine: () => bytesAt(geometryUrl),
  solidEngine: () => bytesAt(solidUrl),
  font: ({ id }) => bytesAt(FONT_URLS[id]),
  rasteriser: () => fetch(rasteriserUrl),
};

/** Loads what a design needs before it is computed in this worker. */
export function prepareInBrowser(design: Design): Promise<void> {
  return prepareFor(design, WEB_HOST);
}
