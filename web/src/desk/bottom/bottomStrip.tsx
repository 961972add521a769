import type { ReactNode } from "react";
import { Tabs } from "radix-ui";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import { STRIPS, type StripName } from "@/store/hand";
import { BuildUp } from "./buildUp";
import { GapChart } from "./gapChart";
import { Neighbours } from "./neighbours";

const NAMES: Readonly<Record<StripName, string>> = {
  neighbours: "Neighbours",
  gaps: "Gaps",
  "build-up": "Build-up",
};

const CONTENTS: Readonly<Record<StripName, () => ReactNode>> = {
  neighbours: Neighbours,
  gaps: GapChart,
  "build-up": BuildUp,
};

/** Along the bottom: nearby values as pictures, the gaps between copies, or how the rules build the ornament. */
export function BottomStrip() {
  const strip = useDesk((state) => state.hand.strip);
  const hasParts = useDesign().parts.length > 0;
  const { setHand } = useDeskStore().getState();
  // Its place is kept: the first part must not move the sheet under the hand.
  if (!hasParts) return <div className="h-[104px] shrink-0 border-t border-hairline bg-surface" />;
  const Content = CONTENTS[strip];
  return (
    <Tabs.Root
      value={strip}
      orientation="vertical"
      onValueChange={(next) => {
        const known = STRIPS.find((name) => name === next);
        if (known) setHand({ strip: known, built: null, pointed: null });
      }}
      className="flex h-[104px] shrink-0 border-t border-hairline bg-surface"
    >
      <Tabs.List
        aria-label="Below the sheet"
        className="flex w-[104px] shrink-0 flex-col justify-center border-r border-hairline"
      >
        {STRIPS.map((name) => (
          <Tabs.Trigger
            key={name}
            value={name}
            className="px-3 py-1 text-left text-[15px] text-quiet hover:text-words aria-selected:font-bold aria-selected:text-words"
          >
            {NAMES[name]}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content value={strip} tabIndex={-1} className="min-w-0 flex-1 outline-none">
        <Content />
      </Tabs.Content>
    </Tabs.Root>
  );
}
