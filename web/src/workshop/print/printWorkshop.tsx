import { isMade, type Point, type PrintChecked } from "@twin-petal/core";
import { useDesign, useEditing } from "@/store/deskStore";
import { setMaking } from "@/store/edits/making";
import { useMaking, useSheet } from "@/store/useMaking";
import { ChecksPanel, type Mend } from "../checksPanel";
import { figure } from "../figures";
import { fileFor } from "../fileFor";
import { RunStrip } from "../runStrip";
import { SendPanel } from "../sendPanel";
import { TakeAwayKind } from "../takeAwayKind";
import { timeWords } from "../timeWords";
import { useWatched } from "../useWatched";
import { WorkshopFrame } from "../workshopFrame";
import { PRINT_CHECK_LABELS } from "./checks/list";
import { PagesStage } from "./pagesStage";
import { PrintSettings } from "./settings";
import { usePrint } from "./usePrint";

const SPEEDS = [1, 2, 5] as const;
const RUN_WORDS = {
  start: "To the first page",
  back: "One page back",
  on: "One page on",
  play: "Print the pages",
  pause: "Pause",
  slider: "Page",
  speed: "a second",
};

/** Where an ornament is made ready to be printed: settings, the pages, checks, and the device. */
export default function PrintWorkshop() {
  const design = useDesign();
  const settings = useMaking(design).print;
  const sheet = useSheet(design);
  const { edit } = useEditing();
  const print = usePrint(design);
  const { shown } = print;
  const count = shown?.layout.pages.length ?? 0;
  const { step, goTo, onStep, places, onShow } = useWatched(shown, count);
  const mendOf = ({ kind, figures }: PrintChecked): Mend | null => {
    if (kind === "fits") {
      return {
        words: "one on a page",
        mend: () => edit(setMaking("print", { columns: 1, rows: 1 }, "one on a page")),
      };
    }
    if (kind !== "cutOff") return null;
    const bleed = Math.min(5, Math.ceil(figures.beyond ?? 0));
    return (figures.beyond ?? 0) <= bleed
      ? { words: `let it bleed by ${bleed} mm`, mend: () => edit(setMaking("print", { bleed }, "let it bleed")) }
      : null;
  };
  return (
    <WorkshopFrame
      actions={<TakeAwayKind design={design} kind="print" />}
      settings={<PrintSettings />}
      checks={
        <>
          <ChecksPanel<Point, PrintChecked>
            checks={print.isCurrent ? (shown?.checks ?? null) : null}
            labels={PRINT_CHECK_LABELS}
            waiting="Waiting until the pages are made …"
            nothing={
              design.sheet.ground === null && !design.parts.some((part) => isMade(design, part))
                ? "There is nothing to check: no part is shown and the sheet has no ground. Show a part on the desk."
                : null
            }
            onShow={onShow}
            mendOf={mendOf}
          />
          {print.trouble !== null && (
            <p role="alert" className="text-failed">
              ✕ {print.trouble}
            </p>
          )}
        </>
      }
      device={
        <SendPanel
          device="printer"
          words={{ device: "printer of pages", step: "page" }}
          settings={settings}
          makeFile={() => fileFor(design, "print.pdf")}
          reportWords={({ pages, area, seconds }) =>
            `${figure(pages, 0)} pages, ${figure((area ?? 0) * 10_000, 0)} cm² of paper, in ${timeWords(seconds ?? 0)}`
          }
          onStep={onStep}
        />
      }
      run={
        <RunStrip
          words={RUN_WORDS}
          count={count}
          at={step}
          readout={step === null ? `${count} ${count === 1 ? "page" : "pages"}` : `page ${step + 1} of ${count}`}
          speeds={SPEEDS}
          usual={2}
          waiting="The pages show once they are made."
          goTo={goTo}
        />
      }
    >
      <PagesStage
        print={print}
        bleed={settings.bleed / settings.scale}
        grey={settings.grey}
        sheet={sheet}
        at={step}
        places={places}
      />
    </WorkshopFrame>
  );
}
