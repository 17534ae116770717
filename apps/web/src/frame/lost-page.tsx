import { Link, useLocation, useRouteError } from 'react-router';
import { Button } from '../ui/button.tsx';
import { Mark } from '../ui/mark.tsx';

/** Nothing at this address, or a view that failed: what is saved is safe, and the way back is here. */
export function LostPage() {
  const error = useRouteError();
  const failed = error instanceof Error;
  const project = /^\/p\/[^/]+/.exec(useLocation().pathname)?.[0];
  return (
    <main className="grid h-full place-content-center justify-items-center gap-3 text-center">
      <Mark className="size-12" />
      <h1 className="font-title text-2xl font-semibold">
        {failed ? 'This view failed' : 'There is nothing here'}
      </h1>
      <p className="max-w-md text-quiet">
        {failed
          ? `Your edits are kept. Reload to go on. (${error.message})`
          : 'This address doesn’t lead to a project or a station. It may be mistyped.'}
      </p>
      {failed && (
        <Button look="primary" onClick={() => location.reload()}>
          Reload this page
        </Button>
      )}
      <p className="flex gap-4">
        {project && !failed && (
          <Link to={project} className="underline underline-offset-2">
            Back to the project
          </Link>
        )}
        <Link to="/" className="underline underline-offset-2">
          All projects
        </Link>
      </p>
    </main>
  );
}
