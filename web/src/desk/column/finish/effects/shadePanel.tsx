import { EFFECT } from "@twin-petal/core";
import { Swatch } from "@/ui/swatch";
import { useEffectOf, type EffectPanelProps } from "./definition";

type ShadeKind = "shadow" | "innerShadow" | "glow";

interface ShadePanelProps extends EffectPanelProps<ShadeKind> {
  readonly kind: ShadeKind;
  readonly name: string;
  /** What opens its sentence. */
  readonly opening: string;
}

/** A soft copy of what is painted: its colour, where it lies, and how soft it is. */
export function ShadePanel({ part, kind, name, opening, values, palette }: ShadePanelProps) {
  const { set, number } = useEffectOf(part, kind, name, values);
  const { fields } = EFFECT[kind];
  return (
    <>
      <b>{opening}</b> in
      <Swatch
        label={name}
        value={values.color}
        palette={palette}
        onChange={(color, gesture) => set({ color }, `${name} colour`, gesture)}
      />
      moved {number("across", values.x, fields.x, (x) => ({ x }))} and{" "}
      {number("down", values.y, fields.y, (y) => ({ y }))}, blurred over{" "}
      {number("blur", values.blur, fields.blur, (blur) => ({ blur }))}, opaque by{" "}
      {number("opacity", values.opacity, fields.opacity, (opacity) => ({ opacity }))}
    </>
  );
}
