import { Plus } from "lucide-react";
import type { Part } from "@twin-petal/core";
import { useEffect } from "react";
import { useDesign, useDesk, useEditing } from "@/store/deskStore";
import { partEdit } from "@/store/edits/parts";
import { Offers } from "@/ui/offers";
import { watchWheel } from "@/ui/wheelSteps";
import { CopiesPanel } from "./copiesPanel";
import { FinishSection } from "./finish/finishSection";
import { GuidesSection } from "./guides/guidesSection";
import { JoinSection } from "./join/joinSection";
import { MADE_MOTIFS } from "./motif/made/list";
import { MotifPicture, READY_KINDS } from "./motif/motifKinds";
import { MotifSection } from "./motif/motifSection";
import { useMotifMaker } from "./motif/useMotifMaker";
import { NumbersSection } from "./numbersSection";
import { PlaceOffers } from "./placeSection";
import { RulesSection } from "./rulesSection";
import { SolidOffer, SolidSection } from "./solid/solidSection";
import { SewOffer, StitchSection } from "./stitch/stitchSection";
import { SeveralParts } from "./severalParts";
import { SheetSection } from "./sheet/sheetSection";

/** The chosen part in plain sentences, the design's numbers and its sheet at the foot. */
export function ReadingColumn() {
  const design = useDesign();
  const chosen = useDesk((state) => state.chosen);
  const also = useDesk((state) => state.also);
  const part = design.parts.find(({ id }) => id === chosen);
  useEffect(watchWheel, []);
  return (
    <aside
      aria-label="The design in words"
      className="flex w-80 shrink-0 flex-col gap-2.5 overflow-y-auto overscroll-contain border-r border-hairline bg-surface px-4 py-2 text-[16.5px]"
    >
      {also.length > 0 && chosen !== null ? (
        <SeveralParts ids={[chosen, ...also]} />
      ) : part ? (
        <div key={part.id} className="flex flex-col gap-2">
          <PartName part={part} />
          <MotifSection part={part.id} motif={part.motif} cutouts={part.cutouts} />
          <RulesSection part={part.id} rules={part.rules} />
          <CopiesPanel part={part.id} />
          <JoinSection part={part.id} join={part.join} />
          <FinishSection part={part.id} finish={part.finish} rules={part.rules} />
          <StitchSection part={part} />
          <SolidSection part={part.id} solid={part.solid} />
          <section aria-label="Place and making">
            <Offers>
              <PlaceOffers part={part.id} at={part.at} role={part.role} group={part.group} />
              <SewOffer part={part} />
              <SolidOffer part={part.id} solid={part.solid} />
            </Offers>
          </section>
        </div>
      ) : (
        <FirstMotif />
      )}
      <hr className="border-hairline" />
      <NumbersSection />
      <GuidesSection />
      <hr className="border-hairline" />
      <SheetSection />
    </aside>
  );
}

function PartName({ part }: { part: Part }) {
  const { edit } = useEditing();
  return (
    <input
      aria-label="Name of the part"
      value={part.name}
      maxLength={120}
      onKeyDown={(event) => event.stopPropagation()}
      onChange={(event) =>
        edit(
          partEdit(
            part.id,
            "rename the part",
            (draft) => {
              draft.name = event.target.value;
            },
            `${part.id}/name`,
          ),
        )
      }
      className="-mx-1 rounded bg-transparent px-1 text-xl font-bold hover:bg-page focus:bg-page"
    />
  );
}

/** What to do first on an empty sheet. */
function FirstMotif() {
  const { begin, fileChooser } = useMotifMaker();
  return (
    <section aria-label="Choose a motif">
      <h2 className="text-xl font-bold">What is to be repeated?</h2>
      <p className="mb-2 text-quiet">Choose a motif. Its numbers can all be changed afterwards.</p>
      <ul className="grid grid-cols-4 gap-1.5">
        {READY_KINDS.map((kind) => (
          <li key={kind}>
            <button
              type="button"
              onClick={() => begin(kind, null)}
              className="flex w-full flex-col items-center gap-0.5 rounded-md border border-hairline p-1 hover:border-quiet"
            >
              <MotifPicture kind={kind} size={32} />
              {kind}
            </button>
          </li>
        ))}
      </ul>
      <h3 className="mt-3 mb-1 font-bold text-quiet">Or make your own</h3>
      <ul className="space-y-1">
        {MADE_MOTIFS.map(({ kind, name, promise }) => (
          <li key={kind}>
            <button
              type="button"
              onClick={() => begin(kind, null)}
              className="flex w-full items-center gap-3 rounded-md border border-hairline px-2 py-1 text-left hover:border-quiet"
            >
              <MotifPicture kind={kind} size={26} />
              <b className="font-medium">{name}</b> <span className="text-[15px] text-quiet">{promise}</span>
            </button>
          </li>
        ))}
      </ul>
      {fileChooser}
      <p className="mt-3 flex items-center gap-1 text-quiet">
        Then <Plus size={14} aria-hidden="true" /> add a rule.
      </p>
    </section>
  );
}
