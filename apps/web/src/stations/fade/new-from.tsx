import type { Link } from '@mint-lamp/core/document/links/link';
import { useState } from 'react';
import { useDocumentPart, useSystem } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { Popover } from '../../ui/popover.tsx';

interface Source {
  readonly key: string;
  readonly name: string;
  readonly colors: readonly string[];
  readonly links: readonly Link[];
}

interface NewFromProps {
  onMake: (name: string, links: readonly Link[]) => void;
}

/** A gradient through the shades of a family, or through the colours of the tray. */
export function NewFrom({ onMake }: NewFromProps) {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      label="New gradient from"
      align="end"
      open={open}
      onOpenChange={setOpen}
      trigger={<Button>From colours …</Button>}
    >
      <Sources
        onMake={(name, links) => {
          setOpen(false);
          onMake(name, links);
        }}
      />
    </Popover>
  );
}

function Sources({ onMake }: NewFromProps) {
  const { families } = useSystem();
  const tray = useDocumentPart('tray');
  const groups = [...new Set(tray.map(({ group }) => group))];
  const ofFamilies = [...families.values()].map(({ family, shades }): Source => {
    const dark = [...shades].reverse();
    return {
      key: family.id,
      name: family.name,
      colors: dark.map(({ css }) => css),
      links: dark.map(({ label }) => ({ to: 'shade', family: family.id, shade: label })),
    };
  });
  const ofTray = groups.flatMap((group): Source[] => {
    const colors = tray.filter((swatch) => swatch.group === group).map(({ color }) => color);
    return colors.length < 2
      ? []
      : [
          {
            key: `tray ${group}`,
            name: group || 'Tray',
            colors,
            links: colors.map((color) => ({ to: 'color', color })),
          },
        ];
  });
  return (
    <div className="flex w-72 flex-col gap-3">
      <SourceList title="Through the shades of a family, linked" sources={ofFamilies} onMake={onMake} />
      <SourceList title="Through colours of the tray, as they lie there" sources={ofTray} onMake={onMake} />
      {!ofFamilies.length && !ofTray.length && (
        <p className="text-quiet">There is no family yet, and fewer than two colours in the tray.</p>
      )}
    </div>
  );
}

function SourceList({
  title,
  sources,
  onMake,
}: { title: string; sources: readonly Source[] } & NewFromProps) {
  if (!sources.length) return null;
  return (
    <section aria-label={title}>
      <h3 className="mb-0.5 text-sm text-quiet">{title}</h3>
      <ul>
        {sources.map(({ key, name, colors, links }) => (
          <li key={key}>
            <button
              type="button"
              className="flex w-full items-center gap-2 rounded-md p-1 text-left hover:bg-pressed"
              onClick={() => onMake(name, links)}
            >
              <span className="w-24 shrink-0 truncate">{name}</span>
              <span aria-hidden data-specimen className="checker h-5 flex-1 overflow-hidden rounded-[4px]">
                <span
                  className="block size-full"
                  style={{ background: `linear-gradient(90deg in oklab, ${colors.join(', ')})` }}
                />
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
