import { memo, type ReactNode } from "react";
import { Plus, Trash2 } from "lucide-react";
import {
  GUIDE_ANGLE,
  GUIDE_PLACE,
  GUIDE_POINTS,
  SHEET_SIDE,
  type Guide,
  type Limits,
  type NumberValue,
  type Quantity,
} from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { addGuide, removeGuide, setGuide } from "@/store/edits/guides";
import { Button, IconButton } from "@/ui/button";
import { Menu, MenuItem } from "@/ui/menu";
import { Sentence } from "@/ui/sentence";
import { BoundNumber } from "../fields/boundNumber";

const NEW_GUIDES: readonly { readonly name: string; readonly guide: Guide }[] = [
  { name: "an upright line", guide: { x: 0 } },
  { name: "a level line", guide: { y: 0 } },
  { name: "a line at an angle", guide: { angle: 45 } },
  { name: "a star", guide: { star: { points: 7, outer: 60, inner: 26 } } },
  { name: "a polygon", guide: { polygon: { sides: 6, radius: 60 } } },
];

/** Lines and figures to draw by. */
export const GuidesSection = memo(function GuidesSection() {
  const guides = useDesk((state) => state.history.design.guides);
  const { edit } = useEditing();
  return (
    <section aria-label="Guides">
      <h2 className="text-[15px] font-bold text-quiet">Guides</h2>
      <ul>
        {guides.map((guide, index) => (
          <li key={index} className="flex items-start gap-1">
            <div className="min-w-0 flex-1">
              <Sentence>
                <GuideWords guide={guide} index={index} />
              </Sentence>
            </div>
            <IconButton label={`Remove guide ${index + 1}`} className="size-7" onClick={() => edit(removeGuide(index))}>
              <Trash2 size={14} />
            </IconButton>
          </li>
        ))}
      </ul>
      <Menu
        trigger={
          <Button className="mt-1">
            <Plus size={16} /> Lay a guide
          </Button>
        }
      >
        {NEW_GUIDES.map(({ name, guide }) => (
          <MenuItem key={name} onSelect={() => edit(addGuide(guide, `lay ${name}`))}>
            {name}
          </MenuItem>
        ))}
      </Menu>
    </section>
  );
});

function GuideWords({ guide, index }: { guide: Guide; index: number }): ReactNode {
  const { edit } = useEditing();
  const put = (next: Guide) => (_value: NumberValue | undefined, change: string, gesture?: string) =>
    edit(setGuide(index, next, `guide ${change}`, gesture));
  const number = (
    label: string,
    stored: NumberValue,
    quantity: Quantity,
    limits: Limits,
    next: (value: NumberValue) => Guide,
  ) => (
    <BoundNumber
      label={`guide ${label}`}
      stored={stored}
      standard={0}
      quantity={quantity}
      limits={limits}
      step={1}
      onSet={(value, change, gesture) => put(next(value ?? stored))(value, change, gesture)}
    />
  );
  const angle = (stored: NumberValue, next: (value: NumberValue) => Guide) =>
    number("angle", stored, "angle", GUIDE_ANGLE, next);
  if ("x" in guide)
    return <>An upright line {number("across", guide.x, "length", GUIDE_PLACE, (x) => ({ x }))} across.</>;
  if ("y" in guide) return <>A level line {number("down", guide.y, "length", GUIDE_PLACE, (y) => ({ y }))} down.</>;
  if ("angle" in guide) return <>A line at {angle(guide.angle, (value) => ({ ...guide, angle: value }))}.</>;
  if ("polygon" in guide) {
    const { polygon } = guide;
    const to = (change: Partial<typeof polygon>): Guide => ({ polygon: { ...polygon, ...change } });
    return (
      <>
        A polygon of {number("sides", polygon.sides, "count", GUIDE_POINTS, (sides) => to({ sides }))} sides, radius{" "}
        {number("radius", polygon.radius, "length", SHEET_SIDE, (radius) => to({ radius }))}, begun at{" "}
        {angle(polygon.start ?? 0, (start) => to({ start }))}.
      </>
    );
  }
  const { star } = guide;
  const to = (change: Partial<typeof star>): Guide => ({ star: { ...star, ...change } });
  return (
    <>
      A star of {number("points", star.points, "count", GUIDE_POINTS, (points) => to({ points }))} points, out to{" "}
      {number("outer", star.outer, "length", SHEET_SIDE, (outer) => to({ outer }))}, in to{" "}
      {number("inner", star.inner, "length", SHEET_SIDE, (inner) => to({ inner }))}, begun at{" "}
      {angle(star.start ?? 0, (start) => to({ start }))}.
    </>
  );
}
