import type { Command } from './commands/command.ts';
import type { ProjectDocument } from './document.ts';

type Named = readonly { readonly id: string; readonly name: string }[];
const nameIn = (list: Named, id: string) => list.find((item) => item.id === id)?.name ?? 'something gone';

/** What a command does to a document, in a few words for menus and history: "change the base of Buoy". */
export function describeCommand(doc: ProjectDocument, command: Command): string {
  const family = (id: string) => nameIn(doc.families, id);
  const theme = (id: string) => nameIn(doc.themes, id);
  const gradient = (id: string) => nameIn(doc.gradients, id);
  const swatch = (id: string) => nameIn(doc.tray, id);
  const role = (id: string) => doc.roles.find((r) => r.id === id)?.path ?? 'a role that is gone';
  switch (command.type) {
    case 'renameProject':
      return `rename the project to ${command.name}`;
    case 'setGround':
      return command.role ? `lay ${role(command.role)} beneath the page` : 'lay white beneath the page';
    case 'addTheme':
      return `add the theme ${command.theme.name}`;
    case 'removeTheme':
      return `remove the theme ${theme(command.theme)}`;
    case 'renameTheme':
      return `rename ${theme(command.theme)} to ${command.name}`;
    case 'moveTheme':
      return `move the theme ${theme(command.theme)}`;
    case 'addFamily':
      return `add the family ${command.family.name}`;
    case 'removeFamily':
      return `remove the family ${family(command.family)}`;
    case 'renameFamily':
      return `rename ${family(command.family)} to ${command.name}`;
    case 'moveFamily':
      return `move the family ${family(command.family)}`;
    case 'setBase':
      return `change the base of ${family(command.family)}`;
    case 'setGrowth':
      return `change how ${family(command.family)} grows`;
    case 'setShade':
      return command.color
        ? `set ${family(command.family)} ${command.shade} by hand`
        : `return ${family(command.family)} ${command.shade} to its growth`;
    case 'addRole':
      return `add the role ${command.role.path}`;
    case 'removeRole':
      return `remove the role ${role(command.role)}`;
    case 'renameRole':
      return `rename ${role(command.role)} to ${command.path}`;
    case 'renameRoleGroup':
      return `rename ${command.from}/ to ${command.to}/`;
    case 'moveRole':
      return `move the role ${role(command.role)}`;
    case 'setLink':
      return `link ${role(command.role)} in ${theme(command.theme)}`;
    case 'addPair':
      return `add the pair ${role(command.pair.foreground)} on ${role(command.pair.background)}`;
    case 'removePair':
      return 'remove a pair';
    case 'setPair':
      return 'change a pair';
    case 'addGradient':
      return `add the gradient ${command.gradient.name}`;
    case 'removeGradient':
      return `remove the gradient ${gradient(command.gradient)}`;
    case 'renameGradient':
      return `rename ${gradient(command.gradient)} to ${command.name}`;
    case 'setGradient':
      return `change ${gradient(command.gradient)}`;
    case 'addStop':
      return `add a stop to ${gradient(command.gradient)}`;
    case 'removeStop':
      return `remove a stop of ${gradient(command.gradient)}`;
    case 'moveStop':
      return `move a stop of ${gradient(command.gradient)}`;
    case 'linkStop':
      return `change a stop of ${gradient(command.gradient)}`;
    case 'addSwatch':
      return `add ${command.swatch.name} to the tray`;
    case 'removeSwatch':
      return `take ${swatch(command.swatch)} out of the tray`;
    case 'renameSwatch':
      return `rename ${swatch(command.swatch)} to ${command.name}`;
    case 'moveSwatch':
      return `move ${swatch(command.swatch)} in the tray`;
    case 'setSwatch':
      return `change ${swatch(command.swatch)}`;
    case 'batch':
      return command.label;
  }
}
