/** Modules of a package that import more than this are its index: what is behind one is not all used by whoever uses some. */
const MOST_IMPORTS = 30;

/** What all icons are made with, which is behind the index of their package. */
const BASIS_OF_ICONS = /\/lucide-react\/dist\/esm\/(?!icons\/|lucide-react\.)/;

interface Modules {
  getModuleInfo(id: string): { readonly importedIds: readonly string[] } | null;
}

interface Entries {
  readonly first: string;
  readonly list: string;
  readonly project: string;
}

/**
 * The groups of modules that come as one file each, by what imports what: what the entry needs before it can run, what the
 * list of projects and an open project need besides, and what an open project needs alone, since many small files weigh
 * more than one of the same. What a group needs comes with it, unless it is in one before it, so that no two files need
 * each other. Everything else is left to the bundler.
 */
export function chunkGroups({ first, list, project }: Entries) {
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
    // What is itself fetched as an entry keeps a file of its own: its exports are asked for by that.
    ids.delete(root);
    return ids;
  };
  const group = (name: string, priority: number, of: readonly (keyof Entries)[]) => ({
    name(id: string, modules: Modules): string | null {
      closures ??= {
        first: closureOf(modules, first),
        list: closureOf(modules, list),
        project: closureOf(modules, project),
      };
      const own = closures;
      const wanted = of.every((entry) => own[entry].has(id));
      return wanted || (name === 'pages' && BASIS_OF_ICONS.test(id)) ? name : null;
    },
    priority,
  });
  return [
    group('first', 3, ['first']),
    group('pages', 2, ['list', 'project']),
    group('project', 1, ['project']),
  ];
}
