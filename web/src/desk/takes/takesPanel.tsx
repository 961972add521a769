import { useState } from "react";
import { Link } from "react-router";
import { ExternalLink, Images, RotateCcw, Trash2 } from "lucide-react";
import { pictureOfSave, type Save, type Take } from "@/api/takes";
import { Button, IconButton } from "@/ui/button";
import { Panel } from "@/ui/panel";
import { NameInput } from "@/ui/nameInput";
import { WordButton } from "../fields/wordButton";
import { useTakes } from "./useTakes";
import { whenWords } from "@/ui/whenWords";

/** Earlier saves shown at once. */
const SHOWN = 24;

/** The states of the design that are kept under a name, and every earlier save there still is. */
export function TakesPanel() {
  return (
    <Panel
      align="end"
      label="Takes"
      className="flex max-h-[82vh] w-[376px] flex-col overflow-y-auto"
      trigger={
        <Button id="takes">
          <Images size={16} aria-hidden="true" /> Takes
        </Button>
      }
    >
      <Takes />
    </Panel>
  );
}

type Actions = ReturnType<typeof useTakes>;

function Takes() {
  const actions = useTakes();
  const { takes, kept, earlier, keep } = actions;
  const [shown, setShown] = useState(SHOWN);
  const [now] = useState(() => Date.now());
  return (
    <>
      <Button look="main" className="self-start" disabled={keep.isPending} onClick={() => keep.mutate(freshName(kept))}>
        Keep this state
      </Button>
      {kept.length + earlier.length > 0 && (
        <Link to={`/designs/${actions.id}/compare`} className="mt-2 self-start font-medium text-live underline">
          Compare them
        </Link>
      )}
      {kept.length === 0 && takes.isSuccess && (
        <p className="mt-2 text-[15px] text-quiet">
          What you keep stays as it is, with its picture, however the design goes on.
        </p>
      )}
      {takes.isError && <p className="mt-2 text-failed">The takes could not be read.</p>}
      <ul aria-label="Kept" className="mt-2 grid grid-cols-2 gap-2">
        {kept.map((take) => (
          <TakeCard key={take.revision} take={take} now={now} actions={actions} />
        ))}
      </ul>
      {earlier.length > 0 && (
        <>
          <h3 className="mt-3 text-[15px] font-bold text-quiet">Earlier saves</h3>
          <ul aria-label="Earlier saves" className="mt-1 space-y-1">
            {earlier.slice(0, shown).map((save) => (
              <SaveRow key={save.revision} save={save} now={now} actions={actions} kept={kept} />
            ))}
          </ul>
          {earlier.length > shown && (
            <WordButton onClick={() => setShown(shown + SHOWN)}>{earlier.length - shown} more …</WordButton>
          )}
        </>
      )}
    </>
  );
}

/** A name no take has yet. */
function freshName(kept: readonly Take[]): string {
  const taken = new Set(kept.map(({ name }) => name));
  let number = kept.length + 1;
  while (taken.has(`Take ${number}`)) number += 1;
  return `Take ${number}`;
}

function TakeCard({ take, now, actions }: { take: Take; now: number; actions: Actions }) {
  const { revision, name, changed, picture } = take;
  const words = `“${name}”`;
  return (
    <li className="overflow-hidden rounded-md border border-hairline">
      <img src={picture} alt={`The design as ${words}`} loading="lazy" className="h-28 w-full bg-page object-contain" />
      <div className="border-t border-hairline px-1.5 py-1">
        <NameInput
          label={`Name of ${name}`}
          name={name}
          onRename={(next) => actions.name.mutate({ revision, name: next })}
        />
        <p className="px-0.5 text-[13px] text-quiet">{whenWords(changed, now)}</p>
        <div className="flex">
          <IconButton
            label={`Go back to ${name}`}
            className="size-7"
            onClick={() => actions.goBack.mutate({ revision, words })}
          >
            <RotateCcw size={15} />
          </IconButton>
          <IconButton
            label={`Open ${name} as a design of its own`}
            className="size-7"
            onClick={() => actions.open.mutate({ revision, words: name })}
          >
            <ExternalLink size={15} />
          </IconButton>
          <IconButton label={`Delete ${name}`} className="ml-auto size-7" onClick={() => actions.drop.mutate(take)}>
            <Trash2 size={15} />
          </IconButton>
        </div>
      </div>
    </li>
  );
}

interface SaveRowProps {
  readonly save: Save;
  readonly now: number;
  readonly actions: Actions;
  readonly kept: readonly Take[];
}

function SaveRow({ save: { revision, changed }, now, actions, kept }: SaveRowProps) {
  const when = whenWords(changed, now);
  return (
    <li className="flex items-center gap-2">
      <img
        src={pictureOfSave(actions.id, revision)}
        alt=""
        loading="lazy"
        className="size-12 shrink-0 rounded border border-hairline bg-page object-contain"
      />
      <span className="min-w-0 flex-1 text-[15px]">{when}</span>
      <WordButton onClick={() => actions.goBack.mutate({ revision, words: `the save of ${when}` })}>go back</WordButton>
      <WordButton onClick={() => actions.name.mutate({ revision, name: freshName(kept) })}>keep it</WordButton>
    </li>
  );
}
