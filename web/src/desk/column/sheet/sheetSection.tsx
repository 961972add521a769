import { memo } from "react";
import { EFFECT, isUnit, paletteReference, SHEET_DEFAULT, SHEET_FIELDS, UNITS, type Sheet } from "@twin-petal/core";
import { together } from "@/store/atHand";
import { useDesk, useEditing } from "@/store/deskStore";
import { addColor, setSheet } from "@/store/edits/sheet";
import { Choice } from "@/ui/choice";
import { Offers } from "@/ui/offers";
import { SectionHead } from "@/ui/sectionHead";
import { Sentence } from "@/ui/sentence";
import { TableNumber } from "../../fields/tableNumber";
import { WordButton } from "../../fields/wordButton";
import { GrainWords } from "../finish/effects/grainWords";
import { FACE_KINDS } from "../finish/fills/list";
import { FillPanel } from "../finish/fillPanel";
import { ComposeOffers } from "./composePanel";
import { Palette, PaletteOffers } from "./palettePanel";
import { SizePanel } from "./sizePanel";

/** The grain of the ground. */
function GroundGrain({ grain }: { grain: NonNullable<Sheet["grain"]> }) {
  const { edit } = useEditing();
  return (
    <Sentence>
      <GrainWords
        values={grain}
        name="grain of the ground"
        onSet={(values, change, gesture) =>
          edit(setSheet("grain", values, change, gesture && `sheet/grain/${gesture}`))
        }
      />
      .<WordButton onClick={() => edit(setSheet("grain", null, "take the ground’s grain away"))}>no grain</WordButton>
    </Sentence>
  );
}

/** The sheet and the palette. */
export const SheetSection = memo(function SheetSection() {
  const { edit, now } = useEditing();
  const sheet = useDesk((state) => state.history.design.sheet);
  const palette = useDesk((state) => state.history.design.palette);
  const side = (key: "width" | "height" | "margin") => (
    <TableNumber
      label={`sheet ${key}`}
      stored={sheet[key]}
      field={SHEET_FIELDS.fields[key]}
      onSet={(value, change, gesture) =>
        edit(setSheet(key, value ?? SHEET_DEFAULT[key], change, gesture && `sheet/${key}/${gesture}`))
      }
    />
  );
  return (
    <section aria-label="Sheet">
      <SectionHead words="Sheet and colours" />
      <Sentence>
        A sheet of {side("width")} × {side("height")}{" "}
        <Choice
          label="unit"
          value={sheet.unit}
          choices={UNITS.map((unit) => ({ value: unit, words: unit }))}
          onChange={(unit) => isUnit(unit) && edit(setSheet("unit", unit, `show ${unit}`))}
        />{" "}
        with a margin of {side("margin")},{" "}
        {sheet.ground === null ? (
          <>
            without a ground
            <WordButton onClick={() => edit(setSheet("ground", SHEET_DEFAULT.ground, "lay a ground"))}>
              lay one
            </WordButton>
          </>
        ) : (
          <>
            on{" "}
            <FillPanel
              label="ground"
              fill={sheet.ground}
              palette={palette}
              rules={[]}
              kinds={FACE_KINDS}
              overs={[]}
              onChange={(ground, change, gesture) =>
                edit(setSheet("ground", ground, change, gesture && `sheet/ground/${gesture}`))
              }
              onName={(color, replace) => {
                const named = addColor(now(), color);
                const use = setSheet("ground", replace(paletteReference(named.name)), "");
                edit(together(named.edit.label, [named.edit, use]));
              }}
            />
          </>
        )}
      </Sentence>
      {sheet.ground !== null && sheet.grain !== null && <GroundGrain grain={sheet.grain} />}
      <Palette />
      <Offers>
        <SizePanel />
        {sheet.ground !== null && (
          <WordButton onClick={() => edit(setSheet("ground", null, "remove the ground"))}>no ground</WordButton>
        )}
        {sheet.ground !== null && sheet.grain === null && (
          <WordButton onClick={() => edit(setSheet("grain", EFFECT.grain.field.complete({}), "give the ground grain"))}>
            grain on the ground
          </WordButton>
        )}
        <ComposeOffers />
        <PaletteOffers />
      </Offers>
    </section>
  );
});
