import { starterRoles } from '@mint-lamp/core/system/roles/starter-roles';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { newId, useEditing } from '../../store/editing.ts';
import { selected } from '../../store/interface-slice.ts';
import { useProjectDocument } from '../../store/selectors.ts';
import { useAppDispatch } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { EmptyState } from '../../ui/notice.tsx';
import { StationHeader } from '../station-header.tsx';
import { DeriveBar } from './derive/derive-bar.tsx';
import { DeriveMenu } from './derive/derive-menu.tsx';
import { useProposedTheme } from './derive/use-proposed-theme.ts';
import { NewRole } from './new-role.tsx';
import { Sheet } from './sheet/sheet.tsx';
import { ThemeMenu } from './theme-menu.tsx';

/** Roles by name, with what each links to in every theme. */
export default function Assign() {
  const { role } = useParams();
  const dispatch = useAppDispatch();
  const doc = useProjectDocument();
  const { edit } = useEditing();
  const { proposed, ask } = useProposedTheme();
  useEffect(() => {
    if (!role) return;
    dispatch(selected({ kind: 'role', role }));
  }, [dispatch, role]);
  const start = () =>
    edit({ type: 'batch', label: 'add the usual roles', commands: starterRoles(doc, newId) });
  return (
    <div className="flex min-h-full flex-col">
      <StationHeader
        title="Assign"
        lead="Name each use, and link it to a shade in every theme. Each column is a page of its theme."
      >
        <ThemeMenu />
        {doc.roles.length > 0 && <DeriveMenu onAsk={ask} />}
        <NewRole />
      </StationHeader>
      {doc.roles.length ? (
        <>
          {proposed && <DeriveBar proposed={proposed} />}
          <Sheet open={role ?? null} proposed={proposed} />
        </>
      ) : (
        <EmptyState title="No role yet">
          {doc.families.length ? (
            <>
              Begin with the nine roles that nearly every page needs, linked to your families, and change what
              you like.
              <p className="mt-3">
                <Button look="primary" onClick={start}>
                  Add the usual roles
                </Button>
              </p>
            </>
          ) : (
            'Roles link to shades: grow a family first, at Grow.'
          )}
        </EmptyState>
      )}
    </div>
  );
}
