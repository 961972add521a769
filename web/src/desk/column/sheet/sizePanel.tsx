import { PAPER_SIZES, paperSizeOf } from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { setSheetSize } from "@/store/edits/sheet";
import { Menu, MenuItem } from "@/ui/menu";
import { WordButton } from "../../fields/wordButton";
import { usePicture } from "../../stage/pictureContext";

/** Standard sizes for the sheet, and turning it. */
export function SizePanel() {
  const { edit } = useEditing();
  const { report } = usePicture("report");
  const stored = useDesk((state) => state.history.design.sheet);
  const { width = 0, height = 0 } = report?.sheet ?? {};
  const known = paperSizeOf(width, height);
  const lying = width > height;
  return (
    <>
      <Menu trigger={<WordButton>{known ? `${known.name}${lying ? ", lying" : ""}` : "standard sizes …"}</WordButton>}>
        {PAPER_SIZES.map((size) => {
          const [across, down] = lying ? [size.height, size.width] : [size.width, size.height];
          return (
            <MenuItem
              key={size.name}
              hint={`${across} × ${down} mm`}
              onSelect={() => edit(setSheetSize(across, down, `a sheet of ${size.name}`))}
            >
              {size.name}
            </MenuItem>
          );
        })}
      </Menu>
      {width !== height && (
        <WordButton
          onClick={() =>
            edit(setSheetSize(stored.height, stored.width, lying ? "stand the sheet up" : "lay the sheet down"))
          }
        >
          {lying ? "stand it up" : "lay it down"}
        </WordButton>
      )}
    </>
  );
}
