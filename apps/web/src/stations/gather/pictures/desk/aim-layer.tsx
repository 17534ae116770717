import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import { nearTwin } from '@mint-lamp/core/judged/readout/near-twin';
import { sampledText } from '@mint-lamp/core/picture/sample';
import type { System } from '@mint-lamp/core/system/resolve';
import { useSystem } from '../../../../store/selectors.ts';
import { useResting } from '../../../../ui/use-resting.ts';
import { Crosshair } from './crosshair.tsx';
import { type Aim, Loupe } from './loupe.tsx';
import { type Aiming, useAimState } from './use-aim.ts';
import { type DeskView, type Size, toBox } from './view.ts';

interface AimLayerProps {
  aiming: Aiming;
  drawn: { readonly view: DeskView; readonly size: Size };
  /** The colour that was taken last. */
  taken: string | null;
}

/** Where it is aimed at and what lies there, beside the pointer; also in words. */
export function AimLayer({ aiming, drawn, taken }: AimLayerProps) {
  const { cross, aim } = useAimState(aiming);
  const { view, size } = drawn;
  const [x, y] = aim ? toBox(view, size, aim.place.x + 0.5, aim.place.y + 0.5) : [0, 0];
  return (
    <>
      {cross && <Crosshair place={cross} view={view} size={size} />}
      {aim && <Loupe aim={aim} x={x} y={y} room={size} taken={taken} />}
      <Spoken aim={aim} />
    </>
  );
}

/** What is aimed at, for those who do not see it; once it rests. */
function Spoken({ aim }: { aim: Aim | null }) {
  const system = useSystem();
  const resting = useResting(aim, 350);
  return (
    <p role="status" className="sr-only" data-testid="spoken">
      {resting && inWords(resting, system)}
    </p>
  );
}

function inWords({ place: { x, y, side }, color }: Aim, system: System): string {
  const hex = sampledText(color);
  const twin = nearTwin(system, color.r, color.g, color.b);
  const words = [
    `${x}, ${y}: ${hex}`,
    describeColor(readColor(hex)),
    ...(side > 1 ? [`over ${side} px`] : []),
    ...(twin ? [`nearly ${twin.name}`] : []),
  ];
  return words.join(', ');
}
