import { describeCode, describeColor } from '@mint-lamp/core/color/describe';
import { findTwins } from '@mint-lamp/core/color/difference';
import { readColor } from '@mint-lamp/core/color/parse';
import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { MOST_STOPS } from '@mint-lamp/core/document/gradients/gradient';
import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import { oklabOf, paint } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { LEANING_WORDS } from '../../../../kinds/pictures/leaning-words.ts';
import type { PaletteRow, RowColor } from '../../../../pixels/palette-rows.ts';
import type { Light } from '../../../../pixels/pixel-worker.ts';
import { useEditing } from '../../../../store/editing.ts';
import { Button } from '../../../../ui/button.tsx';
import { CopyButton } from '../../../../ui/copy-button.tsx';
import { NumberField } from '../../../../ui/number-field.tsx';
import type { Taking } from '../../taking/use-taking.ts';
import type { Palettes } from './use-palettes.ts';

export const hexOf = ({ r, g, b }: Pick<RowColor, 'r' | 'g' | 'b'>): string => hexOfRgb8(r, g, b);
/** "12.4 %": never 0 for what is there. */
export const shareText = (share: number): string =>
  share > 0 && share < 0.001 ? '< 0.1 %' : `${(share * 100).toFixed(1)} %`;

interface PalettePanelProps {
  picture: Picture;
  palettes: Palettes | null;
  busy: boolean;
  size: number;
  onSize: (size: number) => void;
  /** The colour that was pressed last, whose place is seen. */
  pinned: Light | null;
  onPin: (light: Light) => void;
  /** The colour that is pointed at. */
  onLight: (light: Light | null) => void;
  taking: Taking;
}

/** Colours without those that can hardly be told from one before them: the rows have many in common. */
function distinct(colors: readonly string[]): string[] {
  const unique = [...new Set(colors)];
  const extra = new Set(
    findTwins(unique.map((color) => oklabOf(paint(color)))).map(({ a, b }) => Math.max(a, b)),
  );
  return unique.filter((_, i) => !extra.has(i));
}

/** Six palettes of the picture to compare, each with its shares of area; any of it can be taken. */
export function PalettePanel(props: PalettePanelProps) {
  const { palettes, busy, size, onSize, taking } = props;
  const all = palettes?.rows.flatMap(({ colors }) => colors.map(hexOf)) ?? [];
  const isExact = palettes?.isExact ?? false;
  return (
    <div aria-busy={busy || !isExact}>
      <NumberField label="Colours in each" value={size} min={2} max={16} onCommit={onSize} className="w-28" />
      <p className="mt-2 mb-3 flex flex-wrap items-center gap-1.5 text-sm">
        <span className="text-quiet">All rows</span>
        <Button
          small
          disabled={!isExact || !all.length}
          aria-label="All rows to the tray"
          onClick={() => taking.tray(all)}
        >
          to the tray
        </Button>
        <Button
          small
          disabled={!isExact || !all.length}
          aria-label="All rows to families"
          onClick={() => taking.families(distinct(all))}
        >
          to families
        </Button>
        <Button
          small
          disabled={!isExact || all.length < 2}
          aria-label="All rows to a gradient"
          onClick={() => taking.gradient(distinct(all).slice(0, MOST_STOPS))}
        >
          to a gradient
        </Button>
      </p>
      <p role="status" className="sr-only">
        {busy || !isExact ? 'Palettes are being made' : `Six palettes of ${palettes?.size ?? 0} colours`}
      </p>
      {palettes ? (
        <ul className="flex flex-col gap-2">
          {palettes.rows.map((row) => (
            <Row key={row.leaning} {...props} row={row} isExact={isExact} />
          ))}
        </ul>
      ) : (
        <p className="text-quiet">Counting the picture’s colours …</p>
      )}
    </div>
  );
}

/** The least width of a colour in its row, so that a small accent can be pressed: a share of the row. */
const LEAST = 0.045;

interface RowProps extends PalettePanelProps {
  row: PaletteRow;
  /** What is nearly the picture's colours is seen, and not taken. */
  isExact: boolean;
}

