import { contrastMark, lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance, type Rgba } from '@mint-lamp/core/contrast/ratio';
import type { Link } from '@mint-lamp/core/document/links/link';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { sameJson } from '@mint-lamp/core/document/same';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { besideInFamily } from '@mint-lamp/core/system/families/family-place';
import { movedOnAxis } from '@mint-lamp/core/system/families/moved-on-axis';
import { useStore } from 'react-redux';
import { useEditing } from '../../../store/editing.ts';
import { inTurns } from '../../../store/in-turns.tsx';
import { selectReadout, selectSystem, useSystem } from '../../../store/selectors.ts';
import { type AppStore, useAppSelector } from '../../../store/store.ts';
import { axisOf, shareAcross, useDrag } from '../../../ui/use-drag.ts';

const placeOf = (color: Rgba) => lightnessOfLuminance(luminance(color));
const css = ({ r, g, b }: Rgba) => `rgb(${r} ${g} ${b})`;
/** L* of an arrow key where there is no family to go along. */
const STEP = 1;

interface PairAxisProps {
  /** Of the pair in the document. */
  place: number;
  /** Id of the theme. */
  theme: string;
}

/**
 * Both colours of a pair on the light axis, with the stretch on which the text would pass. Either end is dragged, or
 * moved by the arrow keys, along its family; a plain colour freely.
 */
export default inTurns(function PairAxis({ place, theme }: PairAxisProps) {
  const measurement = useAppSelector(
    (state) => selectReadout(state).measured.get(theme)?.measurements[place] ?? null,
  );
  const system = useSystem();
  if (!measurement) return null;
  const { text, ground, required, pair, over } = measurement;
  const name = system.themes.get(theme)?.theme.name ?? '';
  if (!text || !ground || pair.exempt) return null;
  // On more than one colour, a text has to be darker than the darkest or lighter than the lightest by as much.
  const [darkest, lightest] = over ? endsOf(over.grounds.luminances) : [luminance(ground), luminance(ground)];
  const { darker } = contrastMark(darkest, required);
  const { lighter } = contrastMark(lightest, required);
  const roles = system.themes.get(theme)!.roles;
  const family = roles.get(pair.foreground)?.source?.family;
  const shades = (family && system.families.get(family)?.shades) || [];
  return (
    <figure aria-label={`On the light axis, in ${name}`} className="m-0 mb-3">
      <figcaption className="mb-1 text-sm text-quiet">
        In {name}, on the light axis: the text passes {required} where the line is strong.{' '}
        {over ? 'The band is what it stands on. Drag the text.' : 'Drag either end.'}
      </figcaption>
      <div className="relative mx-3 h-14" data-axis>
        <span aria-hidden className="absolute inset-x-0 top-[22px] h-px bg-control" />
        {darker !== null && <Lit from={0} to={darker} />}
        {lighter !== null && <Lit from={lighter} to={100} />}
        {shades.map((shade) => (
          <span
            key={shade.label}
            aria-hidden
            className="absolute top-[17px] h-[11px] w-px bg-control"
            style={{ left: `${placeOf(shade)}%` }}
          />
        ))}
        {over ? (
          <span
            aria-hidden
            className="absolute top-[14px] h-[17px] min-w-1 rounded-[3px] border border-control bg-sunken"
            style={{
              left: `${lightnessOfLuminance(darkest)}%`,
              width: `${lightnessOfLuminance(lightest) - lightnessOfLuminance(darkest)}%`,
            }}
          />
        ) : (
          <End role={pair.background} theme={theme} color={ground} says="ground" />
        )}
        <End role={pair.foreground} theme={theme} color={text} says="text" />
      </div>
    </figure>
  );
});

const endsOf = (luminances: Float64Array): [number, number] => [
  luminances.reduce((a, b) => Math.min(a, b)),
  luminances.reduce((a, b) => Math.max(a, b)),
];

const Lit = ({ from, to }: { from: number; to: number }) => (
  <span
    aria-hidden
    className="absolute top-[20px] h-[5px] rounded-full bg-main"
    style={{ left: `${from}%`, width: `${to - from}%` }}
  />
);

interface EndProps {
  role: string;
  theme: string;
  /** As it is seen. */
  color: Rgba;
  says: 'text' | 'ground';
}

function End({ role, theme, color, says }: EndProps) {
  const { edit, preview } = useEditing();
  const store = useStore() as AppStore;
  const now = () => {
    const system = selectSystem(store.getState());
    return { system, resolved: system.themes.get(theme)!.roles.get(role)! };
  };
  const linking = (link: Link) => ({ type: 'setLink', role, theme, link }) as const;
  const drag = useDrag({
    grip: axisOf,
    at(axis, pointed) {
      const { system, resolved } = now();
      return movedOnAxis(system.families, resolved, clamp(shareAcross(axis, pointed) * 100, 0, 100));
    },
    step({ dx, dy, far }) {
      const { system, resolved } = now();
      const way = dx - dy;
      const { source, opacity } = resolved;
      if (!source) return movedOnAxis(system.families, resolved, placeOf(color) + way * STEP * (far ? 5 : 1));
      const own: Link = { to: 'shade', ...source, ...(opacity === 1 ? {} : { opacity }) };
      return besideInFamily(system.families, own, way < 0 ? 'darker' : 'lighter');
    },
    same: sameJson,
    show: (link) => preview(link && linking(link)),
    make: (link) => edit(linking(link)),
    says: (link) => `The ${says} is ${linkName(now().system.document, link)}`,
  });
  const place = placeOf(color);
  const { resolved } = now();
  const isText = says === 'text';
  return (
    <button
      type="button"
      role="slider"
      aria-label={`Lightness of ${says === 'text' ? 'the text' : 'the ground'}, ${writeRoleName(resolved.role)}`}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(place)}
      aria-valuetext={`L* ${place.toFixed(1)}, ${css(color)}`}
      {...drag.pointer}
      onKeyDown={drag.onKeyDown}
      onBlur={drag.onBlur}
      className="absolute top-0 z-10 flex -translate-x-1/2 cursor-ew-resize touch-none flex-col items-center rounded-md"
      style={{ left: `${place}%` }}
    >
      <span
        className={
          isText
            ? 'mt-1 block h-9 w-5 rounded-md border-2 border-main'
            : 'mt-2.5 block h-6 w-8 rounded-md border-2 border-main'
        }
        style={{ background: css(color) }}
      />
      <span className={isText ? 'text-sm leading-none font-semibold' : 'mt-1.5 text-sm leading-none'}>
        {says}
      </span>
    </button>
  );
}
