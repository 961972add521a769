import {
  EFFECT_DEFAULTS,
  FACET_SIZE,
  GRAIN_SIZE,
  OPACITY,
  SEED,
  SHADE_BLUR,
  SHADE_PLACE,
  type Finish,
  type GrainValue,
  type Limits,
  type NumberValue,
  type PaletteColor,
  type Quantity,
  type ShadeValue,
  type TextureValue,
} from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setFinish } from "@/store/edits/finish";
import { Choice } from "@/ui/choice";
import { Sentence } from "@/ui/sentence";
import { Swatch } from "@/ui/swatch";
import { BoundNumber } from "../../fields/boundNumber";
import { WordButton } from "../../fields/wordButton";

type EffectName = keyof typeof EFFECT_DEFAULTS;

const NAMES: readonly { readonly key: EffectName; readonly name: string; readonly add: string }[] = [
  { key: "shadow", name: "shadow", add: "a shadow" },
  { key: "glow", name: "glow", add: "a glow" },
  { key: "innerShadow", name: "inner shadow", add: "an inner shadow" },
  { key: "texture", name: "facets", add: "facets" },
  { key: "grain", name: "grain", add: "grain" },
];

interface EffectsProps {
  readonly part: string;
  readonly finish: Finish;
  readonly palette: readonly PaletteColor[];
}

/** What lies under and over the part's paint. */
export function EffectWords({ part, finish, palette }: EffectsProps) {
  const { edit } = useEditing();
  const absent = NAMES.filter(({ key }) => finish[key] === null);
  return (
    <>
      {NAMES.filter(({ key }) => finish[key] !== null).map(({ key, name }) => (
        <Sentence key={key}>
          <EffectSentence part={part} finish={finish} palette={palette} effect={key} name={name} />
          <WordButton onClick={() => edit(setFinish(part, key, null, `remove the ${name}`))}>no {name}</WordButton>
        </Sentence>
      ))}
      {absent.length > 0 && (
        <Sentence>
          Add{" "}
          {absent.map(({ key, add }) => (
            <WordButton key={key} onClick={() => edit(setFinish(part, key, EFFECT_DEFAULTS[key], `add ${add}`))}>
              {add}
            </WordButton>
          ))}
        </Sentence>
      )}
    </>
  );
}

interface EffectSentenceProps extends EffectsProps {
  readonly effect: EffectName;
  readonly name: string;
}

function EffectSentence({ part, finish, palette, effect, name }: EffectSentenceProps) {
  const { grain, texture } = finish;
  if (effect === "grain") return grain && <GrainWords part={part} grain={grain} />;
  if (effect === "texture") return texture && <FacetWords part={part} texture={texture} />;
  const shade = finish[effect];
  return shade && <ShadeWords part={part} name={name} effect={effect} shade={shade} palette={palette} />;
}

/** Makes the numbers of one effect. */
function useNumberOf<E extends GrainValue | TextureValue | ShadeValue>(
  part: string,
  key: EffectName,
  name: string,
  value: E,
) {
  const { edit } = useEditing();
  const set = (change: Partial<E>, label: string, gesture?: string) =>
    edit(setFinish(part, key, { ...value, ...change }, label, gesture && `${part}/${key}/${gesture}`));
  const number = (
    words: string,
    stored: NumberValue,
    standard: NumberValue,
    quantity: Quantity,
    limits: Limits,
    step: number,
    withValue: (next: NumberValue) => Partial<E>,
  ) => (
    <BoundNumber
      label={`${name} ${words}`}
      stored={stored}
      standard={Number(standard)}
      quantity={quantity}
      limits={limits}
      step={step}
      onSet={(next, change, gesture) => set(withValue(next ?? standard), change, gesture)}
    />
  );
  return { set, number };
}

interface ShadeWordsProps {
  readonly part: string;
  readonly name: string;
  readonly effect: "shadow" | "glow" | "innerShadow";
  readonly shade: ShadeValue;
  readonly palette: readonly PaletteColor[];
}

function ShadeWords({ part, name, effect, shade, palette }: ShadeWordsProps) {
  const { set, number } = useNumberOf(part, effect, name, shade);
  const standard = EFFECT_DEFAULTS[effect];
  return (
    <>
      <b>{effect === "innerShadow" ? "An inner shadow" : `A ${name}`}</b> in
      <Swatch
        label={name}
        value={shade.color}
        palette={palette}
        onChange={(color, gesture) => set({ color }, `${name} colour`, gesture)}
      />
      moved {number("across", shade.x, standard.x, "length", SHADE_PLACE, 0.2, (x) => ({ x }))} and{" "}
      {number("down", shade.y, standard.y, "length", SHADE_PLACE, 0.2, (y) => ({ y }))}, blurred over{" "}
      {number("blur", shade.blur, standard.blur, "length", SHADE_BLUR, 0.5, (blur) => ({ blur }))}, opaque by{" "}
      {number("opacity", shade.opacity, standard.opacity, "share", OPACITY, 0.05, (opacity) => ({ opacity }))}
    </>
  );
}

function GrainWords({ part, grain }: { part: string; grain: GrainValue }) {
  const { set, number } = useNumberOf(part, "grain", "grain", grain);
  const standard = EFFECT_DEFAULTS.grain;
  return (
    <>
      <b>Grain</b> by{" "}
      {number("amount", grain.amount, standard.amount, "share", OPACITY, 0.05, (amount) => ({ amount }))} in specks of{" "}
      {number("size", grain.size, standard.size, "length", GRAIN_SIZE, 0.1, (size) => ({ size }))},{" "}
      <Choice
        label="grain colours"
        value={grain.mono ? "mono" : "many"}
        choices={[
          { value: "mono", words: "light and dark" },
          { value: "many", words: "of many colours" },
        ]}
        onChange={(next) => set({ mono: next === "mono" }, next === "mono" ? "grain light and dark" : "coloured grain")}
      />
      , throw {number("throw", grain.seed, standard.seed, "count", SEED, 1, (seed) => ({ seed }))}
    </>
  );
}

function FacetWords({ part, texture }: { part: string; texture: TextureValue }) {
  const { number } = useNumberOf(part, "texture", "facets", texture);
  const standard = EFFECT_DEFAULTS.texture;
  return (
    <>
      <b>Facets</b> of {number("size", texture.size, standard.size, "length", FACET_SIZE, 0.5, (size) => ({ size }))},
      lit by{" "}
      {number("strength", texture.strength, standard.strength, "share", OPACITY, 0.05, (strength) => ({ strength }))},
      throw {number("throw", texture.seed, standard.seed, "count", SEED, 1, (seed) => ({ seed }))}
    </>
  );
}
