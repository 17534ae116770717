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
      {told ? (
        <p className="basis-full text-look">{told}</p>
      ) : (
        <p className="basis-full text-quiet">{count} that anyone can tell apart</p>
      )}
      <label className="mr-auto flex items-center gap-1.5">
        <input type="checkbox" checked={alone} onChange={(event) => onAlone(event.target.checked)} />
        move separately
      </label>
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
