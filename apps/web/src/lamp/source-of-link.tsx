import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { Link as RouterLink } from 'react-router';
import { addressOf } from '../addresses.ts';
import type { LitColor } from '../kinds/lit-color.ts';
import { LinkPicker } from '../links/link-picker.tsx';
import { useEditing } from '../store/editing.ts';
import { selectProject, useProjectDocument } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { part } from '../ui/part.tsx';

const NearLinks = part(() => import('./near-links.tsx'));

/** For a role or stop: what it points to, the way there, and another link. */
export default function SourceOfLink({ lit }: { lit: LitColor }) {
  const doc = useProjectDocument();
  const id = useAppSelector((state) => selectProject(state).id);
  const { edit, tryEdit, preview } = useEditing();
  const { link, relink, painted, gradient, paintBy } = lit;
  if (!relink) return null;
  const to =
    link?.to === 'shade'
      ? addressOf(id, 'grow', link.family, link.shade)
      : link?.to === 'base'
        ? addressOf(id, 'grow', link.family)
        : link?.to === 'role'
          ? addressOf(id, 'assign', link.role)
          : null;
  return (
    <section aria-label="Link" className="flex flex-col gap-1.5">
      <p>
        {gradient && !link ? (
          <>
            <span className="text-quiet">Painted by </span>
            <RouterLink
              to={addressOf(id, 'fade', gradient.gradient.id)}
              className="underline underline-offset-2"
            >
              {gradient.gradient.name}
            </RouterLink>
          </>
        ) : link ? (
          <>
            <span className="text-quiet">{link.to === 'color' ? 'Plain colour, ' : 'Linked to '}</span>
            {to ? (
              <RouterLink to={to} className="underline underline-offset-2">
                {linkName(doc, link)}
              </RouterLink>
            ) : (
              'linked to nothing'
            )}
          </>
        ) : (
          <span className="text-quiet">Not linked yet</span>
        )}
      </p>
      <div className="flex flex-wrap gap-1.5">
        <LinkPicker
          link={link}
          label={`Link of ${lit.title}`}
          onPick={(next) => tryEdit(relink(next))}
          onPreview={(next) => preview(next && relink(next))}
          gradient={
            paintBy && {
              current: link ? null : (gradient?.gradient.id ?? null),
              onPick: (next) => tryEdit(paintBy(next)),
              onLook: (next) => preview(paintBy(next)),
            }
          }
          trigger={<Button small>{link || gradient ? 'Link to another …' : 'Link …'}</Button>}
        />
        {painted && link && link.to !== 'color' && (
          <Button
            small
            look="quiet"
            title="Turns it into a plain colour that follows nothing"
            onClick={() => edit(relink({ to: 'color', color: painted.css }))}
          >
            Cut the link
          </Button>
        )}
      </div>
      {link?.to === 'color' && <NearLinks color={link.color} relink={relink} />}
    </section>
  );
}
