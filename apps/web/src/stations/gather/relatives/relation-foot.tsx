import { memo } from 'react';
import { Button } from '../../../ui/button.tsx';

interface RelationFootProps {
  name: string;
  alone: boolean;
  onAlone: (alone: boolean) => void;
  /** What must be known before the row is taken; empty when nothing must. */
  told: string;
  count: number;
  /** How many members are chosen. */
  picked: number;
  onTray: () => void;
  onFamilies: () => void;
}

/** Whether pegs move alone, what must be known of the row, and the ways to take it. */
export const RelationFoot = memo(function RelationFoot(props: RelationFootProps) {
  const { name, alone, onAlone, told, count, picked, onTray, onFamilies } = props;
  return (
    <div className="mt-1 flex min-h-8 flex-wrap items-center gap-x-3 gap-y-1 text-sm">
      <label className="flex items-center gap-1.5">
        <input type="checkbox" checked={alone} onChange={(event) => onAlone(event.target.checked)} />
        move separately
      </label>
      {told ? (
        <span className="min-w-40 flex-1 text-look">{told}</span>
      ) : (
        <span className="min-w-40 flex-1 text-quiet">{count} that anyone can tell apart</span>
      )}
      <Button
        small
        onClick={onTray}
        aria-label={`${name}: ${picked ? `add ${picked}` : 'add the row'} to the tray`}
      >
        {picked ? `Add ${picked}` : 'Add the row'}
      </Button>
      <Button
        small
        look="quiet"
        onClick={onFamilies}
        aria-label={`${name}: make families of ${picked ? 'what is chosen' : 'the row'}`}
      >
        as families
      </Button>
    </div>
  );
});
