import clsx from 'clsx';
import { Button } from '../../../ui/button.tsx';
import { part } from '../../../ui/part.tsx';
import { useStageView } from '../use-stage-view.ts';

export const BalancePanel = part(
  () => import('./balance-panel.tsx'),
  <p className="px-5 pb-2 text-quiet">Counting pixels …</p>,
);

/** Tells what families and roles cover of the scenes that are seen, or no longer. */
export function SharesButton() {
  const [view, change] = useStageView();
  return (
    <Button
      small
      aria-pressed={view.shares}
      title="What families and roles cover, in pixels, beside 60 / 30 / 10"
      className={clsx('h-7', view.shares && 'bg-main! text-inverse!')}
      onClick={() => change({ shares: !view.shares })}
    >
      Areas
    </Button>
  );
}
