import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import { lightAndDark } from '@mint-lamp/core/contrast/light-and-dark';
import { formatRatio, reaches } from '@mint-lamp/core/contrast/ratio';
import type { Swatch } from '@mint-lamp/core/document/tray/swatch';
import clsx from 'clsx';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { selected } from '../../../store/interface-slice.ts';
import { useDocumentPart, useProjectId } from '../../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';

/** As many are shown large; the rest is in the tray. */
const MOST = 60;
/** What body text needs by AA, and what leaves room for AAA. */
const BODY = 4.5;
const BODY_AAA = 7;

/** What the project has so far, large and with its names: whether there is a light and a dark among it, and what comes next. */
export function Gathered() {
  const tray = useDocumentPart('tray');
  const families = useDocumentPart('families');
  const id = useProjectId();
  const navigate = useNavigate();
  const count = tray.length === 1 ? 'One colour' : `${tray.length} colours`;
  return (
    <section aria-label="Gathered so far">
      <h2 className="font-title text-lg font-semibold">Gathered so far</h2>
      <p className="mb-3 text-quiet">
        {count} in the tray. <Span tray={tray} />
      </p>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(max(112px,18%),1fr))] gap-3">
        {tray.slice(0, MOST).map((swatch) => (
          <GatheredTile key={swatch.id} swatch={swatch} />
        ))}
      </ul>
      {tray.length > MOST && (
        <p className="mt-2 text-quiet">The other {tray.length - MOST} are in the tray below.</p>
      )}
      <p className="mt-4 flex flex-wrap items-center gap-3">
        <Button onClick={() => navigate(addressOf(id, 'grow'))}>
          {families.length ? 'Go on to Grow' : 'Grow shades from them'}
        </Button>
        <span className="text-quiet">
          {families.length
            ? `You have ${families.length === 1 ? 'one family' : `${families.length} families`} there already.`
            : 'Each one you choose there becomes a family.'}
        </span>
      </p>
    </section>
  );
}

/** The lightest on the darkest, and what that is enough for. */
function Span({ tray }: { tray: readonly Swatch[] }) {
  const ends = useMemo(() => lightAndDark(tray.map(({ color }) => readColor(color))), [tray]);
  if (!ends) return 'You will want at least one dark and one light.';
  const { ratio } = ends;
  const between = `${tray[ends.lightest]!.name} on ${tray[ends.darkest]!.name} has the most contrast, ${formatRatio(ratio)}: `;
  if (reaches(ratio, BODY_AAA)) return `${between}enough for any text.`;
  if (reaches(ratio, BODY)) return `${between}enough for body text at AA.`;
  return `${between}body text needs ${BODY}, so add a darker or a lighter one.`;
}

function GatheredTile({ swatch }: { swatch: Swatch }) {
  const dispatch = useAppDispatch();
  const lit = useAppSelector(
    ({ interface: { selection } }) => selection?.kind === 'swatch' && selection.swatch === swatch.id,
  );
  const { name, color } = swatch;
  const words = describeColor(readColor(color));
  return (
    <li>
      <button
        type="button"
        aria-pressed={lit}
        aria-label={`${name}, ${color}, ${words}`}
        onClick={() => dispatch(selected({ kind: 'swatch', swatch: swatch.id }))}
        className="w-full rounded-md text-left"
      >
        <ColorChip
          css={color}
          className={clsx('aspect-[3/2] w-full rounded-md!', lit && 'ring-2 ring-main')}
        />
        <span className="block font-semibold">{name}</span>
        {words !== name && <span className="block text-sm text-quiet">{words}</span>}
        <span className="block truncate font-mono text-sm text-quiet">{color}</span>
      </button>
    </li>
  );
}
