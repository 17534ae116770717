import type { SimpleCommand } from '../document/commands/command.ts';
import type { ProjectDocument } from '../document/document.ts';
import type { Noted } from '../document/naming/note-name.ts';
import type { PaletteEntry } from '../shelf/shelf-set.ts';
import type { ShelfSet } from './shelf.ts';

/** What goes over the wire about shares; written once for both ends. */

/** What is given to somebody outside. */
export type ShareSubject =
  /** The page for people: scenes, roles, families, what can be read. */
  | { readonly kind: 'project' }
  /** One scene in every theme. */
  | { readonly kind: 'scene'; readonly scene: string }
  /** The pairs with their verdicts. */
  | { readonly kind: 'report' }
  | { readonly kind: 'gradient'; readonly gradient: string }
  | { readonly kind: 'family'; readonly family: string }
  /** Colours of the tray; of one group where it is named. */
  | { readonly kind: 'tray'; readonly group: string | null }
  /** A set on the shelf. */
  | { readonly kind: 'set'; readonly set: string }
  /** The live style sheet, for a page of theirs. */
  | { readonly kind: 'css' };
export type ShareKind = ShareSubject['kind'];

/** Kinds of which somebody can have a copy of their own to try on, and those that notes can be pinned to. */
export const TRIED: readonly ShareKind[] = ['project', 'scene'];
export const NOTED: readonly ShareKind[] = ['project', 'scene', 'report', 'gradient', 'family'];

/** What whoever has a share may do beside looking. */
interface ShareWays {
  readonly tries: boolean;
  readonly notes: boolean;
}

export interface NewShare extends ShareWays {
  readonly name: string;
  readonly subject: ShareSubject;
  /** The revision of the project that it shows; null for the project as it is. */
  readonly revision: number | null;
  /** ISO 8601. */
  readonly endsAt: string;
  /** Null for none. */
  readonly passphrase: string | null;
}

/** A share as those of its project see it. Its address is known to whoever made it, and kept nowhere. */
export interface Share extends Omit<NewShare, 'passphrase'> {
  readonly id: string;
  readonly locked: boolean;
  /** When it was shut; null while it is open. One whose end is past is shut too. */
  readonly shutAt: string | null;
  readonly madeAt: string;
  /** Who made it; null where that is not known. */
  readonly author: string | null;
  readonly opened: number;
  /** ISO 8601; null for never. */
  readonly openedAt: string | null;
}

/** A share whose address was just made: the one time that it is told. */
export interface MadeShare {
  readonly share: Share;
  readonly token: string;
}

/** What can be changed of a share that was made. */
export type ShareChange = Partial<Pick<NewShare, 'name' | 'endsAt'>>;

export interface ShareList {
  /** The newest first. */
  readonly shares: readonly Share[];
}

/** What a share shows: nothing but what it is for. */
export type Shown =
  | {
      readonly kind: 'project' | 'scene' | 'report' | 'gradient' | 'family';
      readonly document: ProjectDocument;
    }
  | { readonly kind: 'palette'; readonly name: string; readonly colors: readonly PaletteEntry[] }
  | { readonly kind: 'set'; readonly set: Pick<ShelfSet, 'name' | 'words' | 'content' | 'colors'> };

/** A share as whoever was given it sees it. */
export interface SharedView extends ShareWays {
  /** By which a browser knows it again; it opens nothing. */
  readonly id: string;
  readonly name: string;
  readonly subject: ShareSubject;
  /** Whether it shows the project as it is, and goes on with it. */
  readonly live: boolean;
  readonly revision: number;
  /** When that revision was made, ISO 8601. */
  readonly at: string;
  readonly endsAt: string;
  readonly shown: Shown;
}

/** A note of somebody who has a share. */
export interface SharedNote {
  readonly by: string;
  readonly on: Noted;
  readonly text: string;
}

/** What they say to a note that is there. */
export type SharedAnswer = Omit<SharedNote, 'on'>;

/** What somebody who has a share would rather have: the commands that make it, each by itself. */
export interface NewProposal {
  readonly by: string;
  readonly words: string;
  /** The revision that it was made from. */
  readonly revision: number;
  readonly commands: readonly ProposedCommand[];
}

/** The commands that can be proposed. */
export const PROPOSED = ['setBase', 'setLink'] as const satisfies readonly SimpleCommand['type'][];
export type ProposedCommand = Extract<SimpleCommand, { readonly type: (typeof PROPOSED)[number] }>;

export const PROPOSAL_STATES = ['open', 'taken', 'declined'] as const;
export type ProposalState = (typeof PROPOSAL_STATES)[number];

/** One thing that a proposal would have otherwise. */
export interface ProposedPart {
  readonly command: ProposedCommand;
  /** As it was where the proposal was made; null where it was not there. */
  readonly then: ProposedCommand | null;
}

/** A proposal as those of its project see it. */
export interface Proposal extends Omit<NewProposal, 'commands'> {
  readonly id: string;
  readonly parts: readonly ProposedPart[];
  /** The name of the share that it came by. */
  readonly share: string;
  /** ISO 8601. */
  readonly at: string;
  readonly state: ProposalState;
}

export interface ProposalList {
  /** The newest first. */
  readonly proposals: readonly Proposal[];
}

/** Of one project; more are refused. */
export const MOST_SHARES = 200;
export const MOST_PROPOSALS = 200;
export const MOST_PROPOSED = 4000;
export const MOST_PROPOSAL_WORDS = 2000;
/** Days until the end of a share, at most. */
export const LONGEST_SHARE_DAYS = 5 * 366;
/** Letters of a share's passphrase, at least. */
export const LEAST_SHARE_PASSPHRASE = 6;
