import { describeColor } from '@mint-lamp/core/color/describe';
import { readTypedList } from '@mint-lamp/core/color/typed-list';
import { canonical } from '@mint-lamp/core/color/write';
import { MOST_STOPS } from '@mint-lamp/core/document/gradients/gradient';
import type { Link } from '@mint-lamp/core/document/links/link';
import clsx from 'clsx';
import { useId, useMemo, useState } from 'react';
import { useDocumentPart, useSystem } from '../../store/selectors.ts';
import { Button } from '../../ui/button.tsx';
import { ColorChip } from '../../ui/color-chip.tsx';
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

/** A gradient through the shades of a family, the colours of the tray, or those that are typed. */
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
      <TypedColors onMake={onMake} />
    </div>
  );
}

/** Colours in any notation, typed or pasted one after the other. */
function TypedColors({ onMake }: NewFromProps) {
  const id = useId();
  const [text, setText] = useState('');
  const { colors, fault } = useMemo(() => readTypedList(text), [text]);
  const codes = colors.slice(0, MOST_STOPS).map((color) => canonical(color));
  const isReady = codes.length > 1 && !fault;
  const says = fault
    ? fault.reason.includes(fault.text)
      ? fault.reason
      : `${fault.text}: ${fault.reason}`
    : colors.length > MOST_STOPS
      ? `A gradient has at most ${MOST_STOPS} stops, so the first ${MOST_STOPS} are used.`
      : colors.length === 1
        ? 'One colour; a gradient needs two.'
        : colors.length
          ? `${colors.length} colours, as plain stops`
          : 'Separate them with commas or line breaks.';
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (isReady)
          onMake(
            `${describeColor(colors[0]!)} to ${describeColor(colors[codes.length - 1]!)}`,
            codes.map((color) => ({ to: 'color', color })),
          );
      }}
    >
      <label htmlFor={id} className="mb-0.5 block text-sm text-quiet">
        Through colours you type
      </label>
      <input
        id={id}
        value={text}
        onChange={(event) => setText(event.target.value)}
        placeholder="#0b5f6b, orange"
        spellCheck={false}
        autoComplete="off"
        aria-describedby={`${id}-says`}
        className="h-8 w-full rounded-md border border-control bg-raised px-2 font-mono text-sm"
      />
      {codes.length > 1 && (
        <span aria-hidden data-specimen className="checker mt-1 block h-5 overflow-hidden rounded-[4px]">
          <span
            className="block size-full"
            style={{ background: `linear-gradient(90deg in oklab, ${codes.join(', ')})` }}
          />
        </span>
      )}
      <p id={`${id}-says`} role="status" className={clsx('mt-1 text-sm', fault ? 'text-fail' : 'text-quiet')}>
        {says}
      </p>
      {fault && fault.corrections.length > 0 && (
        <p className="mt-1 flex flex-wrap items-center gap-1">
          <span className="text-sm text-quiet">Did you mean</span>
          {fault.corrections.map((one) => (
            <Button
              key={one}
              small
              onClick={() =>
                setText(text.slice(0, fault.index) + one + text.slice(fault.index + fault.text.length))
              }
            >
              <ColorChip css={one} className="size-4" /> <span className="font-mono">{one}</span>
            </Button>
          ))}
        </p>
      )}
      <Button type="submit" disabled={!isReady} className="mt-2">
        Make the gradient
      </Button>
    </form>
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
