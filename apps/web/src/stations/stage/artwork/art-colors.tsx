import type { Artwork } from '@mint-lamp/core/document/artworks/artwork';
import type { Link as ColorLink } from '@mint-lamp/core/document/links/link';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { artColor } from '@mint-lamp/core/system/painted-artwork';
import { LinkPicker } from '../../../links/link-picker.tsx';
import { useEditing } from '../../../store/editing.ts';
import { useSystem, useTheme } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';

/** A colour of an artwork: how it is called there, and what stands before it. */
export interface ArtColor {
  readonly key: string;
  readonly color: string;
  /** What is said of it: its share, its name. */
  readonly said: string;
}

/** Every colour of an artwork, and what paints it instead. */
export function ArtColors({ artwork, colors }: { artwork: Artwork; colors: readonly ArtColor[] }) {
  const system = useSystem();
  const theme = useTheme();
  const { tryEdit, preview } = useEditing();
  const linking = (key: string, link: ColorLink | null) => {
    const { [key]: _, ...rest } = artwork.links;
    return {
      type: 'linkArtwork',
      artwork: artwork.id,
      links: link ? { ...rest, [key]: link } : rest,
    } as const;
  };
  return (
    <ul aria-label="Its colours" className="max-h-96 overflow-auto border-y border-hair">
      {colors.map(({ key, color, said }) => {
        const link = artwork.links[key] ?? null;
        const painted = link ? artColor(system, theme, color, link) : null;
        return (
          <li key={key} className="flex items-center gap-2 py-1">
            <ColorChip css={color} className="size-5 shrink-0" />
            <span className="w-24 shrink-0 truncate font-mono text-sm text-quiet" title={key}>
              {said}
            </span>
            <span aria-hidden>→</span>
            <ColorChip css={painted?.css ?? color} className="size-5 shrink-0" />
            <LinkPicker
              link={link}
              label={`What ${key} is painted with`}
              trigger={
                <button
                  type="button"
                  aria-label={`${key} is painted with ${link ? linkName(system.document, link) : 'itself'}`}
                  className="min-w-0 flex-1 truncate rounded-md px-1.5 py-0.5 text-left hover:bg-pressed"
                >
                  {link ? linkName(system.document, link) : <span className="text-quiet">as it is</span>}
                  {link && !painted && <span className="text-fail"> broken: as it was</span>}
                </button>
              }
              onPick={(next) => tryEdit(linking(key, next))}
              onPreview={(next) => preview(next && linking(key, next))}
            />
            {link && (
              <Button
                small
                look="quiet"
                aria-label={`Keep the own colour of ${key}`}
                title="Keep its own colour"
                onClick={() => tryEdit(linking(key, null))}
              >
                ×
              </Button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
