import { useState } from "react";
import { Film } from "lucide-react";
import { USUAL_OPTIONS } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { Button } from "@/ui/button";
import { FixedNumber } from "@/ui/fixedNumber";
import { Panel } from "@/ui/panel";
import { Sentence } from "@/ui/sentence";
import { takeAway } from "../takeAway";

/** The build-up of the whole ornament as a film: how long it takes, how large it is, and what file it is. */
export function FilmPanel() {
  const { now } = useEditing();
  const [duration, setDuration] = useState(USUAL_OPTIONS.duration);
  const [pixels, setPixels] = useState(USUAL_OPTIONS.pixels);
  const make = (extension: string) => void takeAway(now(), extension, { duration, pixels });
  return (
    <Panel
      side="top"
      label="Film of the build-up"
      className="w-80"
      trigger={
        <Button look="quiet" className="h-7 px-2">
          <Film size={15} aria-hidden="true" /> as a film …
        </Button>
      }
    >
      <Sentence>
        All parts, from the lowest up, are built in{" "}
        <FixedNumber
          label="seconds of the film"
          {...{ value: duration, unit: " s", step: 1, min: 1, max: 100, whole: false }}
          usual={USUAL_OPTIONS.duration}
          onSet={setDuration}
        />
        ; pictures of it are{" "}
        <FixedNumber
          label="pixels of the film"
          {...{ value: pixels, unit: " px", step: 20, min: 16, max: 4000, whole: true }}
          usual={USUAL_OPTIONS.pixels}
          onSet={setPixels}
        />{" "}
        on the longer side.
      </Sentence>
      <p className="mt-2 flex gap-2">
        <Button onClick={() => make("film.svg")}>One SVG that plays</Button>
        <Button onClick={() => make("film.zip")}>Pictures</Button>
      </p>
    </Panel>
  );
}
