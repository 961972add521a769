import { MILLIMETRES_PER, PAPER_SIZES, paperSizeOf, SHEET_FIELDS, tidy, UNITS, type SheetSize } from "@twin-petal/core";
import { LENGTH_STEP } from "@/desk/fields/boundNumber";
import { parseMeasure } from "@/desk/fields/parseMeasure";
import { Choice } from "@/ui/choice";
import { LiveNumber } from "@/ui/liveNumber";
import { Menu, MenuItem } from "@/ui/menu";
import { OpeningWord } from "@/ui/openingWord";
import { Sentence } from "@/ui/sentence";

interface SizeSentenceProps {
  readonly size: SheetSize;
  onChange: (size: SheetSize) => void;
}

/** The sheet's size in words: a standard one, or one's own. */
export function SizeSentence({ size, onChange }: SizeSentenceProps) {
  const { width, height } = size;
  const known = paperSizeOf(width, height);
  const lying = width > height;
  const name = known ? `${known.name}${lying ? ", lying" : ""}` : width === height ? "square" : "of its own size";
  return (
    <Sentence>
      On a sheet that is{" "}
      <Menu trigger={<OpeningWord label={`size of the sheet: ${name}`}>{name}</OpeningWord>}>
        <MenuItem hint="200 × 200 mm" onSelect={() => onChange({ ...size, width: 200, height: 200 })}>
          square
        </MenuItem>
        {PAPER_SIZES.map((paper) => (
          <MenuItem
            key={paper.name}
            hint={`${paper.width} × ${paper.height} mm`}
            onSelect={() => onChange({ ...size, width: paper.width, height: paper.height })}
          >
            {paper.name}
          </MenuItem>
        ))}
      </Menu>
      , <Side name="width" size={size} onChange={onChange} /> × <Side name="height" size={size} onChange={onChange} />{" "}
      <Choice
        label="unit"
        value={size.unit}
        choices={UNITS.map((unit) => ({ value: unit, words: unit }))}
        onChange={(unit) => onChange({ ...size, unit })}
      />
      {width !== height && (
        <button
          type="button"
          onClick={() => onChange({ ...size, width: height, height: width })}
          className="ml-2 rounded border border-hairline px-1.5 text-[15px] text-quiet hover:border-quiet hover:text-words"
        >
          {lying ? "stand it up" : "lay it down"}
        </button>
      )}
    </Sentence>
  );
}

function Side({ name, size, onChange }: SizeSentenceProps & { readonly name: "width" | "height" }) {
  const millimetres = MILLIMETRES_PER[size.unit];
  const { min, max } = SHEET_FIELDS.fields[name];
  const shown = tidy(size[name] / millimetres);
  const set = (value: number) => onChange({ ...size, [name]: tidy(value) });
  return (
    <LiveNumber
      label={`sheet ${name}`}
      value={shown}
      text={String(shown)}
      step={5 * LENGTH_STEP[size.unit]}
      min={min / millimetres}
      max={max / millimetres}
      whole={false}
      pullable
      onDefault={() => set(SHEET_FIELDS.fields[name].default)}
      onChange={(value) => set(value * millimetres)}
      onType={(text) => {
        const value = parseMeasure(text, "length", size.unit);
        if (value === null || value < min || value > max) {
          return { trouble: "must be a length from 0.1 mm to 100 m, such as 210, 21 cm or 8 in" };
        }
        set(value);
        return { ok: true };
      }}
    />
  );
}
