import { useMemo } from 'react';
import type { BegunSystem, Cast } from '../jobs/work/begin-system.ts';
import { SceneRoot } from '../scene/scene-root.tsx';
import { sceneStyle } from '../scene/scene-style.ts';
import { sceneText } from '../scene/scene-text.ts';
import { Landing } from '../scene/scenes/landing.tsx';
import { Small } from '../scene/small.tsx';
import { Choice } from '../ui/choice.tsx';
import { useSize } from '../ui/use-size.ts';

/** Px between two pages, and the height of a page to its width. */
const GAP = 16;
const TALL = 0.62;
/** Px of a page from which on two stand beside each other. */
const LEAST = 250;

interface ShownSystemProps {
  begun: BegunSystem;
  /** What the page is called. */
  name: string;
  onCast: (cast: Cast) => void;
}

/** What it comes to: a page in each theme, and every family with its shades. */
export function ShownSystem({ begun, name, onCast }: ShownSystemProps) {
  const { preview, pairs, passing, reasons } = begun;
  const { families, themes, words } = preview;
  const { element, width } = useSize<HTMLDivElement>();
  const text = useMemo(() => sceneText(name.trim() || 'Your product', words.action, words), [name, words]);
  const painted = themes.filter(({ paints }) => Object.keys(paints).length > 0);
  const abreast = painted.length > 1 && width >= LEAST * 2 + GAP ? 2 : 1;
  const each = Math.floor((width - GAP * (abreast - 1)) / abreast);
  return (
    <div ref={element}>
      {width > 0 && (
        <div className="flex flex-wrap" style={{ gap: GAP }}>
          {painted.map((theme) => (
            <figure key={theme.name} className="m-0">
              <Small width={each} height={Math.round(each * TALL)} page={820}>
                <SceneRoot Draw={Landing} text={text} style={sceneStyle(theme.paints)} states={false} />
              </Small>
              <figcaption className="mt-1 text-quiet">{theme.name}</figcaption>
            </figure>
          ))}
        </div>
      )}
      <p role="status" className="mt-2 mb-3 text-lg">
        {pairs ? (
          <b className={passing === pairs ? 'text-pass' : 'text-fail'}>
            {passing === pairs ? `All ${pairs} pairs pass` : `${passing} of ${pairs} pairs pass`}
          </b>
        ) : (
          <b>No text stands on a ground yet</b>
        )}{' '}
        {pairs > 0 && (
          <span className="text-quiet">
            in {themes.map((theme) => theme.name).join(' and ')}
            {passing === pairs ? '' : '; Check repairs the rest'}
          </span>
        )}
      </p>
      <ul aria-label="Families" data-specimen className="flex flex-col gap-1">
        {families.map((family) => (
          <li key={family.name} className="flex items-center gap-3">
            <span className="w-36 shrink-0 truncate text-sm" title={family.name}>
              {family.name}
            </span>
            <span aria-hidden className="flex h-4 flex-1 gap-px overflow-hidden rounded-[3px]">
              {[...family.shades].reverse().map((shade, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: shades are a fixed row
                <span key={i} className="flex-1" style={{ background: shade }} />
              ))}
            </span>
          </li>
        ))}
      </ul>
      {begun.cast && begun.cast.names.length > 1 && <CastChoice cast={begun.cast} onCast={onCast} />}
      {reasons.length > 0 && (
        <details className="mt-3">
          <summary className="cursor-pointer text-quiet">Why these</summary>
          <ul className="mt-1 text-sm">
            {reasons.map(({ what, why }) => (
              <li key={`${what} ${why}`}>
                <b>{what}</b> {why}.
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

interface CastChoiceProps {
  cast: NonNullable<BegunSystem['cast']>;
  onCast: (cast: Cast) => void;
}

/** Which colour does most, and which is for the one thing that stands out. */
function CastChoice({ cast: { names, leads, accent }, onCast }: CastChoiceProps) {
  const places = names.map((name, i) => ({ value: String(i), label: name }));
  return (
    <div className="mt-3 flex flex-wrap gap-3">
      <Choice
        label="Leads: actions, links, focus"
        value={String(leads)}
        options={places}
        onChange={(at) => onCast({ leads: Number(at), accent: accent === Number(at) ? leads : accent })}
        className="min-w-52 flex-1"
      />
      <Choice
        label="Accent: the one thing that stands out"
        value={accent === null ? '' : String(accent)}
        options={[{ value: '', label: 'none' }, ...places.filter((_, i) => i !== leads)]}
        onChange={(at) => onCast({ leads, accent: at === '' ? null : Number(at) })}
        className="min-w-52 flex-1"
      />
    </div>
  );
}
