import type { Growth } from '../../family/grow.ts';
import type { Family, Gradient, Link, Pair, Role, Stop, Swatch, Theme } from '../document.ts';

/**
 * Every change to a document. A command is small, named and serialisable; ids of new things come with it, so
 * that browser and server make the same document of it. An `index` left out means the end of the list.
 */
export type Command =
  | { readonly type: 'renameProject'; readonly name: string }
  | { readonly type: 'setGround'; readonly role: string | null }
  | {
      readonly type: 'addTheme';
      readonly theme: Theme;
      readonly index?: number;
      /** Links of the new theme by role id. */
      readonly links: Readonly<Record<string, Link>>;
    }
  | { readonly type: 'removeTheme'; readonly theme: string }
  | { readonly type: 'renameTheme'; readonly theme: string; readonly name: string }
  | { readonly type: 'moveTheme'; readonly theme: string; readonly index: number }
  | { readonly type: 'addFamily'; readonly family: Family; readonly index?: number }
  | { readonly type: 'removeFamily'; readonly family: string }
  | { readonly type: 'renameFamily'; readonly family: string; readonly name: string }
  | { readonly type: 'moveFamily'; readonly family: string; readonly index: number }
  | { readonly type: 'setBase'; readonly family: string; readonly color: string }
  | { readonly type: 'setGrowth'; readonly family: string; readonly growth: Growth }
  | {
      readonly type: 'setShade';
      readonly family: string;
      readonly shade: string;
      readonly color: string | null;
    }
  | { readonly type: 'addRole'; readonly role: Role; readonly index?: number }
  | { readonly type: 'removeRole'; readonly role: string }
  | { readonly type: 'renameRole'; readonly role: string; readonly path: string }
  | { readonly type: 'renameRoleGroup'; readonly from: string; readonly to: string }
  | { readonly type: 'moveRole'; readonly role: string; readonly index: number }
  | { readonly type: 'setLink'; readonly role: string; readonly theme: string; readonly link: Link | null }
  | { readonly type: 'addPair'; readonly pair: Pair; readonly index?: number }
  | { readonly type: 'removePair'; readonly pair: string }
  | { readonly type: 'setPair'; readonly pair: string; readonly change: PairChange }
  | { readonly type: 'addGradient'; readonly gradient: Gradient; readonly index?: number }
  | { readonly type: 'removeGradient'; readonly gradient: string }
  | { readonly type: 'renameGradient'; readonly gradient: string; readonly name: string }
  | { readonly type: 'setGradient'; readonly gradient: string; readonly change: GradientChange }
  | { readonly type: 'addStop'; readonly gradient: string; readonly stop: Stop; readonly index?: number }
  | { readonly type: 'removeStop'; readonly gradient: string; readonly stop: string }
  | {
      readonly type: 'moveStop';
      readonly gradient: string;
      readonly stop: string;
      readonly position: number;
      /** Place among the stops; left out, the place follows from the position. */
      readonly index?: number;
    }
  | { readonly type: 'linkStop'; readonly gradient: string; readonly stop: string; readonly link: Link }
  | { readonly type: 'addSwatch'; readonly swatch: Swatch; readonly index?: number }
  | { readonly type: 'removeSwatch'; readonly swatch: string }
  | { readonly type: 'renameSwatch'; readonly swatch: string; readonly name: string }
  | { readonly type: 'moveSwatch'; readonly swatch: string; readonly index: number }
  | { readonly type: 'setSwatch'; readonly swatch: string; readonly color: string }
  | { readonly type: 'batch'; readonly label: string; readonly commands: readonly SimpleCommand[] };

export type SimpleCommand = Exclude<Command, { type: 'batch' }>;
export type CommandOf<T extends Command['type']> = Extract<Command, { type: T }>;
export type PairChange = Partial<Omit<Pair, 'id'>>;
export type GradientChange = Partial<Pick<Gradient, 'angle' | 'space'>>;
