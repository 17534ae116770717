import type { Artwork } from '@mint-lamp/core/document/artworks/artwork';
import {
  greyestFamily,
  type Matched,
  matchColors,
  roleCandidates,
  shadeCandidates,
} from '@mint-lamp/core/edits/artworks/match-colors';
import { writeArtworkByProperties } from '@mint-lamp/core/exchange/artwork-svg';
import { balanceOf } from '@mint-lamp/core/judged/balance';
import { svgColors } from '@mint-lamp/core/svg/svg-colors';
import { paintArtwork } from '@mint-lamp/core/system/painted-artwork';
import { Download } from 'lucide-react';
import { useEffect, useState } from 'react';
import { PLAIN } from '../../../scene/area-shares.ts';
import { useEditing } from '../../../store/editing.ts';
import { selectSettledSystem, useSystem, useTheme } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { save } from '../../../ui/save-file.ts';
import { useSeenThrough } from '../stage-tools.tsx';
import { useSeenThemes } from '../use-stage-view.ts';
import { ArtColors } from './art-colors.tsx';
import { ArtworkHeader } from './artwork-header.tsx';
import { OnPage } from './artwork-tiles.tsx';
import { drawingShares } from './drawing-shares.ts';

/** A drawing large, in every theme, with its colours and what they are linked to. */
export default function LargeDrawing({ artwork }: { artwork: Artwork }) {
  const themes = useSeenThemes();
  const filter = useSeenThrough();
  const [shares, setShares] = useState<ReadonlyMap<string, number> | null>(null);
  useEffect(() => {
    let left = false;
    void drawingShares(artwork.content).then((found) => {
      if (!left) setShares(found);
    });
    return () => {
      left = true;
    };
  }, [artwork.content]);
  return (
    <section aria-label={artwork.name} className="flex flex-1 flex-col">
      <ArtworkHeader artwork={artwork} />
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)_344px] narrow:grid-cols-1 gap-5 px-5 pb-5 max-[1100px]:grid-cols-1">
        <div className="flex flex-wrap content-start gap-4" style={{ filter }}>
          {themes.map((theme) => (
            <figure key={theme.theme.id} className="m-0">
              <figcaption className="pb-1 text-sm text-quiet">{theme.theme.name}</figcaption>
              <OnPage artwork={artwork} theme={theme} className="size-[280px] p-4" />
            </figure>
          ))}
          <figure className="m-0">
            <figcaption className="pb-1 text-sm text-quiet">Original</figcaption>
            {themes[0] && (
              <OnPage artwork={{ ...artwork, links: {} }} theme={themes[0]} className="size-[140px] p-2" />
            )}
          </figure>
        </div>
        <div>
          <Proposals artwork={artwork} shares={shares} />
          <Colors artwork={artwork} shares={shares} />
          {shares && <Families artwork={artwork} shares={shares} />}
          <Handing artwork={artwork} />
        </div>
      </div>
    </section>
  );
}

interface ColorsProps {
  artwork: Artwork;
  /** What each colour covers; null while that is being counted. */
  shares: ReadonlyMap<string, number> | null;
}

