import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import clsx from 'clsx';
import { memo, useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useProjectId, useTheme } from '../../store/selectors.ts';

/** All gradients of the project, painted in the present theme. */
export function GradientList({ open }: { open: string | null }) {
  const theme = useTheme();
  const id = useProjectId();
  return (
    <nav aria-label="Gradients" className="px-5 pb-3">
      <ul className="flex gap-2 overflow-x-auto p-0.5">
        {[...theme.gradients.values()].map((resolved) => (
          <GradientTile
            key={resolved.gradient.id}
            resolved={resolved}
            to={addressOf(id, 'fade', resolved.gradient.id)}
            on={resolved.gradient.id === open}
          />
        ))}
      </ul>
    </nav>
  );
}

interface GradientTileProps {
  resolved: ResolvedGradient;
  to: string;
  on: boolean;
}

/** One gradient, painted once it comes into the window, and again only when it changes itself. */
const GradientTile = memo(function GradientTile({ resolved, to, on }: GradientTileProps) {
  const tile = useRef<HTMLLIElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const observer = new IntersectionObserver((entries) => setSeen(entries.some((e) => e.isIntersecting)));
    observer.observe(tile.current!);
    return () => observer.disconnect();
  }, []);
  useEffect(() => {
    if (on) tile.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [on]);
  return (
    <li ref={tile} className="w-32 shrink-0">
      <Link to={to} aria-current={on ? 'true' : undefined} className="block rounded-md">
        <span aria-hidden className="checker block h-7 overflow-hidden rounded-md border border-hair">
          <span
            className="block size-full"
            style={{ background: (seen && gradientCss(resolved)) || undefined }}
          />
        </span>
        <span className={clsx('block truncate text-sm', on ? 'font-semibold' : 'text-quiet')}>
          {resolved.gradient.name}
        </span>
      </Link>
    </li>
  );
});
