import { useCallback, useMemo, useRef, useState } from 'react';
import { blockBetween, type CellBlock, type CellPlace } from './cell-block.ts';

export interface CellPicking {
  /** More than one cell, or null. */
  readonly block: CellBlock | null;
  /** The cell that is alone now, from which others are picked; the same functions always. */
  readonly begin: (cell: CellPlace) => void;
  /** Picks all cells from there to another one. */
  readonly extend: (cell: CellPlace) => void;
  readonly clear: () => void;
}

/** Cells of the sheet that are picked together, by Shift and the arrow keys or Shift and a press. */
export function useCellPicking(roles: readonly string[], themes: readonly string[]): CellPicking {
  const [range, setRange] = useState<{ from: CellPlace; to: CellPlace } | null>(null);
  const from = useRef<CellPlace | null>(null);
  const begin = useCallback((cell: CellPlace) => {
    from.current = cell;
    setRange(null);
  }, []);
  const extend = useCallback((cell: CellPlace) => {
    from.current ??= cell;
    const start = from.current;
    setRange(start.role === cell.role && start.theme === cell.theme ? null : { from: start, to: cell });
  }, []);
  const clear = useCallback(() => setRange(null), []);
  const block = useMemo(
    () => range && blockBetween(range.from, range.to, roles, themes),
    [range, roles, themes],
  );
  return useMemo(() => ({ block, begin, extend, clear }), [block, begin, extend, clear]);
}