/** Whole sets of links, each seen before it is taken. */
function Proposals({ artwork, shares }: ColorsProps) {
  const settled = useAppSelector(selectSettledSystem);
  const theme = useTheme();
  const { edit, preview } = useEditing();
  const families = settled.document.families;
  const [family, setFamily] = useState(families[0]?.id ?? '');
  const colors = svgColors(artwork.content).filter((color) => !shares || shares.has(color));
  const to = (links: Matched) =>
    ({ type: 'linkArtwork', artwork: artwork.id, links: Object.fromEntries(links) }) as const;
  const weights = shares ?? new Map();
  const grey = greyestFamily(settled);
  const all: readonly (readonly [name: string, title: string, links: () => Matched])[] = [
    [
      'Nearest shades',
      'Dark stays dark, light stays light',
      () => matchColors(colors, shadeCandidates(settled), weights),
    ],
    [
      'Nearest roles',
      `Roles as they are in ${theme.theme.name}; in other themes it changes with them`,
      () =>
        matchColors(
          colors,
          roleCandidates(settled.themes.get(theme.theme.id)!, settled.document.roles),
          weights,
        ),
    ],
    ...(grey === null
      ? []
      : [
          [
            'One hue',
            'In the greyest family',
            () => matchColors(colors, shadeCandidates(settled, grey), weights),
          ] as const,
        ]),
    ['Original', 'Its own colours', () => new Map()],
  ];
  const press = (name: string, title: string, links: () => Matched) => (
    <Button
      key={name}
      small
      title={title}
      onPointerEnter={() => preview(to(links()))}
      onPointerLeave={() => preview(null)}
      onFocus={() => preview(to(links()))}
      onBlur={() => preview(null)}
      onClick={() => edit(to(links()))}
    >
      {name}
    </Button>
  );
  return (
    <fieldset aria-label="Link all colours" className="mb-3 flex flex-wrap items-center gap-1.5">
      {all.map(([name, title, links]) => press(name, title, links))}
      {families.length > 0 && (
        <span className="flex items-center gap-1">
          <Choice
            label="Family for all colours"
            hideLabel
            className="w-30"
            value={family}
            options={families.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setFamily}
          />
          {press('In one family', 'All colours as shades of that family', () =>
            matchColors(colors, shadeCandidates(settled, family), weights),
          )}
        </span>
      )}
    </fieldset>
  );
}

const percent = (share: number) => (share < 0.001 ? '< 0.1 %' : `${(share * 100).toFixed(1)} %`);

/** Every colour of the drawing, the one that covers most first. */
function Colors({ artwork, shares }: ColorsProps) {
  const colors = svgColors(artwork.content)
    .filter((color) => !shares || shares.has(color))
    .sort((a, b) => (shares?.get(b) ?? 0) - (shares?.get(a) ?? 0));
  return (
    <section aria-label="Colours of the drawing">
      <h2 className="mb-1 text-sm text-quiet">
        {colors.length} {colors.length === 1 ? 'colour' : 'colours'}, by what they cover
      </h2>
      <ArtColors
        artwork={artwork}
        colors={colors.map((color) => ({
          key: color,
          color,
          said: shares ? percent(shares.get(color) ?? 0) : '…',
        }))}
      />
    </section>
  );
}

/** What families cover of the drawing in the theme that is switched on, beside 60 / 30 / 10. */
function Families({ artwork, shares }: { artwork: Artwork; shares: ReadonlyMap<string, number> }) {
  const { families } = useSystem();
  const theme = useTheme();
  const covered = new Map<string, number>();
  for (const [color, share] of shares) {
    const link = artwork.links[color];
    const family =
      link?.to === 'shade' || link?.to === 'base'
        ? link.family
        : link?.to === 'role'
          ? theme.roles.get(link.role)?.source?.family
          : undefined;
    const key = family ?? PLAIN;
    covered.set(key, (covered.get(key) ?? 0) + share);
  }
  const { families: list, off } = balanceOf(covered);
  return (
    <p className="mt-2 text-sm" data-testid="drawing-balance">
      {list
        .map(({ key, share }) => `${families.get(key)?.family.name ?? 'plain colours'} ${percent(share)}`)
        .join(', ')}
      : <b className="font-mono">{percent(off)}</b> off 60 / 30 / 10
    </p>
  );
}

/** The drawing to take away: painted in a theme, or by custom properties. */
function Handing({ artwork }: { artwork: Artwork }) {
  const system = useSystem();
  const theme = useTheme();
  const painted = paintArtwork(system, theme, artwork);
  const byProperties = writeArtworkByProperties(system, theme, artwork);
  const file = artwork.name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-') || 'drawing';
  return (
    <section aria-label="Copy or download" className="mt-3 flex flex-col gap-1">
      <h2 className="text-sm text-quiet">Copy or download</h2>
      {(
        [
          [`As in ${theme.theme.name}`, painted, `${file}.svg`],
          ['By custom properties', byProperties, `${file}-themed.svg`],
        ] as const
      ).map(([name, svg, as]) => (
        <div key={name} className="flex items-center gap-1">
          <span className="flex-1">{name}</span>
          <CopyButton text={svg} label={`Copy the drawing: ${name}`}>
            Copy
          </CopyButton>
          <IconButton label={`Download ${as}`} small onClick={() => save(as, svg, 'image/svg+xml')}>
            <Download size={14} />
          </IconButton>
        </div>
      ))}
    </section>
  );
}
