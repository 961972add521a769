import { useState, type ReactNode } from "react";
import { useDesk } from "@/store/deskStore";
import { WordButton } from "./wordButton";

interface FoldedProps {
  /** What the words are about, in a word or two. */
  readonly about: string;
  /** Whether they say something that should be seen at once. */
  readonly said: boolean;
  readonly children: ReactNode;
}

/** The rest of a sentence, kept folded while it says nothing that is not usual. */
export function Folded({ about, said, children }: FoldedProps) {
  const [open, setOpen] = useState(false);
  const isAllSaid = useDesk((state) => state.hand.sayAll);
  if (said || open || isAllSaid) return <span> {children}</span>;
  return <WordButton onClick={() => setOpen(true)}>{about} …</WordButton>;
}
