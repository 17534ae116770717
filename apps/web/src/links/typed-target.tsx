import type { Link } from '@mint-lamp/core/document/links/link';
import { findTargets } from '@mint-lamp/core/document/naming/find-targets';
import { follow, NO_ROLE } from '@mint-lamp/core/system/follow';
import clsx from 'clsx';
import { type KeyboardEvent, useId, useState } from 'react';
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
  const id = useId();
  // The panel is fetched when it is first opened, after the focus was given to it.
  const field = useFocusOnce<HTMLInputElement>();
  const system = useSystem();
  const theme = useTheme();
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const found = findTargets(system.document, text, 12)
    .filter(
      ({ link }) =>
        !(link.to === 'role' && link.role === exceptRole) &&
        !('family' in link && link.family === exceptFamily),
    )
    .slice(0, 6);
  const chosen = Math.min(at, found.length - 1);
  const colorOf = (link: Link) =>
    follow(link, {
      families: system.families,
      hasGradient: () => false,
      roleOf: (role) => theme.roles.get(role) ?? NO_ROLE,
    }).color?.css ?? null;
  const go = (next: number) => {
    const place = (next + found.length) % found.length;
    setAt(place);
    onLook(found[place]?.link ?? null);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (!found.length) return;
    if (event.key === 'ArrowDown') go(chosen + 1);
    else if (event.key === 'ArrowUp') go(chosen - 1);
    else if (event.key === 'Enter') onPick(found[chosen]!.link);
    else return;
    event.preventDefault();
  };
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-sm text-quiet">
        Link to
      </label>
      <input
        ref={field}
        id={id}
        role="combobox"
        aria-expanded={found.length > 0}
        aria-controls={`${id}-found`}
        aria-activedescendant={found.length ? `${id}-${chosen}` : undefined}
        value={text}
        placeholder="dee 7, text main …"
        autoComplete="off"
        spellCheck={false}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
          const [first] = findTargets(system.document, event.target.value, 1);
          onLook(first?.link ?? null);
        }}
        onKeyDown={onKeyDown}
        className="h-8 w-full rounded-md border border-control bg-raised px-2"
      />
      {text.trim() && !found.length && (
        <p role="status" className="mt-0.5 text-sm text-quiet">
          No family, shade or role is called so. A colour goes into the field below.
        </p>
      )}
      <div
        id={`${id}-found`}
        role="listbox"
        aria-label="Found"
        className="flex flex-wrap gap-1 pt-1 empty:hidden"
      >
        {found.map(({ link, name }, i) => (
          <button
            key={name}
            id={`${id}-${i}`}
            type="button"
            role="option"
            aria-selected={i === chosen}
            tabIndex={-1}
            onClick={() => onPick(link)}
            onPointerEnter={() => onLook(link)}
            className={clsx(
              'flex items-center gap-1.5 rounded-md border border-control px-1.5 py-0.5 text-sm',
              i === chosen ? 'bg-main text-inverse' : 'hover:bg-pressed',
            )}
          >
            <ColorChip css={colorOf(link)} className="size-4" />
            {name}
          </button>
        ))}
      </div>
    </div>
  );
}
