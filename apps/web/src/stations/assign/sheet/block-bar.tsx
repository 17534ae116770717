import { X } from 'lucide-react';
import { LinkPicker } from '../../../links/link-picker.tsx';
import { Button } from '../../../ui/button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import type { CellBlock } from './cell-block.ts';
import type { BlockEdits } from './use-block-edits.ts';

interface BlockBarProps {
  block: CellBlock;
  edits: BlockEdits;
  roles: readonly string[];
  themes: readonly string[];
  onClear: () => void;
}

/** What can be done with the cells that are picked together; it stays in sight while the sheet is scrolled. */
export function BlockBar({ block, edits, roles, themes, onClear }: BlockBarProps) {
  const n = block.roles.length * block.themes.length;
  return (
    <div
      role="toolbar"
      aria-label="Picked cells"
      className="mx-auto mb-2 flex w-fit items-center gap-2 rounded-md border border-control bg-raised px-3 py-1.5 shadow-[0_8px_24px_var(--veil-modal)]"
    >
      <p role="status" className="font-semibold">
        {n} cells
      </p>
      <LinkPicker
        link={null}
        label={`Link of ${n} cells`}
        trigger={<Button small>Link to …</Button>}
        onPick={(link) => edits.link(block, link)}
      />
      <Button small onClick={() => edits.step(block, 'darker')} title="Along their families (left arrow)">
        Darker
      </Button>
      <Button small onClick={() => edits.step(block, 'lighter')} title="Along their families (right arrow)">
        Lighter
      </Button>
      {block.themes.length > 1 && (
        <Button small onClick={() => edits.fill(block, 'across')} title="Copy each role’s first theme across">
          Fill across
        </Button>
      )}
      {block.roles.length > 1 && (
        <Button small onClick={() => edits.fill(block, 'down')} title="Copy the first role down">
          Fill down
        </Button>
      )}
      <Button small look="quiet" onClick={() => edits.copy(block)}>
        Copy
      </Button>
      <Button small look="quiet" onClick={() => edits.paste(block, roles, themes)}>
        Paste
      </Button>
      <Button small look="quiet" onClick={() => edits.clear(block)}>
        Clear
      </Button>
      <IconButton label="Clear the selection" onClick={onClear}>
        <X aria-hidden className="size-4" />
      </IconButton>
    </div>
  );
}
