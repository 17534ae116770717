import { MOST_SHADES } from '@mint-lamp/core/document/limits';
import { freeName, slugsOf } from '@mint-lamp/core/document/naming/names';
import { baseFromShade, familyFromShade, shadeInserted } from '@mint-lamp/core/edits/families/shade-edits';
import type { ResolvedFamily } from '@mint-lamp/core/system/families/resolved-family';
import { memo } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectDocument, selectSystem, useProjectId } from '../../../store/selectors.ts';
import { type AppStore, useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { HelpMark } from '../../../ui/help-mark.tsx';
import { TakeOut } from './take-out.tsx';

/** What can be done with the selected shade of the open family, below it. */
export function ShadeTools({ resolved }: { resolved: ResolvedFamily }) {
  const { family, base, shades } = resolved;
  const selected = useAppSelector(({ interface: { selection: is } }) =>
    is && 'family' in is && is.family === family.id ? (is.kind === 'shade' ? is.shade : base.label) : null,
  );
  const index = shades.findIndex(({ label }) => label === selected);
  const shade = shades[index];
  if (!shade) return null;
  return (
    <Tools
      family={family.id}
      name={family.name}
      label={shade.label}
      index={index}
      count={shades.length}
      isBase={shade.isBase}
      handSet={shade.handSet}
      grown={shade.handSet ? shade.grown : null}
      asBase={shade.handSet ? (baseFromShade(resolved, shade.label)?.at ?? null) : null}
    />
  );
}

interface ToolsProps {
  family: string;
  name: string;
  label: string;
  /** Its place, lightest first. */
  index: number;
  count: number;
  isBase: boolean;
  handSet: boolean;
  /** What growth would give, for one that was set by hand. */
  grown: string | null;
  /** The label at which it would stand as the base; null for one that cannot be it. */
  asBase: string | null;
}

/** Drawn again only when another shade is selected, or it changes what it is; not while a base is dragged. */
const Tools = memo(function Tools(props: ToolsProps) {
  const { family, name, label, index, count, isBase, handSet, grown, asBase } = props;
  const store = useStore() as AppStore;
  const id = useProjectId();
  const { edit } = useEditing();
  const navigate = useNavigate();
  const now = () => {
    const system = selectSystem(store.getState());
    return { system, resolved: system.families.get(family)! };
  };
  const insert = (at: number) => {
    const { command, label: made } = shadeInserted(now().resolved, at);
    if (edit(command)) {
      toast(`${name} ${made} was put in between; the others stay as they are`);
      navigate(addressOf(id, 'grow', family, made));
    }
  };
  const toBase = () => {
    const made = baseFromShade(now().resolved, label);
    if (made && edit(made.command)) {
      toast(`It is the base now, and stands at ${made.at}`);
      navigate(addressOf(id, 'grow', family));
    }
  };
  const toFamily = () => {
    const { system, resolved } = now();
    const made = {
      id: newId(),
      name: freeName(`${name} ${label}`.slice(0, 70), slugsOf(selectDocument(store.getState()).families)),
    };
    const command = familyFromShade(system.document, resolved, label, made);
    if (command && edit(command)) navigate(addressOf(id, 'grow', made.id));
  };
  const full = count >= MOST_SHADES;
  return (
    <fieldset aria-label={`${name} ${label}`} className="mt-1 flex flex-wrap items-center gap-1">
      <span className="mr-1 font-semibold">{label}</span>
      <Button
        small
        look="quiet"
        disabled={full || index === count - 1}
        title={
          full ? `A family has at most ${MOST_SHADES} shades` : 'Between this one and the next darker one'
        }
        onClick={() => insert(index)}
      >
        Insert a darker one
      </Button>
      <Button
        small
        look="quiet"
        disabled={full || index === 0}
        title={
          full ? `A family has at most ${MOST_SHADES} shades` : 'Between this one and the next lighter one'
        }
        onClick={() => insert(index - 1)}
      >
        Insert a lighter one
      </Button>
      <TakeOut family={family} label={label} isBase={isBase} few={count <= 3} />
      {handSet && (
        <>
          <span className="mx-1 h-4 border-l border-hair" />
          <span className="flex items-center gap-1 text-sm text-quiet" data-help="hand-set">
            set by hand; growth gives {grown}
            <HelpMark of="hand-set" about="Hand-set shade" />
          </span>
          <Button small onClick={() => edit({ type: 'setShade', family, shade: label, color: null })}>
            Reset to growth
          </Button>
          {asBase !== null && (
            <Button
              small
              onClick={toBase}
              title={
                asBase === label
                  ? 'It stays where it is, and the other shades grow from it'
                  : `Its lightness does not lie between its neighbours’: as the base it would stand at ${asBase}`
              }
            >
              {asBase === label ? 'Make it the base' : `Make it the base, at ${asBase}`}
            </Button>
          )}
          <Button small onClick={toFamily}>
            Turn into a family
          </Button>
        </>
      )}
    </fieldset>
  );
});
