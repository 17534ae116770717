import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { LARGEST } from '../../packages/core/bench/largest-document.ts';
import type { Stack } from '../support/stack.ts';
import { post, send } from '../support/test.ts';

/** The themes that a new project has. */
const BEGUN_WITH = ['light', 'dark'];

/** Makes a project with the contents of a document through the API, as an interface would; returns its id. */
export async function makeProject(stack: Stack, document: ProjectDocument): Promise<string> {
  const { id } = await post(stack, '/projects', { name: document.name });
  const { themes, families, roles, pairs, gradients } = document;
  const inBatches = async (commands: object[], size: number) => {
    for (let at = 0; at < commands.length; at += size)
      await send(stack, id, [{ type: 'batch', label: 'fill', commands: commands.slice(at, at + size) }]);
  };
  // Those that a project begins with go once another is there, before so many are that no more fit in.
  const [first, ...others] = themes.map((theme) =>
    BEGUN_WITH.includes(theme.id)
      ? { type: 'renameTheme', theme: theme.id, name: theme.name }
      : { type: 'addTheme', theme, links: {} },
  );
  const left = BEGUN_WITH.filter((theme) => !themes.some(({ id }) => id === theme));
  await inBatches(
    [
      first!,
      ...left.map((theme) => ({ type: 'removeTheme', theme })),
      ...others,
      ...families.map((family) => ({ type: 'addFamily', family })),
    ],
    500,
  );
  const isPainted = ({ links }: (typeof roles)[number]) =>
    Object.values(links).some(({ to }) => to === 'gradient');
  // What is linked to comes first: roles of one colour, what their gradients are made of, roles that those paint.
  const addRoles = (those: typeof roles) =>
    inBatches(
      those.map((role) => ({ type: 'addRole', role })),
      200,
    );
  await addRoles(roles.filter((role) => !isPainted(role)));
  await inBatches(
    gradients.map((gradient) => ({ type: 'addGradient', gradient })),
    50,
  );
  await addRoles(roles.filter(isPainted));
  await inBatches(
    [{ type: 'setGround', role: document.ground }, ...pairs.map((pair) => ({ type: 'addPair', pair }))],
    1000,
  );
  return id;
}

/** A project of the largest sizes. With fewer roles it has no pairs and no gradients. */
export function makeLargestProject(stack: Stack, count = LARGEST.roles.length): Promise<string> {
  const isWhole = count === LARGEST.roles.length;
  const roles = LARGEST.roles.slice(0, count);
  return makeProject(stack, isWhole ? LARGEST : { ...LARGEST, roles, pairs: [], gradients: [] });
}
