import clsx from 'clsx';
import { FileCode2, Image, Library, type LucideIcon, MessageSquareText, Palette, Sprout } from 'lucide-react';
import { Link } from 'react-router';

/** What somebody has when a project begins, each at an address of its own. */
export const BEGIN_WAYS = [
  { id: 'text', name: 'A text', says: 'a mail, a list of codes', Icon: MessageSquareText },
  { id: 'picture', name: 'A picture', says: 'a photo, a poster, a logo', Icon: Image },
  { id: 'sheet', name: 'A style sheet', says: 'or a page’s address', Icon: FileCode2 },
  { id: 'colour', name: 'One colour', says: 'and what goes with it', Icon: Palette },
  { id: 'set', name: 'A set', says: 'from the shelf', Icon: Library },
  { id: 'nothing', name: 'Nothing yet', says: 'nine ideas to begin with', Icon: Sprout },
] as const satisfies readonly { id: string; name: string; says: string; Icon: LucideIcon }[];
export type BeginWay = (typeof BEGIN_WAYS)[number]['id'];

/** The first question of a project, each answer a way in. */
export function BeginWays({ open = null }: { open?: BeginWay | null }) {
  return (
    <nav aria-labelledby="what-do-you-have">
      <h2 id="what-do-you-have" className="mb-2 font-title text-lg font-semibold">
        What do you have?
      </h2>
      <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-6">
        {BEGIN_WAYS.map(({ id, name, says, Icon }) => (
          <li key={id}>
            <Link
              to={`/new/${id}`}
              aria-current={id === open ? 'page' : undefined}
              className={clsx(
                'flex h-full gap-2 rounded-md border px-3 py-2.5',
                id === open
                  ? 'border-transparent bg-main text-inverse'
                  : 'border-control bg-raised hover:bg-sunken',
              )}
            >
              <Icon aria-hidden className="mt-0.5 size-5 shrink-0" strokeWidth={1.75} />
              <span className="min-w-0">
                <b className="block font-semibold">{name}</b>
                <span className={clsx('block text-sm', id === open ? 'text-inverse' : 'text-quiet')}>
                  {says}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </nav>
  );
}
