import type { Theme } from '@mint-lamp/core/document/themes/theme';
import clsx from 'clsx';
import { memo } from 'react';
import { useThemeSwitch } from '../../../kinds/themes/use-theme-switch.ts';

interface SheetHeadProps {
  themes: readonly Theme[];
  /** The theme that is switched on. */
  current: string;
  /** The column of a derived theme. */
  proposed: string | null;
}

/** The names of the themes above their pages. A press switches a theme on. */
export const SheetHead = memo(function SheetHead({ themes, current, proposed }: SheetHeadProps) {
  const switchTheme = useThemeSwitch();
  return (
    <thead>
      <tr>
        <th
          scope="col"
          className="sticky top-0 left-0 z-20 border-b border-control bg-ground py-1.5 text-left font-semibold"
        >
          Role
        </th>
        {themes.map((theme) => (
          <th
            key={theme.id}
            scope="col"
            className="sticky top-0 z-10 border-b border-control bg-ground py-1.5 text-left font-normal"
          >
            <button
              type="button"
              aria-pressed={theme.id === current}
              onClick={() => switchTheme(theme.id)}
              className={clsx(
                'rounded-md px-2 py-0.5',
                theme.id === current ? 'font-semibold' : 'text-quiet',
              )}
            >
              {theme.id === current && (
                <span aria-hidden className="mr-1.5 inline-block size-2 rounded-full bg-main" />
              )}
              {theme.name}
              {theme.id === proposed && <span className="ml-1.5 text-sm text-look">proposed</span>}
            </button>
          </th>
        ))}
        <th scope="col" className="sticky top-0 z-10 border-b border-control bg-ground">
          <span className="sr-only">Remove</span>
        </th>
      </tr>
    </thead>
  );
});
