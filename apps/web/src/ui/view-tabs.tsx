import clsx from 'clsx';
import { Link } from 'react-router';

interface ViewTabsProps {
  /** What they are of, for screen readers. */
  label: string;
  current: string;
  views: readonly { readonly id: string; readonly name: string; readonly to: string }[];
  className?: string;
}

/** The views of a station, each at an address of its own: below its head, the same everywhere. */
export const ViewTabs = ({ label, current, views, className }: ViewTabsProps) => (
  <nav aria-label={label} className={clsx('flex flex-wrap gap-x-1 border-b border-hair px-5', className)}>
    {views.map(({ id, name, to }) => (
      <Link
        key={id}
        to={to}
        aria-current={id === current ? 'page' : undefined}
        className={clsx(
          '-mb-px border-b-2 px-2 py-1',
          id === current ? 'border-main font-semibold' : 'border-transparent text-quiet hover:text-main',
        )}
      >
        {name}
      </Link>
    ))}
  </nav>
);
