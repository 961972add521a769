// oxlint-disable-next-line typescript/triple-slash-reference -- the other workspaces compile this file and find the types only so
/// <reference path="./fontkit.d.ts" />
import type { Font } from "fontkit";
import { LoadOnce } from "./loadOnce";

const fonts = new Map<string, LoadOnce<Font>>();

function entryOf(id: string): LoadOnce<Font> {
  const known = fonts.get(id) ?? new LoadOnce<Font>();
  fonts.set(id, known);
  return known;
}

/** Makes a font ready under its id; the host gives the bytes of a static WOFF. Safe to call again. */
export function loadFont(id: string, read: () => Promise<Uint8Array>): Promise<void> {
  return entryOf(id).load(async () => openFont(await read()));
}

async function openFont(bytes: Uint8Array): Promise<Font> {
  // Loaded only when there is lettering: it is large, and slow to begin.
  const { create } = await import("fontkit");
  const opened = create(bytes);
  if ("fonts" in opened) throw new Error("a collection of fonts cannot be used; give one font");
  return opened;
}

/** A font that was loaded. Throws when the host has not loaded it. */
export function fontOf(id: string): Font {
  return entryOf(id).get(`lettering in ${id} is drawn only after loadFont`);
}
