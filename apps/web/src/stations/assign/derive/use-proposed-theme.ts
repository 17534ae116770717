import type { Command } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { RoleLink } from '@mint-lamp/core/document/links/link';
import type { Derivation } from '@mint-lamp/core/edits/themes/derivation';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useJob } from '../../../jobs/use-job.ts';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectProject } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';

/** What is asked for: a theme derived from one, to be a new one or to change one that there is. */
export interface Asked {
  readonly from: string;
  readonly way: Derivation;
  /** Id of the theme that it goes into; null for a new one. */
  readonly into: string | null;
  readonly name: string;
}

/** A derived theme that stands on the sheet, and is taken cell by cell or whole. */
export interface ProposedTheme {
  readonly asked: Asked;
  /** Id of its column. */
  readonly column: string;
  readonly busy: boolean;
  readonly progress: number;
  readonly fault: string | null;
  readonly again: () => void;
  readonly pairs: number;
  readonly failing: number;
  /** Roles of which it has a link, and those of them that are not taken. */
  readonly roles: readonly string[];
  readonly left: ReadonlySet<string>;
  readonly toggle: (role: string) => void;
  readonly takeAll: (all: boolean) => void;
  readonly take: () => string | null;
  readonly leave: () => void;
}

/** Works a derived theme out in a worker, and shows it as a column beside the others until it is taken or left. */
export function useProposedTheme() {
  const document = useAppSelector((state) => selectProject(state).document);
  const { tryEdit, preview } = useEditing();
  const [asked, setAsked] = useState<Asked | null>(null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [column] = useState(newId);
  // By what it was asked of: edits made meanwhile come in with the next one.
  const [at, setAt] = useState(document);
  const input = useMemo(() => asked && { document: at, from: asked.from, way: asked.way }, [asked, at]);
  const { result, busy, progress, fault, again } = useJob('deriveTheme', input);
  const links = asked && !busy && result ? result.links : null;
  useEffect(() => {
    if (!asked || !links) return;
    const beside = asked.into ?? asked.from;
    const index = document.themes.findIndex(({ id }) => id === beside) + 1;
    const taken = document.themes.map(({ name }) => name);
    const own = asked.into === null && asked.name && !taken.includes(asked.name) ? asked.name : 'Proposed';
    preview({ type: 'addTheme', theme: { id: column, name: freeFrom(own, taken) }, index, links });
    return () => preview(null);
  }, [asked, links, column, document, preview]);
  const ask = useCallback(
    (next: Asked) => {
      setLeft(new Set());
      setAt(document);
      setAsked(next);
    },
    [document],
  );
  const leave = useCallback(() => setAsked(null), []);
  if (!asked) return { proposed: null, ask };
  const roles = links ? Object.keys(links) : [];
  const toggle = (role: string) => {
    const next = new Set(left);
    if (!next.delete(role)) next.add(role);
    setLeft(next);
  };
  const take = () => {
    if (!links) return null;
    const chosen = Object.entries(links).filter(([role]) => !left.has(role));
    const refused = tryEdit(takingCommand(asked, chosen, document));
    if (!refused) setAsked(null);
    return refused;
  };
  const proposed: ProposedTheme = {
    asked,
    column,
    busy,
    progress,
    fault,
    again,
    pairs: result?.pairs ?? 0,
    failing: result?.failing.length ?? 0,
    roles,
    left,
    toggle,
    takeAll: (all) => setLeft(new Set(all ? [] : roles)),
    take,
    leave,
  };
  return { proposed, ask };
}

function freeFrom(wanted: string, taken: readonly string[]): string {
  let name = wanted;
  for (let n = 2; taken.includes(name); n++) name = `${wanted} ${n}`;
  return name;
}

/** The command that takes links of a derived theme: as a new theme, or into one that there is. */
function takingCommand(
  { from, into, name }: Asked,
  links: readonly (readonly [role: string, link: RoleLink])[],
  { themes, roles }: Pick<ProjectDocument, 'themes' | 'roles'>,
): Command {
  if (into === null) {
    const index = themes.findIndex(({ id }) => id === from) + 1;
    return { type: 'addTheme', theme: { id: newId(), name }, index, links: Object.fromEntries(links) };
  }
  const before = new Map(roles.map((role) => [role.id, role.links[into]]));
  const commands = links
    .filter(([role, link]) => !sameLink(before.get(role), link))
    .map(([role, link]) => ({ type: 'setLink', role, theme: into, link }) as const);
  const target = themes.find(({ id }) => id === into)?.name ?? '';
  return { type: 'batch', label: `derive ${target}`, commands };
}

const KEYS = ['to', 'family', 'shade', 'role', 'color', 'gradient', 'opacity'] as const;
const sameLink = (a: RoleLink | undefined, b: RoleLink) =>
  a !== undefined &&
  KEYS.every((key) => (a as Record<string, unknown>)[key] === (b as Record<string, unknown>)[key]);
