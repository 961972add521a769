import { EFFECT, type Finish, type PaletteColor } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setFinish } from "@/store/edits/finish";
import { Sentence } from "@/ui/sentence";
import { WordButton } from "../../fields/wordButton";
import { EFFECT_LABELS } from "./effects/list";

interface EffectsProps {
  readonly part: string;
  readonly finish: Finish;
  readonly palette: readonly PaletteColor[];
}

/** What lies under and over the part's paint. */
export function EffectSentences({ part, finish, palette }: EffectsProps) {
  const { edit } = useEditing();
  return EFFECT_LABELS.filter(({ kind }) => finish[kind] !== null).map(({ kind, name, Panel }) => (
    <Sentence key={kind}>
      <Panel part={part} finish={finish} palette={palette} />
      <WordButton onClick={() => edit(setFinish(part, kind, null, `remove the ${name}`))}>no {name}</WordButton>
    </Sentence>
  ));
}

/** What else may lie there. */
export function EffectOffers({ part, finish }: Pick<EffectsProps, "part" | "finish">) {
  const { edit } = useEditing();
  return EFFECT_LABELS.filter(({ kind }) => finish[kind] === null).map(({ kind, add }) => (
    <WordButton key={kind} onClick={() => edit(setFinish(part, kind, EFFECT[kind].field.complete({}), `add ${add}`))}>
      {add}
    </WordButton>
  ));
}
