/** Modules of a package that import more than this are its index: what is behind one is not all used by whoever uses some. */
const MOST_IMPORTS = 30;

interface Modules {
  getModuleInfo(id: string): { readonly importedIds: readonly string[] } | null;
}

interface Entries {
  readonly first: string;
  readonly list: string;
  readonly project: string;
}

/**
 * Which chunk a module goes into, by what imports what: what the entry needs before it can run comes with the entry; what
 * the list of projects and an open project need besides comes as one file, and what an open project needs alone as
 * another, since many small files weigh more than one of the same. Everything else is left to the bundler.
 */
export function chunkNames({ first, list, project }: Entries) {
  let closures: Record<keyof Entries, ReadonlySet<string>> | null = null;
  const closureOf = (modules: Modules, root: string) => {
    const ids = new Set<string>();
    const waiting = [root];
    while (waiting.length) {
      const id = waiting.pop()!;
      if (ids.has(id)) continue;
      ids.add(id);
      const imported = modules.getModuleInfo(id)?.importedIds ?? [];
      if (!id.includes('/node_modules/') || imported.length <= MOST_IMPORTS) waiting.push(...imported);
    }
    return ids;
  };
  return (id: string, modules: Modules): string | null => {
    closures ??= {
      first: closureOf(modules, first),
      list: closureOf(modules, list),
      project: closureOf(modules, project),
    };
    if (closures.first.has(id) || !closures.project.has(id)) return null;
    return closures.list.has(id) ? 'pages' : 'project';
  };
}
