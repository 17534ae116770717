import type { Link } from '@mint-lamp/core/document/links/link';
import { type ReactElement, useState } from 'react';
import { part } from '../ui/part.tsx';
import { Popover } from '../ui/popover.tsx';
import type { GradientChoice } from './gradient-choice.ts';

const LinkPanel = part(() => import('./link-panel.tsx'), <div className="h-80 w-[520px]" />);

interface LinkPickerProps {
  link: Link | null;
  label: string;
  trigger: ReactElement;
  /** Takes a link; returns why it is refused, which is told beside the choice, or null. */
  onPick: (link: Link) => string | null;
  /** Shows a link while it is pointed at; null puts the present one back. */
  onPreview?: (link: Link | null) => void;
  /** Takes the present link in every theme; offered where it is given. */
  onFill?: (link: Link) => void;
  /** Offers gradients too. */
  gradient?: GradientChoice | undefined;
  /** A role that must not be offered, since it would point to itself. */
  exceptRole?: string;
  /** A family that must not be offered, for the same reason. */
  exceptFamily?: string;
  /** What is picked is a ground: opaque, without an opacity of its own. */
  opaque?: boolean;
  startOpen?: boolean;
}

/** Chooses what a role or stop points to: a shade, another role, or a plain colour, with an opacity; or a gradient. */
export function LinkPicker({
  link,
  label,
  trigger,
  onPick,
  onPreview,
  onFill,
  gradient,
  exceptRole,
  exceptFamily,
  opaque = false,
  startOpen = false,
}: LinkPickerProps) {
  const [open, setOpen] = useState(startOpen);
  const [refused, setRefused] = useState<string | null>(null);
  const opacity = link?.opacity;
  const withOpacity = (next: Link): Link =>
    opacity === undefined || opacity === 1 ? next : { ...next, opacity };
  const set = (next: Link) => {
    const reason = onPick(next);
    setRefused(reason);
    return reason;
  };
  const pick = (next: Link) => {
    if (set(withOpacity(next)) === null) setOpen(false);
  };
  const fill = (all: Link) => {
    onFill?.(all);
    setOpen(false);
  };
  const pickGradient = (id: string) => {
    const reason = gradient?.onPick(id) ?? null;
    setRefused(reason);
    if (reason === null) setOpen(false);
  };
  const look = (next: Link | null) => onPreview?.(next && withOpacity(next));
  return (
    <Popover
      label={label}
      trigger={trigger}
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        setRefused(null);
        if (!next) look(null);
      }}
    >
      {refused && (
        <p
          // Beside a choice far down it would be told out of sight.
          ref={(told) => told?.scrollIntoView({ block: 'nearest' })}
          role="alert"
          className="mb-2 max-w-[520px] scroll-mt-3 text-fail"
        >
          {refused}
        </p>
      )}
      <LinkPanel
        {...{ link, exceptRole, exceptFamily, opaque }}
        onPick={pick}
        onLook={look}
        onSet={set}
        onFill={onFill && fill}
        gradient={gradient && { ...gradient, onPick: pickGradient }}
      />
    </Popover>
  );
}
