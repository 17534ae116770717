import { gradientCss } from '@mint-lamp/core/exchange/css';
import clsx from 'clsx';
import { Link } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { selectProject, useTheme } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';

/** All gradients of the project, painted in the present theme. */
export function GradientList({ open }: { open: string | null }) {
  const theme = useTheme();
  const id = useAppSelector((state) => selectProject(state).id);
  return (
    <nav aria-label="Gradients" className="px-5 pb-3">
      <ul className="flex gap-2 overflow-x-auto p-0.5">
        {[...theme.gradients.values()].map((resolved) => {
          const on = resolved.gradient.id === open;
          return (
            <li key={resolved.gradient.id} className="w-32 shrink-0">
              <Link
                to={addressOf(id, 'fade', resolved.gradient.id)}
                aria-current={on ? 'true' : undefined}
                className="block rounded-md"
              >
                <span aria-hidden className="checker block h-7 overflow-hidden rounded-md border border-hair">
                  <span
                    className="block size-full"
                    style={{ background: gradientCss(resolved) ?? undefined }}
                  />
                </span>
                <span className={clsx('block truncate text-sm', on ? 'font-semibold' : 'text-quiet')}>
                  {resolved.gradient.name}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </nav>
  );
}
