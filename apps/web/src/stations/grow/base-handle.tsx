import { readColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import { atLightness, lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance } from '@mint-lamp/core/contrast/ratio';
import { followingWords } from '@mint-lamp/core/document/links/following';
import type { ResolvedFamily, ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import { paint } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { Link2 } from 'lucide-react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../addresses.ts';
import { baseCommand, lyingBetween } from '../../kinds/families/base-command.ts';
import { useEditing } from '../../store/editing.ts';
import { selectDocument, selectProject, selectSettledSystem, selectSystem } from '../../store/selectors.ts';
import { type AppStore, useAppSelector } from '../../store/store.ts';
import { mayPaint } from '../../store/use-live.ts';
import { axisOf, shareAcross, useDrag } from '../../ui/use-drag.ts';

/** L* of an arrow key. */
const STEP = 1;
const LARGE_STEP = 5;

interface BaseHandleProps {
  resolved: ResolvedFamily;
  shade: ResolvedShade;
  place: number;
  lit: boolean;
  on: boolean;
}

/** The shade that is the base: taller than the others, and the only one that moves the whole family. */
export function BaseHandle({ resolved: { family, base }, shade, place, lit, on }: BaseHandleProps) {
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const { edit, preview } = useEditing();
  const store = useStore() as AppStore;
  const placeOf = (color: string) => lightnessOfLuminance(luminance(paint(color)));
  const at = (from: string, lightness: number) => canonical(atLightness(readColor(from), lightness));
  /** What has to change for the base to be a colour; what lies between two others cannot be moved. */
  const to = (color: string) =>
    baseCommand(family, color, selectSystem(store.getState()).families, 'lightness');
  const { follows } = family;
  const words =
    follows &&
    followingWords(
      follows,
      (other) =>
        selectDocument(store.getState()).families.find((one) => one.id === other)?.name ?? 'a removed family',
    );

  const open = () => navigate(addressOf(id, 'grow', family.id));
  const drag = useDrag({
    grip: (element) => ({ axis: axisOf(element), from: base.text }),
    at: ({ axis, from }, pointed) => at(from, shareAcross(axis, pointed) * 100),
    step: ({ dx, dy, far }, last) => {
      const from = last ?? base.text;
      return at(from, placeOf(from) + (dx - dy) * (far ? LARGE_STEP : STEP));
    },
    from: 3,
    isPainted: mayPaint,
    show: (color) => preview(color === null ? null : to(color)),
    make(color) {
      const settled = selectSettledSystem(store.getState()).families.get(family.id);
      const command = color === settled?.base.text ? null : to(color);
      if (command) edit(command);
      else {
        preview(null);
        if (follows?.by === 'between') toast.error(lyingBetween(family));
      }
    },
    onPress: open,
    says: (color) => `Base of ${family.name}: ${color}, L* ${placeOf(color).toFixed(1)}`,
  });
  return (
    <button
      type="button"
      role="slider"
      aria-label={`Base of ${family.name}, ${shade.label}`}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(place)}
      aria-valuetext={`L* ${place.toFixed(1)}, ${shade.css}`}
      title={`Base of ${family.name}: ${shade.css}, L* ${place.toFixed(1)}. ${words ? `It is the ${words}.` : 'Drag it along the rail.'}`}
      {...drag.pointer}
      onBlur={drag.onBlur}
      onClick={(event) => event.detail === 0 && open()}
      onKeyDown={drag.onKeyDown}
      className="absolute top-[1px] z-10 -ml-[13px] flex w-[26px] cursor-ew-resize touch-none flex-col items-center gap-0.5 rounded-md"
      style={{ left: `${place}%` }}
    >
      <span
        className={clsx(
          'block h-[34px] w-[26px] rounded-md border-2 border-main',
          on && 'outline-2 outline-offset-1 outline-main',
          !lit && 'border-dashed',
        )}
        style={{ background: shade.css }}
      />
      {words && (
        <Link2
          aria-label={words}
          className="absolute -top-1 -right-1.5 size-3.5 rounded-[4px] bg-main p-px text-inverse"
        />
      )}
      <span data-label className="bg-ground px-0.5 text-sm leading-none font-semibold">
        {shade.label}
      </span>
    </button>
  );
}
