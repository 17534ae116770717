import { Layers2, Lightbulb } from 'lucide-react';
import { type ReactNode, useEffect, useState } from 'react';
import { litColor } from '../kinds/lit.ts';
import { selectDocument, useSystem, useTheme } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { ColorChip } from '../ui/color-chip.tsx';

type Opened = 'lamp' | 'tray';

interface NarrowFootProps {
  lamp: ReactNode;
  tray: ReactNode;
}

/** Where there is no room beside the station: lamp and tray as sheets that are opened from its foot, one at a time. */
export default function NarrowFoot({ lamp, tray }: NarrowFootProps) {
  const [opened, setOpened] = useState<Opened | null>(null);
  const lit = litColor(
    useSystem(),
    useTheme(),
    useAppSelector((state) => state.interface.selection),
  );
  const count = useAppSelector((state) => selectDocument(state).tray.length);
  useEffect(() => {
    if (!opened) return;
    document.getElementById(opened)?.focus();
    const close = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || event.defaultPrevented) return;
      setOpened(null);
      document.querySelector<HTMLElement>(`[data-opens=${opened}]`)?.focus();
    };
    addEventListener('keydown', close);
    return () => removeEventListener('keydown', close);
  }, [opened]);
  const button = (which: Opened, children: ReactNode) => (
    <Button
      look={opened === which ? 'plain' : 'quiet'}
      aria-expanded={opened === which}
      data-opens={which}
      onClick={() => setOpened(opened === which ? null : which)}
      className="min-w-0 flex-1"
    >
      {children}
    </Button>
  );
  return (
    <div className="relative flex min-w-0 items-center gap-2 border-t border-hair bg-sunken px-2">
      {opened && (
        <div className="absolute inset-x-0 bottom-full z-30 grid max-h-[min(64dvh,calc(100dvh-150px))] grid-rows-[minmax(0,1fr)] overflow-auto border-t border-control bg-raised shadow-[0_-8px_24px_var(--veil-modal)]">
          {opened === 'lamp' ? lamp : tray}
        </div>
      )}
      {button(
        'lamp',
        <>
          {lit?.painted ? (
            <ColorChip css={lit.painted.css} className="size-5" />
          ) : (
            <Lightbulb aria-hidden className="size-4" />
          )}
          <span className="truncate">{lit ? `Lamp: ${lit.title}` : 'Lamp'}</span>
        </>,
      )}
      {button(
        'tray',
        <>
          <Layers2 aria-hidden className="size-4" />
          Tray {count}
        </>,
      )}
    </div>
  );
}
