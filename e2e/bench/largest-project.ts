import { LARGEST } from '../../packages/core/bench/largest-document.ts';
import type { Stack } from '../support/stack.ts';
import { post, send } from '../support/test.ts';

/**
 * Makes a project of the largest sizes through the API, as an interface would; returns its id. With fewer roles it has no
 * pairs and no gradients.
 */
export async function makeLargestProject(stack: Stack, count = LARGEST.roles.length): Promise<string> {
  const { id } = await post(stack, '/projects', { name: 'Largest' });
  const { themes, families } = LARGEST;
  const isWhole = count === LARGEST.roles.length;
  const roles = LARGEST.roles.slice(0, count);
  const [pairs, gradients] = isWhole ? [LARGEST.pairs, LARGEST.gradients] : [[], []];
  const inBatches = async (commands: object[], size: number) => {
    for (let at = 0; at < commands.length; at += size)
      await send(stack, id, [{ type: 'batch', label: 'fill', commands: commands.slice(at, at + size) }]);
  };
  await inBatches(
    [
      ...themes.map((theme) => ({ type: 'addTheme', theme, links: {} })),
      { type: 'removeTheme', theme: 'light' },
      { type: 'removeTheme', theme: 'dark' },
      ...families.map((family) => ({ type: 'addFamily', family })),
    ],
    500,
  );
  // Roles that are linked to come first.
  await inBatches(
    roles.map((role) => ({ type: 'addRole', role })),
    200,
  );
  await inBatches(
    [{ type: 'setGround', role: LARGEST.ground }, ...pairs.map((pair) => ({ type: 'addPair', pair }))],
    1000,
  );
  await inBatches(
    gradients.map((gradient) => ({ type: 'addGradient', gradient })),
    50,
  );
  return id;
}
