import { useState } from "react";
import type { CutChecked, Point } from "@twin-petal/core";
import { WordButton } from "@/desk/fields/wordButton";
import { useDesign, useEditing } from "@/store/deskStore";
import { addBridges } from "@/store/edits/cut";
import { setMaking } from "@/store/edits/making";
import { useMaking } from "@/store/useMaking";
import { ChecksPanel, type Mend } from "../checksPanel";
import { figure } from "../figures";
import { fileFor } from "../fileFor";
import { RunStrip } from "../runStrip";
import { SendPanel } from "../sendPanel";
import { TakeAwayKind } from "../takeAwayKind";
import { timeWords } from "../timeWords";
import { useWatched } from "../useWatched";
import { WorkProgress } from "../workProgress";
import { WorkshopFrame } from "../workshopFrame";
import { CUT_CHECK_LABELS } from "./checks/list";
import { CutStage } from "./cutStage";
import { headAt } from "./drawRun";
import { PartsWords } from "./partWords";
import { CutSettings } from "./settings";
import { useCut, type Cut } from "./useCut";

const SPEEDS = [1, 5, 20, 100, 500] as const;
const RUN_WORDS = {
  start: "To the first move",
  back: "One move back",
  on: "One move on",
  play: "Run the head",
  pause: "Pause",
  slider: "Move",
  speed: "a second",
};

/** Where an ornament is made ready to be cut: settings, what the head does, checks, and the device. */
export default function CutWorkshop() {
  const design = useDesign();
  const settings = useMaking(design).cut;
  const { edit } = useEditing();
  const cut = useCut(design);
  const { shown } = cut;
  const [isBridging, setBridging] = useState(false);
  const count = shown?.way.down.length ?? 0;
  const { step, goTo, onStep, places, onShow } = useWatched(shown, count);
  const mendOf = ({ kind }: CutChecked): Mend | null => {
    if (kind === "islands") {
      return {
        words: "bridge them",
        mend: () => void cut.bridgesForIslands().then((found) => edit(addBridges(found, "bridge the islands"))),
      };
    }
    const fits = shown?.checks.find((check) => check.kind === "fits")?.figures;
    if (kind !== "fits" || !fits) return null;
    const frame = largerFrame(settings.frame, fits.beyond ?? 0);
    return { words: "make the frame larger", mend: () => edit(setMaking("cut", { frame }, "make the frame larger")) };
  };
  return (
    <WorkshopFrame
      actions={<TakeAwayKind design={design} kind="cut" />}
      settings={
        <>
          <CutSettings />
          <hr className="border-hairline" />
          <PartsWords />
        </>
      }
      checks={
        <ChecksPanel<Point, CutChecked>
          checks={cut.isCurrent ? (shown?.checks ?? null) : null}
          labels={CUT_CHECK_LABELS}
          waiting="Waiting until the way is found …"
          nothing={
            cut.isCurrent && shown?.checks.find(({ kind }) => kind === "amount")?.figures.strokes === 0
              ? "There is nothing to check: no part that is shown is cut. Let one be cut, or show one on the desk."
              : null
          }
          onShow={onShow}
          mendOf={mendOf}
        />
      }
      device={
        <SendPanel
          device="cutter"
          words={{ device: "cutter", step: "move" }}
          settings={settings}
          makeFile={() => fileFor(design, "gcode")}
          reportWords={({ length, travel, seconds, pieces }) =>
            `${figure((length ?? 0) / 1000, 2)} m cut, ${figure((travel ?? 0) / 1000, 2)} m travelled in ` +
            `${timeWords(seconds ?? 0)}; ${figure(pieces, 0)} came free`
          }
          onStep={onStep}
        />
      }
      run={
        <RunStrip
          words={RUN_WORDS}
          count={count}
          at={step}
          readout={readoutOf(cut, step, settings.frame)}
          speeds={SPEEDS}
          usual={20}
          waiting="The run shows once the way is found."
          goTo={goTo}
        />
      }
    >
      <div className="relative flex min-h-0 flex-1 flex-col">
        <CutStage
          shown={shown}
          frame={settings.frame}
          at={step}
          places={places}
          isBridging={isBridging}
          onBridge={(place) => edit(addBridges([place], "set a bridge"))}
        />
        <div className="absolute top-3 left-3 flex items-center rounded-md border border-hairline bg-surface p-1 text-[14px]">
          <WordButton aria-pressed={isBridging} onClick={() => setBridging(!isBridging)}>
            {isBridging ? "done with bridges" : "set bridges by hand …"}
          </WordButton>
          {isBridging && <span className="px-1 text-quiet">click an outline where it is to stay uncut</span>}
        </div>
        <WorkProgress work={cut} label="Finding the way" words="finding the way" />
      </div>
    </WorkshopFrame>
  );
}

function largerFrame({ width, height }: { width: number; height: number }, beyond: number) {
  const more = Math.ceil(2 * beyond);
  return { width: width + more, height: height + more };
}

function readoutOf({ shown }: Cut, step: number | null, frame: { width: number; height: number }): string {
  if (!shown) return "";
  if (step === null) return `${shown.way.down.length.toLocaleString("en")} moves, ${timeWords(shown.seconds)}`;
  const { x, y } = headAt(shown.way, step);
  const [across, up] = [x + frame.width / 2, frame.height / 2 - y].map((value) => value.toFixed(1));
  return `move ${step + 1}, line ${shown.way.lines[step]}; head at ${across}, ${up} mm`;
}
