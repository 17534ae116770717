import type { Link } from '@mint-lamp/core/system/links/link';
import { type ReactElement, useState } from 'react';
import { part } from '../ui/part.tsx';
import { Popover } from '../ui/popover.tsx';

const LinkPanel = part(() => import('./link-panel.tsx'), <div className="h-80 w-[520px]" />);

interface LinkPickerProps {
  link: Link | null;
  label: string;
  trigger: ReactElement;
  onPick: (link: Link) => void;
  /** Shows a link while it is pointed at; null puts the present one back. */
  onPreview?: (link: Link | null) => void;
  /** Takes the present link in every theme; offered where it is given. */
  onFill?: (link: Link) => void;
  /** A role that must not be offered, since it would point to itself. */
  exceptRole?: string;
  /** A family that must not be offered, for the same reason. */
  exceptFamily?: string;
  /** What is picked is a ground: opaque, without an opacity of its own. */
  opaque?: boolean;
  startOpen?: boolean;
}

/** Chooses what a role or stop points to: a shade, another role, or a plain colour; with an opacity. */
export function LinkPicker({
  link,
  label,
  trigger,
  onPick,
  onPreview,
  onFill,
  exceptRole,
  exceptFamily,
  opaque = false,
  startOpen = false,
}: LinkPickerProps) {
  const [open, setOpen] = useState(startOpen);
  const opacity = link?.opacity;
  const withOpacity = (next: Link): Link =>
    opacity === undefined || opacity === 1 ? next : { ...next, opacity };
  const pick = (next: Link) => {
    onPick(withOpacity(next));
    setOpen(false);
  };
  const fill = (all: Link) => {
    onFill?.(all);
    setOpen(false);
  };
  const look = (next: Link | null) => onPreview?.(next && withOpacity(next));
  return (
    <Popover
      label={label}
      trigger={trigger}
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        if (!next) look(null);
      }}
    >
      <LinkPanel
        {...{ link, exceptRole, exceptFamily, opaque }}
        onPick={pick}
        onLook={look}
        onSet={onPick}
        onFill={onFill && fill}
      />
    </Popover>
  );
}
