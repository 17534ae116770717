import type { OnProject } from '@mint-lamp/core/wire/people';
import { useOnProjectQuery } from '../fetching/project-people-api.ts';
import { personOfPage } from '../person/person.ts';
import { useProjectId } from '../store/selectors.ts';

const NOBODY: readonly OnProject[] = [];

/** Everybody who may see the project or has written in it; nobody where there is nobody to be told apart. */
export function useNotePeople(): readonly OnProject[] {
  const { data } = useOnProjectQuery(useProjectId(), { skip: personOfPage() === null });
  return data?.people ?? NOBODY;
}
