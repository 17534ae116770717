import type { ShelfSet } from '@mint-lamp/core/wire/shelf';
import { Bookmark } from 'lucide-react';
import { memo } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { Confirm } from '../../../ui/confirm.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { SetBar } from './set-bar.tsx';

interface SetCardProps {
  set: ShelfSet;
  onFavour: (set: ShelfSet) => void;
  onAdopt: (set: ShelfSet) => void;
  onTakeBack: (set: ShelfSet) => void;
}

/** A set on the shelf, with the ways to favour, adopt and take it back. */
export const SetCard = memo(function SetCard({ set, onFavour, onAdopt, onTakeBack }: SetCardProps) {
  const project = useProjectId();
  const { name, words, adopted, favoured, favourite, own, by, team, withdrawable, content, colors } = set;
  const from = [by && !own ? `by ${by}` : '', team ? `for ${team}` : ''].filter(Boolean).join(', ');
  const kind = content.kind === 'palette' ? `${content.colors.length} colours` : content.kind;
  return (
    // What is far from the window is neither laid out nor painted.
    <li aria-label={name} className="min-w-0 [contain-intrinsic-size:auto_152px] [content-visibility:auto]">
      <SetBar content={content} colors={colors} />
      <div className="mt-1 flex items-baseline gap-2">
        <b className="min-w-0 flex-1 truncate font-semibold" title={name}>
          {name}
        </b>
        <span className="shrink-0 text-sm text-quiet">{kind}</span>
        <IconButton
          small
          label={favourite ? `Remove ${name} from favourites` : `Add ${name} to favourites`}
          aria-pressed={favourite}
          onClick={() => onFavour(set)}
          className="-mr-1 w-auto! gap-1 self-center px-1.5!"
        >
          <Bookmark aria-hidden className="size-4" fill={favourite ? 'currentColor' : 'none'} />
          {favoured > 0 && <span className="text-sm">{favoured}</span>}
        </IconButton>
      </div>
      <div className="flex items-baseline gap-2 text-sm text-quiet">
        <p className="min-w-0 flex-1 truncate" title={from ? `${words} (${from})` : words}>
          {from && <span className="text-main">{from} </span>}
          {words || ' '}
        </p>
        {adopted > 0 && <span className="shrink-0">adopted {adopted} ×</span>}
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-1.5">
        <Button small onClick={() => onAdopt(set)} aria-label={`Adopt ${name} …`}>
          Adopt …
        </Button>
        <Link
          to={`${addressOf(project, 'deliver', 'shares')}?${new URLSearchParams({ of: `set.${set.id}`, called: name })}`}
          aria-label={`Share ${name} …`}
          className="inline-flex min-h-[24px] items-center text-sm underline underline-offset-2"
        >
          Share …
        </Link>
        {withdrawable && (
          <Confirm
            label={`Unpublish ${name}`}
            trigger={
              <Button small look="quiet" aria-label={`Unpublish ${name}`}>
                Unpublish
              </Button>
            }
            yes="Unpublish it"
            no="Leave it there"
            onYes={() => onTakeBack(set)}
          >
            Take {name} off the shelf? Whoever adopted it keeps it.
          </Confirm>
        )}
      </div>
    </li>
  );
});
