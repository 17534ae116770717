import { joiResolver } from '@hookform/resolvers/joi';
import { teamName } from '@mint-lamp/core/wire/people-schema';
import Joi from 'joi';
import { useForm } from 'react-hook-form';
import { Link, useNavigate } from 'react-router';
import { reasonOf } from '../fetching/api.ts';
import { useMakeTeamMutation, useTeamsQuery } from '../fetching/teams-api.ts';
import { Button } from '../ui/button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { EmptyState, Failure } from '../ui/notice.tsx';
import { ACCESS_WORDS } from './access-words.ts';
import { OwnPage } from './own-page.tsx';
import { answered, useAsking } from './use-asking.ts';

export default function TeamsPage() {
  return (
    <OwnPage
      title="Teams"
      lead="Projects of a team belong to all of it. Who is in it, and what they may, its owners say."
    >
      <NewTeam />
      <TeamList />
    </OwnPage>
  );
}

function NewTeam() {
  const navigate = useNavigate();
  const [make] = useMakeTeamMutation();
  const form = useForm<{ name: string }>({
    resolver: joiResolver(Joi.object({ name: teamName })),
    defaultValues: { name: '' },
  });
  const { submit, problem, busy } = useAsking(form, async ({ name }) => {
    const made = await answered(make(name));
    navigate(`/teams/${made.id}`);
  });
  return (
    <form noValidate onSubmit={submit} className="mt-6 flex items-end gap-2">
      <FormField
        label="New team"
        className="flex-1"
        placeholder="what you call yourselves"
        fault={form.formState.errors.name?.message ?? problem ?? undefined}
        {...form.register('name')}
      />
      <Button type="submit" look="primary" className="h-9" disabled={busy}>
        Make it
      </Button>
    </form>
  );
}

function TeamList() {
  const { data: teams, error, refetch } = useTeamsQuery();
  if (error && !teams) return <Failure fault={reasonOf(error)} onAgain={() => void refetch()} />;
  if (!teams) return null;
  if (!teams.length)
    return (
      <EmptyState title="No team yet">
        Name one above, then invite the others by their e-mail addresses.
      </EmptyState>
    );
  return (
    <ul aria-label="Teams" className="mt-6 divide-y divide-hair border-y border-hair">
      {teams.map(({ id, name, access, people, projects }) => (
        <li key={id} className="relative flex items-baseline gap-4 px-2 py-3 hover:bg-raised">
          <h2 className="w-72 truncate font-title text-lg font-semibold">
            <Link to={`/teams/${id}`} className="after:absolute after:inset-0">
              {name}
            </Link>
          </h2>
          <span className="text-quiet">
            {people === 1 ? '1 person' : `${people} people`} ·{' '}
            {projects === 1 ? '1 project' : `${projects} projects`}
          </span>
          <span className="ml-auto text-quiet">you: {ACCESS_WORDS[access][0].toLowerCase()}</span>
        </li>
      ))}
    </ul>
  );
}
