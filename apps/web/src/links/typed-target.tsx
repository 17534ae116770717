import type { Link } from '@mint-lamp/core/document/links/link';
import { findTargets } from '@mint-lamp/core/document/naming/find-targets';
import { follow, NO_ROLE } from '@mint-lamp/core/system/follow';
import { Command } from 'cmdk';
import { useState } from 'react';
import { useSystem, useTheme } from '../store/selectors.ts';
import { ColorChip } from '../ui/color-chip.tsx';
import { useFocusOnce } from '../ui/use-focus-once.ts';

interface TypedTargetProps {
  exceptRole: string | undefined;
  exceptFamily: string | undefined;
  onPick: (link: Link) => void;
  onLook: (link: Link | null) => void;
}

/** Finds what to link to by a few letters and figures: "dee 7" is Deepwater 700. */
export function TypedTarget({ exceptRole, exceptFamily, onPick, onLook }: TypedTargetProps) {
  // The panel is fetched when it is first opened, after the focus was given to it.
  const field = useFocusOnce<HTMLInputElement>();
  const system = useSystem();
  const theme = useTheme();
  const [text, setText] = useState('');
  const [lit, setLit] = useState('');
  const found = findTargets(system.document, text, 12)
    .filter(
      ({ link }) =>
        !(link.to === 'role' && link.role === exceptRole) &&
        !('family' in link && link.family === exceptFamily),
    )
    .slice(0, 6);
  const colorOf = (link: Link) =>
    follow(link, {
      families: system.families,
      hasGradient: () => false,
      roleOf: (role) => theme.roles.get(role) ?? NO_ROLE,
    }).color?.css ?? null;
  const linkOf = (name: string) => found.find((one) => one.name === name)?.link ?? null;
  return (
    <Command
      label="Link to"
      shouldFilter={false}
      loop
      value={lit}
      onValueChange={(name) => {
        setLit(name);
        if (text.trim()) onLook(linkOf(name));
      }}
    >
      <span aria-hidden className="mb-0.5 block text-sm text-quiet">
        Link to
      </span>
      <Command.Input
        ref={field}
        value={text}
        placeholder="dee 7, text main …"
        onValueChange={(typed) => {
          setText(typed);
          const [first] = findTargets(system.document, typed, 1);
          setLit(first?.name ?? '');
          onLook(first?.link ?? null);
        }}
        className="h-8 w-full rounded-md border border-control bg-raised px-2"
      />
      {text.trim() && !found.length && (
        <p role="status" className="mt-0.5 text-sm text-quiet">
          No family, shade or role by that name. Type colours into the field below.
        </p>
      )}
      <Command.List
        label="Found"
        className="[&>div]:flex [&>div]:flex-wrap [&>div]:gap-1 [&>div:not(:empty)]:pt-1"
      >
        {found.map(({ link, name }) => (
          <Command.Item
            key={name}
            value={name}
            onSelect={() => onPick(link)}
            className="flex cursor-pointer items-center gap-1.5 rounded-md border border-control px-1.5 py-0.5 text-sm hover:bg-pressed aria-selected:bg-main aria-selected:text-inverse"
          >
            <ColorChip css={colorOf(link)} className="size-4" />
            {name}
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  );
}
