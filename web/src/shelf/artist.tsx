import { createContext, useContext, useEffect, useState, type ReactNode } from "react";
import type { Remote } from "comlink";
import type { Assistant } from "@/workers/assistant";
import { startAssistant } from "@/workers/start";

type Artist = Remote<Assistant>;

const ArtistContext = createContext<Artist | null>(null);

/** Who paints the pieces' pictures; null until there is somebody. */
export const useArtist = (): Artist | null => useContext(ArtistContext);

/** Has pieces painted by somebody who is there already. */
export const ArtistProvider = ArtistContext.Provider;

/** Has pieces painted by somebody of one's own, for as long as they are shown. */
export function OwnArtist({ children }: { children: ReactNode }) {
  const [artist] = useState(startAssistant);
  useEffect(() => artist.end, [artist]);
  return <ArtistContext value={artist.work}>{children}</ArtistContext>;
}
