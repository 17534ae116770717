import type { SimpleCommand } from '@mint-lamp/core/document/commands/command';
import { type Gradient, shapeOf } from '@mint-lamp/core/document/gradients/gradient';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import { useState } from 'react';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectProject, useTheme } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Popover } from '../../../ui/popover.tsx';

/** The commands that give a gradient all of another but its name, with its kind and geometry or without. */
function takingFrom(gradient: Gradient, other: Gradient, withShape: boolean): SimpleCommand[] {
  const { space, hueWay, repeating } = other;
  const stops = other.stops.map((item) => (item.kind === 'stop' ? { ...item, id: newId() } : item));
  return [
    ...(withShape ? [{ type: 'shapeGradient' as const, gradient: gradient.id, shape: shapeOf(other) }] : []),
    {
      type: 'setGradient',
      gradient: gradient.id,
      change: { space, hueWay, ...(withShape ? { repeating } : {}) },
    },
    { type: 'setStops', gradient: gradient.id, stops },
  ];
}

/** Gives this gradient the stops of another, links and all: with its kind and angle, or only as it goes. */
export function TakeFrom({ gradient }: { gradient: Gradient }) {
  const { preview } = useEditing();
  const [open, setOpen] = useState(false);
  const isOnly = useAppSelector((state) => selectProject(state).document.gradients.length < 2);
  return (
    <Popover
      label="Copy the stops of another gradient"
      align="end"
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        if (!next) preview(null);
      }}
      trigger={
        <Button small disabled={isOnly} title="Replaces these stops with another gradient’s">
          Copy from another …
        </Button>
      }
    >
      <Others gradient={gradient} onDone={() => setOpen(false)} />
    </Popover>
  );
}

function Others({ gradient, onDone }: { gradient: Gradient; onDone: () => void }) {
  const { gradients } = useTheme();
  const { edit, preview } = useEditing();
  const [withShape, setWithShape] = useState(false);
  const others = gradients.values().filter((resolved) => resolved.gradient.id !== gradient.id);
  const taking = (other: Gradient) =>
    ({
      type: 'batch',
      label: `take ${other.name} into ${gradient.name}`,
      commands: takingFrom(gradient, other, withShape),
    }) as const;
  return (
    <div className="flex w-64 flex-col gap-2">
      <label className="flex items-center gap-1.5">
        <input type="checkbox" checked={withShape} onChange={() => setWithShape(!withShape)} />
        along with its kind and angle
      </label>
      <ul aria-label="Other gradients" className="flex flex-col gap-1" onPointerLeave={() => preview(null)}>
        {others.map((resolved) => (
          <li key={resolved.gradient.id}>
            <button
              type="button"
              className="block w-full rounded-md p-1 text-left hover:bg-pressed"
              onPointerEnter={() => preview(taking(resolved.gradient))}
              onFocus={() => preview(taking(resolved.gradient))}
              onBlur={() => preview(null)}
              onClick={() => {
                if (edit(taking(resolved.gradient))) onDone();
              }}
            >
              <span aria-hidden data-specimen className="checker block h-5 overflow-hidden rounded-[4px]">
                <span
                  className="block size-full"
                  style={{ background: gradientCss(resolved) ?? undefined }}
                />
              </span>
              <span className="block truncate text-sm">{resolved.gradient.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
