import type { Link } from '@mint-lamp/core/document/links/link';
import { useState } from 'react';
import { ShadeRack } from '../../../links/shade-rack.tsx';
import { ofTab } from '../../../storing/storage.ts';

const OPEN = 'mint-lamp/rack-open';

/** The rails at hand below the sheet, opened and folded; remembered in this tab. */
export function RackDrawer({ onPick }: { onPick: (link: Link, name: string) => void }) {
  const [open, setOpen] = useState(() => ofTab.read(OPEN) === 'yes');
  return (
    <section aria-label="Rails" data-help="rack" className="border-t border-control bg-raised px-5 py-1">
      <div className="flex items-center gap-3">
        <button
          type="button"
          aria-expanded={open}
          onClick={() => {
            ofTab.write(OPEN, open ? 'no' : 'yes');
            setOpen(!open);
          }}
          className="rounded-md text-sm text-quiet underline underline-offset-2"
        >
          {open ? 'Fold the rails' : 'Rails at hand'}
        </button>
        {open && (
          <span className="text-sm text-quiet">
            Drag a shade or base onto a cell, or press it for the cells that are picked.
          </span>
        )}
      </div>
      {open && <ShadeRack onPick={onPick} />}
    </section>
  );
}
