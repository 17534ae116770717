import clsx from 'clsx';
import { Fragment } from 'react';
import { Link } from 'react-router';
import { HelpMark } from './help-mark.tsx';

interface ViewTabsProps {
  /** What they are of, for screen readers. */
  label: string;
  current: string;
  views: readonly {
    readonly id: string;
    readonly name: string;
    readonly to: string;
    readonly help?: string;
  }[];
  className?: string;
}

/** The views of a station, each at an address of its own: below its head, the same everywhere. */
export const ViewTabs = ({ label, current, views, className }: ViewTabsProps) => (
  <nav
    aria-label={label}
    data-help={views.find(({ id }) => id === current)?.help}
    className={clsx('flex flex-wrap gap-x-1 border-b border-hair px-5', className)}
  >
    {views.map(({ id, name, to, help }) => (
      <Fragment key={id}>
        <Link
          to={to}
          aria-current={id === current ? 'page' : undefined}
          className={clsx(
            '-mb-px border-b-2 px-2 py-1',
            id === current ? 'border-main font-semibold' : 'border-transparent text-quiet hover:text-main',
          )}
        >
          {name}
        </Link>
        {help && id === current && <HelpMark of={help} about={name} className="mt-1" />}
      </Fragment>
    ))}
  </nav>
);
