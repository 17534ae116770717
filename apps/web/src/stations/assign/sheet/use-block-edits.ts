import type { Link } from '@mint-lamp/core/document/links/link';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { besideInFamily } from '@mint-lamp/core/system/families/family-place';
import { useMemo } from 'react';
import { useStore } from 'react-redux';
import { toast } from 'sonner';
import { useEditing } from '../../../store/editing.ts';
import { selectDocument, selectSystem } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { blockToPaste, type CellBlock, gridOf, linkAt, linkBlock } from './cell-block.ts';
import { copiedLinks, copyLinks } from './copied-links.ts';

/** What can be done with picked cells, one or many: each one edit with one undo. */
export interface BlockEdits {
  /** Returns why it is refused, or null. */
  readonly link: (block: CellBlock, link: Link) => string | null;
  readonly clear: (block: CellBlock) => void;
  /** Along the family of each; where there is no further shade, a cell stays. False when none has moved. */
  readonly step: (block: CellBlock, way: 'darker' | 'lighter') => boolean;
  /** Gives every theme of a role the link of the first of them, or every role of a theme that of the first. */
  readonly fill: (block: CellBlock, way: 'across' | 'down') => void;
  readonly copy: (block: CellBlock) => void;
  /** False when nothing was copied. */
  readonly paste: (block: CellBlock, roles: readonly string[], themes: readonly string[]) => boolean;
}

const counted = ({ roles, themes }: CellBlock) => {
  const n = roles.length * themes.length;
  return n === 1 ? 'one cell' : `${n} cells`;
};

export function useBlockEdits(): BlockEdits {
  const store = useStore() as AppStore;
  const { edit, tryEdit } = useEditing();
  return useMemo((): BlockEdits => {
    const document = () => selectDocument(store.getState());
    return {
      link: (block, link) => tryEdit(linkBlock(block, `link ${counted(block)}`, () => link)),
      clear: (block) => {
        edit(
          linkBlock(block, `clear ${counted(block)}`, (cell) =>
            linkAt(document(), cell) ? null : undefined,
          ),
        );
      },
      step(block, way) {
        const system = selectSystem(store.getState());
        const command = linkBlock(block, `make ${counted(block)} ${way}`, (cell) => {
          const link = linkAt(system.document, cell);
          return (link && besideInFamily(system.families, link, way)) ?? undefined;
        });
        return command.type === 'batch' && command.commands.length > 0 && edit(command);
      },
      fill: (block, way) => {
        const grid = gridOf(document(), block);
        edit(
          linkBlock(block, `fill ${counted(block)}`, (_, row, column) =>
            way === 'across' ? grid[row]![0] : grid[0]![column],
          ),
        );
      },
      copy: (block) => {
        const doc = document();
        const grid = gridOf(doc, block);
        copyLinks(grid, (link) => linkName(doc, link));
        const only =
          grid.length === 1 && grid[0]!.length === 1 ? linkName(doc, grid[0]![0]!) : counted(block);
        toast(`Copied: ${only}`);
      },
      paste(block, roles, themes) {
        const grid = copiedLinks();
        if (!grid) return false;
        const onto = blockToPaste(block, grid, roles, themes);
        return edit(
          linkBlock(
            onto,
            `paste into ${counted(onto)}`,
            (_, row, column) => grid[row % grid.length]![column % grid[0]!.length],
          ),
        );
      },
    };
  }, [store, edit, tryEdit]);
}
