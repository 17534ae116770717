/** Modules of a package that import more than this are its index: what is behind one is not all used by whoever uses some. */
const MOST_IMPORTS = 30;

/**
 * Which chunk a module goes into, by what imports what: what the entry needs before it can run comes with the entry; what
 * the list of projects and an open project need besides comes as one file, and what an open project needs alone as
 * another, since many small files weigh more than one of the same. Everything else is left to the bundler.
 */
export function chunkNames({ first, list, project }) {
  let closures = null;
  const closureOf = (ctx, root) => {
    const ids = new Set();
    const waiting = [root];
    while (waiting.length) {
      const id = waiting.pop();
      if (ids.has(id)) continue;
      ids.add(id);
      const imported = ctx.getModuleInfo(id)?.importedIds ?? [];
      if (!id.includes('/node_modules/') || imported.length <= MOST_IMPORTS) waiting.push(...imported);
    }
    return ids;
  };
  return (id, ctx) => {
    closures ??= {
      first: closureOf(ctx, first),
      list: closureOf(ctx, list),
      project: closureOf(ctx, project),
    };
    if (closures.first.has(id) || !closures.project.has(id)) return null;
    return closures.list.has(id) ? 'pages' : 'project';
  };
}