function Row({ row, isExact, pinned, onPin, onLight, taking, ...rest }: RowProps) {
  const { leaning, colors } = row;
  const open = pinned?.leaning === leaning;
  const hexes = colors.map(hexOf);
  return (
    <li>
      <div className="mb-0.5 flex items-baseline justify-between">
        <h3 className="text-sm">{LEANING_WORDS[leaning]}</h3>
        {!open && (
          <button
            type="button"
            disabled={!isExact}
            className="rounded-md px-1 text-sm text-quiet underline underline-offset-2 disabled:no-underline"
            aria-label={`${LEANING_WORDS[leaning]}: take the row to the tray`}
            onClick={() => taking.tray(hexes)}
          >
            to the tray
          </button>
        )}
      </div>
      <ul
        className="flex h-8 overflow-hidden rounded-md border border-hair"
        onPointerLeave={() => onLight(null)}
      >
        {colors.map((color, index) => {
          const chosen = open && pinned.index === index;
          return (
            <li
              key={`${color.x} ${color.y} ${hexes[index]}`}
              className="min-w-0"
              style={{ flex: `${Math.max(LEAST, color.share)} 0 0` }}
            >
              <button
                type="button"
                data-specimen
                aria-label={`${describeCode(hexes[index]!)}, ${shareText(color.share)}${color.moved ? ', from a place of your own' : ''}`}
                aria-pressed={chosen}
                aria-disabled={!isExact || undefined}
                title={`${describeCode(hexes[index]!)}, ${shareText(color.share)}`}
                onPointerEnter={() => onLight({ leaning, index })}
                onFocus={() => onLight({ leaning, index })}
                onBlur={() => onLight(null)}
                onClick={() => onPin({ leaning, index })}
                className="relative block size-full -outline-offset-2"
                style={{ background: hexes[index] }}
              >
                {(chosen || color.moved) && (
                  <span
                    className={clsx(
                      'absolute bottom-1 left-1/2 block -translate-x-1/2 border border-[#000] bg-[#fff]',
                      chosen ? 'size-2 rounded-full' : 'h-1 w-2',
                    )}
                  />
                )}
              </button>
            </li>
          );
        })}
      </ul>
      {open && isExact && <Opened row={row} index={pinned.index} taking={taking} {...rest} />}
    </li>
  );
}

interface OpenedProps extends Pick<PalettePanelProps, 'picture' | 'size' | 'taking'> {
  row: PaletteRow;
  index: number;
}

/** What can be done with the row and its pressed colour. */
function Opened({ picture, size, row, index, taking }: OpenedProps) {
  const { edit } = useEditing();
  const { leaning, colors } = row;
  const color = colors[index];
  const hexes = colors.map(hexOf);
  if (!color) return null;
  return (
    <div className="mt-1 rounded-md bg-sunken p-2">
      <p className="font-semibold">{describeColor(readColor(hexes[index]!))}</p>
      <p className="flex items-center justify-between gap-2 text-sm">
        <CopyButton text={hexes[index]!} className="-ml-1" />
        <span className="text-quiet">
          {shareText(color.share)} of the picture
          {color.moved && ', yours'}
        </span>
      </p>
      <p className="mt-1 flex flex-wrap gap-1.5">
        <Button small onClick={() => taking.tray([hexes[index]!])}>
          Add this one to the tray
        </Button>
        <Button small onClick={() => taking.families([hexes[index]!])}>
          as a family
        </Button>
        {color.moved && (
          <Button
            small
            onClick={() => edit({ type: 'moveColor', picture: picture.id, leaning, size, index, to: null })}
          >
            Reset
          </Button>
        )}
      </p>
      <p className="mt-1.5 flex flex-wrap items-center gap-1.5 text-sm">
        <span className="text-quiet">The row</span>
        <Button small onClick={() => taking.tray(hexes)}>
          to the tray
        </Button>
        <Button small onClick={() => taking.families(hexes)}>
          to families
        </Button>
        <Button small disabled={hexes.length < 2} onClick={() => taking.gradient(hexes)}>
          to a gradient
        </Button>
      </p>
    </div>
  );
}
