import { useEffect } from "react";
import { toast } from "sonner";
import { useDesk } from "@/store/deskStore";

/** What windows on the same design say to each other. */
type Said = "opened" | "here";

const WORDS: Readonly<Record<Said, string>> = {
  opened: "This design was opened in another window too. Whichever saves second is asked which to keep.",
  here: "This design is open in another window too. Whichever saves second is asked which to keep.",
};

/** Tells when the same design is open in another window of this browser, in both of them. */
export function useOtherWindows(): void {
  const id = useDesk((state) => state.id);
  useEffect(() => {
    const channel = new BroadcastChannel(`twin-petal/${id}`);
    channel.onmessage = ({ data }: MessageEvent<unknown>) => {
      if (data !== "opened" && data !== "here") return;
      toast(WORDS[data], { id: "other-window" });
      if (data === "opened") channel.postMessage("here");
    };
    channel.postMessage("opened");
    return () => channel.close();
  }, [id]);
}
