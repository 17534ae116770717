import { tableColorIn } from '@mint-lamp/core/judged/readout/ratio-table';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import type { VirtualItem } from '@tanstack/react-virtual';
import { useMemo } from 'react';
import { useSystem, useTheme } from '../../../store/selectors.ts';
import type { Entry } from './entries.ts';
import { ColumnHead, HEAD_HEIGHT, HEAD_WIDTH, MatrixRow, RowHead } from './matrix-cells.tsx';
import { type MatrixTable, useMatrixGrid } from './use-matrix-grid.ts';

interface MatrixGridProps extends MatrixTable {
  /** The theme that colours are shown in; null for the one that is switched on, where the figures are the worst of all. */
  theme: string | null;
  /** Ids of pairs by the ids of their roles. */
  paired: ReadonlyMap<string, string>;
}

/** The colour of an entry in a theme, as CSS. */
function useCssOf(shown: ResolvedTheme) {
  const system = useSystem();
  return useMemo(() => {
    const known = new Map<string, string | null>();
    return ({ key, color }: Entry) => {
      let css = known.get(key);
      if (css === undefined) {
        css =
          color.kind === 'role'
            ? rolePaint(shown, color.role)
            : (tableColorIn(system, shown, color)?.css ?? null);
        known.set(key, css);
      }
      return css;
    };
  }, [system, shown]);
}

interface HeadRowProps {
  columns: readonly Entry[];
  /** Of the columns that are drawn. */
  places: readonly VirtualItem[];
  cssOf: (entry: Entry) => string | null;
  cellWidth: number;
}

function HeadRow({ columns, places, cssOf, cellWidth }: HeadRowProps) {
  return (
    // biome-ignore lint/a11y/useSemanticElements lint/a11y/useFocusableInteractive: a table cannot leave out what is out of sight at both sides
    <div
      role="row"
      aria-rowindex={1}
      className="sticky top-0 z-20 border-b border-control bg-ground"
      style={{ height: HEAD_HEIGHT }}
    >
      {/* biome-ignore lint/a11y/useSemanticElements lint/a11y/useFocusableInteractive: as above */}
      <div
        role="columnheader"
        aria-colindex={1}
        className="sticky left-0 z-10 flex h-full items-end bg-ground px-2 pb-1 text-sm text-quiet"
        style={{ width: HEAD_WIDTH }}
      >
        in front, on →
      </div>
      {places.map(({ index, start }) => (
        <ColumnHead
          key={columns[index]!.key}
          entry={columns[index]!}
          css={cssOf(columns[index]!)}
          index={index}
          left={start}
          width={cellWidth}
        />
      ))}
    </div>
  );
}

/** Ratios of all on all; only the cells near the window are drawn, heads stay in sight. One cell at a time has the focus. */
export function MatrixGrid(props: MatrixGridProps) {
  const { rows, columns, table, least, only, theme, paired } = props;
  const system = useSystem();
  const current = useTheme();
  const shown = (theme && system.themes.get(theme)) || current;
  const grid = useMatrixGrid(props);
  const { scroller, at, down, across, cellWidth } = grid;
  const cssOf = useCssOf(shown);
  const visible = across.getVirtualItems();
  return (
    <div
      ref={scroller}
      className="mx-5 mb-4 min-h-0 flex-1 overflow-auto rounded-md border border-hair bg-ground contain-strict"
    >
      {/* biome-ignore lint/a11y/useSemanticElements: a table cannot leave out what is out of sight at both sides */}
      <div
        role="grid"
        tabIndex={-1}
        aria-label="Matrix of ratios"
        aria-rowcount={rows.length + 1}
        aria-colcount={columns.length + 1}
        onKeyDown={grid.onKeyDown}
        onClick={grid.press}
        onFocus={grid.onFocus}
        className="relative"
        style={{
          width: HEAD_WIDTH + across.getTotalSize(),
          height: HEAD_HEIGHT + down.getTotalSize(),
        }}
      >
        <HeadRow columns={columns} places={visible} cssOf={cssOf} cellWidth={cellWidth} />
        {/* The heads at the left stick as one: each by itself would be a layer that moves against all others. */}
        <div
          aria-hidden
          className="sticky left-0 z-10 border-r border-hair bg-ground"
          style={{ width: HEAD_WIDTH, height: down.getTotalSize() }}
        >
          {down.getVirtualItems().map(({ index, start }) => (
            <RowHead
              key={rows[index]!.key}
              name={rows[index]!.name}
              css={cssOf(rows[index]!)}
              top={start - HEAD_HEIGHT}
            />
          ))}
        </div>
        {down.getVirtualItems().map(({ index, start }) => (
          <MatrixRow
            key={rows[index]!.key}
            entry={rows[index]!}
            index={index}
            top={start}
            columns={columns}
            first={visible[0]?.index ?? 0}
            last={visible[visible.length - 1]?.index ?? -1}
            table={table}
            least={least}
            only={only}
            cssOf={cssOf}
            paired={paired}
            active={at.row === index ? at.column : -1}
            cellWidth={cellWidth}
          />
        ))}
      </div>
    </div>
  );
}
