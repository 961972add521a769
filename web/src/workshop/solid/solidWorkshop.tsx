import { unwaited } from "@/api/unwaited";
import { useCallback, useEffect, useState } from "react";
import type { Checked, Design, SpacePoint } from "@twin-petal/core";
import { useDesign } from "@/store/deskStore";
import { SolidView } from "@/solid/solidView";
import { useEye } from "@/solid/useEye";
import { useMaking } from "@/store/useMaking";
import { useSolids, type Solids } from "@/solid/useSolids";
import { ChecksPanel } from "../checksPanel";
import { fileFor } from "../fileFor";
import { SendPanel } from "../sendPanel";
import { TakeAwayKind } from "../takeAwayKind";
import { timeWords } from "../timeWords";
import { WorkshopFrame } from "../workshopFrame";
import { figure, mm } from "../figures";
import { SOLID_CHECK_LABELS } from "./checks/list";
import { LayersStrip } from "./layersStrip";
import { SolidSettings } from "./settings";
import { useLayers, type Layers } from "./useLayers";

/** Curves of the copies while the hand moves: chords within this, millimetres. */
const COARSE = 0.12;

/** Where an ornament is made ready to stand up: settings, the solid as it will be made, checks, layers, and the device. */
export default function SolidWorkshop() {
  const design = useDesign();
  const settings = useMaking(design).solid;
  const solids = useSolids(design, COARSE, settings.tolerance, true);
  const layers = useLayers(design, solids);
  const checks = useChecks(design, solids);
  const eye = useEye();
  const [places, setPlaces] = useState<readonly SpacePoint[]>([]);
  const { goTo } = layers;
  const onStep = useCallback((done: number) => goTo(done - 1), [goTo]);
  return (
    <WorkshopFrame
      actions={<TakeAwayKind design={design} kind="solid" />}
      settings={<SolidSettings />}
      checks={
        <>
          <ChecksPanel<SpacePoint, Checked>
            checks={checks}
            labels={SOLID_CHECK_LABELS}
            waiting="Waiting until it is united …"
            nothing={
              solids.isCurrent && solids.layout?.parts.length === 0
                ? "There is nothing to check: no part that is shown has a height. Give one a height on the desk, or show one that has."
                : null
            }
            onShow={(all, at) => {
              goTo(null);
              setPlaces([at, ...all.filter((one) => one !== at)]);
              eye.ask({ at: [at.x, at.y, at.z] });
            }}
          />
          <TimeWords layers={layers} speed={settings.speed} lineWidth={settings.lineWidth} layer={settings.layer} />
        </>
      }
      device={
        <SendPanel
          device="solid"
          words={{ device: "printer of solids", step: "layer" }}
          settings={settings}
          makeFile={() => fileFor(design, "3mf")}
          reportWords={({ length, seconds, grams, height }) =>
            `laid ${figure((length ?? 0) / 1000, 1)} m in ${timeWords(seconds ?? 0)}, ${figure(grams, 1)} g, ${mm(height)} high`
          }
          onStep={onStep}
        />
      }
      run={<LayersStrip layers={layers} />}
    >
      <SolidView
        label={`The solid of ${design.name}.`}
        solids={solids}
        bed={settings.frame}
        eye={eye}
        laid={layers.layer}
        places={places.slice(0, 1)}
      />
    </WorkshopFrame>
  );
}

/** Everything that is looked at, as soon as the solid is united. */
function useChecks(design: Design, { model, united }: Solids): readonly Checked[] | null {
  const [found, setFound] = useState<{ of: unknown; checks: readonly Checked[] | null }>({ of: null, checks: null });
  useEffect(() => {
    if (!model) return;
    let isOver = false;
    unwaited(
      united()
        ?.check(design)
        .then((checks) => !isOver && setFound({ of: model, checks })),
    );
    return () => {
      isOver = true;
    };
  }, [model, united, design]);
  return found.of === model ? found.checks : null;
}

interface TimeWordsProps {
  readonly layers: Layers;
  readonly speed: number;
  readonly lineWidth: number;
  readonly layer: number;
}

/** How long it takes, and how much is laid. */
function TimeWords({ layers: { laid, count }, speed, lineWidth, layer }: TimeWordsProps) {
  if (count === 0) return null;
  if ("share" in laid) return <p className="text-[15px] text-quiet">Slicing, {Math.round(laid.share * 100)} % …</p>;
  const { length } = laid;
  return (
    <p data-laid={length} className="text-[15px]">
      <b className="font-medium">Time</b> {timeWords(length / speed)}; {figure(length / 1000, 1)} m of line laid,{" "}
      {figure((length * lineWidth * layer) / 1000, 2)} cm³ of material
    </p>
  );
}
