import { useState } from "react";
import type { Point, ResolvedMaking, StitchChecked } from "@twin-petal/core";
import { StitchSection } from "@/desk/column/stitch/stitchSection";
import { WordButton } from "@/desk/fields/wordButton";
import { useDesign, useEditing } from "@/store/deskStore";
import { setMaking } from "@/store/edits/making";
import { thinOut } from "@/store/edits/stitch";
import { useMaking } from "@/store/useMaking";
import { ChecksPanel, type Mend } from "../checksPanel";
import { counted, figure } from "../figures";
import { fileFor } from "../fileFor";
import { RunStrip } from "../runStrip";
import { SendPanel } from "../sendPanel";
import { TakeAwayKind } from "../takeAwayKind";
import { timeWords } from "../timeWords";
import { useWatched } from "../useWatched";
import { WorkProgress } from "../workProgress";
import { WorkshopFrame } from "../workshopFrame";
import { STITCH_CHECK_LABELS } from "./checks/list";
import { StitchSettings } from "./settings";
import { StitchStage } from "./stitchStage";
import { ThreadLine } from "./threadLine";
import { ThreadList } from "./threadList";
import { useStitches, type Stitches } from "./useStitches";

/** Stitches a minute. */
const SPEEDS = [60, 700, 3_000, 12_000, 60_000] as const;
const RUN_WORDS = {
  start: "To the first stitch",
  back: "One stitch back",
  on: "One stitch on",
  play: "Sew",
  pause: "Pause",
  slider: "Stitch",
  speed: "a minute",
};

/** Where an ornament is made ready to be sewn: settings, the cloth in its hoop, checks, and the device. */
export default function StitchWorkshop() {
  const design = useDesign();
  const settings = useMaking(design).stitch;
  const { edit } = useEditing();
  const stitches = useStitches(design);
  const { shown } = stitches;
  const [hasJumps, setJumps] = useState(false);
  const [hasDensity, setDensity] = useState(false);
  const count = shown?.plan.how.length ?? 0;
  const { step, goTo, onStep, places, onShow } = useWatched(shown, count);
  const mendOf = useMends(stitches, settings);
  const made = design.parts.filter(({ visible, role }) => visible && role === "show").toReversed();
  return (
    <WorkshopFrame
      actions={<TakeAwayKind design={design} kind="stitch" />}
      settings={
        <>
          <StitchSettings />
          <hr className="border-hairline" />
          {made.length === 0 && <p className="text-quiet">No part is shown; show one on the desk.</p>}
          {made.map((part) => (
            <StitchSection key={part.id} part={part} named />
          ))}
        </>
      }
      checks={
        <>
          <ChecksPanel<Point, StitchChecked>
            checks={stitches.isCurrent ? (shown?.checks ?? null) : null}
            labels={STITCH_CHECK_LABELS}
            waiting="Waiting until every stitch is planned …"
            nothing={
              stitches.isCurrent && shown?.told.stitches === 0
                ? "There is nothing to check: no part that is shown is sewn. Let one be sewn, or show one on the desk."
                : null
            }
            onShow={onShow}
            mendOf={mendOf}
          />
          {shown && shown.plan.threads.length > 0 && <ThreadList plan={shown.plan} told={shown.told} />}
        </>
      }
      device={
        <SendPanel
          device="stitcher"
          words={{ device: "stitcher", step: "stitch" }}
          settings={settings}
          makeFile={() => fileFor(design, "stitch.json")}
          reportWords={({ stitches: sewn, thread, trims, changes, seconds }) =>
            `${figure(sewn, 0)} stitches with ${figure(thread)} m of thread in ${timeWords(seconds ?? 0)}; ` +
            `${counted(trims, "trim")}, ${counted(changes, "change")} of thread`
          }
          onStep={onStep}
        />
      }
      run={
        <RunStrip
          words={RUN_WORDS}
          count={count}
          at={step}
          readout={readoutOf(stitches, step)}
          speeds={SPEEDS}
          usual={3_000}
          per={60}
          waiting="The run shows once every stitch is planned."
          goTo={goTo}
        />
      }
    >
      <div className="relative flex min-h-0 flex-1 flex-col">
        <StitchStage
          shown={shown}
          frame={settings.frame}
          densest={settings.densest}
          at={step}
          places={places}
          hasJumps={hasJumps}
          hasDensity={hasDensity}
        />
        <div className="absolute top-3 left-3 flex items-center rounded-md border border-hairline bg-surface p-1 text-[14px]">
          <WordButton aria-pressed={hasJumps} onClick={() => setJumps(!hasJumps)}>
            {hasJumps ? "hide jumps" : "show jumps"}
          </WordButton>
          <WordButton aria-pressed={hasDensity} onClick={() => setDensity(!hasDensity)}>
            {hasDensity ? "hide density" : "show density"}
          </WordButton>
        </div>
        <WorkProgress work={stitches} label="Planning stitches" words="planning stitches" />
      </div>
      {shown && count > 0 && (
        <ThreadLine
          plan={shown.plan}
          parts={design.parts}
          at={step}
          goTo={goTo}
          onOrder={(order) => edit(setMaking("stitch", { order: [...order] }, "sew in another order"))}
        />
      )}
    </WorkshopFrame>
  );
}

/** What mends a check: the ornament made to fit, room between stitches, threads kept together. */
function useMends({ shown, worker }: Stitches, settings: ResolvedMaking["stitch"]) {
  const design = useDesign();
  const { edit } = useEditing();
  return ({ kind, figures, places }: StitchChecked): Mend | null => {
    if (kind === "hoop" && shown?.told.box) {
      const scale = scaleThatFits(shown, settings);
      return {
        words: "make it fit the hoop",
        mend: () => edit(setMaking("stitch", { scale }, "make it fit the hoop")),
      };
    }
    if (kind === "changes") {
      return {
        words: "keep threads together",
        mend: () => edit(setMaking("stitch", { order: [] }, "keep threads together")),
      };
    }
    const [place] = places;
    if (kind !== "dense" || !place || !figures.area) return null;
    const by = Math.max(1.1, (figures.most ?? 0) / (figures.densest ?? 1));
    const thin = async () => {
      const id = await worker()?.partAt(place);
      const part = design.parts.find((known) => known.id === id);
      if (part) edit(thinOut(part, by));
    };
    return { words: "thin it out", mend: () => void thin() };
  };
}

/** The share of the hoop that is left free around what was made to fit. */
const FREE = 0.02;

/** The size at which everything lies in the hoop, as the largest that is a whole per mille. */
function scaleThatFits(
  { plan: { x, y } }: { plan: { x: Float64Array; y: Float64Array } },
  settings: ResolvedMaking["stitch"],
) {
  const { width, height, shape } = settings.frame;
  let share = 0;
  for (let k = 0; k < x.length; k++) {
    const [across, down] = [Math.abs(x[k] ?? 0) / (width / 2), Math.abs(y[k] ?? 0) / (height / 2)];
    share = Math.max(share, shape === "oval" ? Math.hypot(across, down) : Math.max(across, down));
  }
  return Math.max(0.001, Math.floor(((settings.scale * (1 - FREE)) / share) * 1000) / 1000);
}

function readoutOf({ shown }: Stitches, step: number | null): string {
  if (!shown) return "";
  const { plan, told } = shown;
  if (step === null) return `${told.stitches.toLocaleString("en")} stitches, ${timeWords(told.minutes * 60)}`;
  const place = [plan.x[step] ?? 0, plan.y[step] ?? 0].map((value) => value.toFixed(1)).join(", ");
  return `stitch ${(step + 1).toLocaleString("en")}; needle at ${place} mm`;
}
