import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { ratioTable } from '@mint-lamp/core/judged/readout/ratio-table';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { useEditing } from '../../../store/editing.ts';
import { useProjectId, useSystem, useTheme } from '../../../store/selectors.ts';
import { Choice } from '../../../ui/choice.tsx';
import { EmptyState } from '../../../ui/notice.tsx';
import { NumberField } from '../../../ui/number-field.tsx';
import { usualPair } from '../board/usual-pair.ts';
import { CheckHeader } from '../check-header.tsx';
import { type Entry, type EntrySet, entriesOf, SETS } from './entries.ts';
import { MatrixGrid } from './matrix-grid.tsx';

const WORST = 'worst of all';

/** All foregrounds on all grounds, in one theme or the worst of all: where something can be read, and what could be a pair. @public Found by its file. */
export default function MatrixPage() {
  const system = useSystem();
  const { theme: current } = useTheme();
  const id = useProjectId();
  const navigate = useNavigate();
  const { edit } = useEditing();
  const [fronts, setFronts] = useState<EntrySet>('texts');
  const [backs, setBacks] = useState<EntrySet>('grounds');
  const [where, setWhere] = useState(current.id);
  const [least, setLeast] = useState(4.5);
  const [only, setOnly] = useState(false);
  const { themes, pairs, roles } = system.document;
  const known = where === WORST || themes.some((theme) => theme.id === where) ? where : current.id;
  const rows = useMemo(() => entriesOf(system, fronts), [system, fronts]);
  const columns = useMemo(() => entriesOf(system, backs), [system, backs]);
  const table = useMemo(
    () =>
      ratioTable(
        system,
        rows.map(({ color }) => color),
        columns.map(({ color }) => color),
        known === WORST ? system.document.themes.map((theme) => theme.id) : [known],
      ),
    [system, rows, columns, known],
  );
  const paired = useMemo(
    () => new Map(pairs.map((pair) => [`${pair.foreground} ${pair.background}`, pair.id])),
    [pairs],
  );
  const press = useCallback(
    (front: Entry, back: Entry) => {
      if (front.color.kind !== 'role' || back.color.kind !== 'role') {
        toast('Pairs are made of roles; choose roles on both sides.');
        return;
      }
      const [foreground, background] = [front.color.role, back.color.role];
      const there = paired.get(`${foreground} ${background}`);
      if (there) {
        navigate(addressOf(id, 'check', there));
        return;
      }
      const pair = usualPair(foreground, background);
      if (edit({ type: 'addPair', pair }))
        toast(`${roleNameIn(roles, foreground)} on ${roleNameIn(roles, background)} is a pair now`, {
          action: { label: 'Show it', onClick: () => navigate(addressOf(id, 'check', pair.id)) },
        });
    },
    [paired, roles, id, navigate, edit],
  );
  const inTheme = known === WORST ? null : known;
  return (
    <div className="flex h-[calc(100dvh-146px)] min-h-96 flex-col">
      <CheckHeader
        view="matrix"
        lead="Every foreground on every ground. Press a cell to make it a pair, or to open the pair it is."
      />
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1 px-5 pb-2">
        <Choice label="Down" value={fronts} options={SETS} onChange={setFronts} className="w-36" />
        <Choice label="Across" value={backs} options={SETS} onChange={setBacks} className="w-36" />
        <Choice
          label="In"
          value={known}
          options={[
            ...themes.map((theme) => ({ value: theme.id, label: theme.name })),
            { value: WORST, label: 'the worst of all themes' },
          ]}
          onChange={setWhere}
          className="w-48"
        />
        <NumberField
          label="At least"
          value={least}
          min={1}
          max={21}
          decimals={2}
          onCommit={setLeast}
          className="w-20"
        />
        <label className="flex h-8 items-center gap-1.5">
          <input type="checkbox" checked={only} onChange={({ target }) => setOnly(target.checked)} />
          hide the rest
        </label>
      </div>
      {rows.length && columns.length ? (
        <MatrixGrid
          rows={rows}
          columns={columns}
          table={table}
          least={least}
          only={only}
          theme={inTheme}
          paired={paired}
          onPress={press}
        />
      ) : (
        <EmptyState title="Nothing to compare yet">
          There is none of these yet: choose another set above, or name roles at Assign.
        </EmptyState>
      )}
    </div>
  );
}
