import type { HistoryEntry } from '@mint-lamp/core/wire/people';
import clsx from 'clsx';
import { format } from 'date-fns';

interface StepListProps {
  steps: readonly HistoryEntry[];
  /** Whether the day is told too; else only the time of it. */
  dated?: boolean;
  className?: string;
}

/** Steps of the project in words, each with when it was made. */
export const StepList = ({ steps, dated = false, className }: StepListProps) => (
  <ol className={clsx('min-w-0', className)}>
    {steps.map(({ revision, at, words }) => (
      <li key={revision} className="flex gap-3">
        <time
          dateTime={at}
          className={clsx('shrink-0 text-sm leading-6 text-quiet tabular-nums', dated ? 'w-24' : 'w-11')}
        >
          {format(new Date(at), dated ? 'd MMM, HH:mm' : 'HH:mm')}
        </time>
        <span className="min-w-0 flex-1 break-words">{words.charAt(0).toUpperCase() + words.slice(1)}</span>
      </li>
    ))}
  </ol>
);
