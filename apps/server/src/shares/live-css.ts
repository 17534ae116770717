import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import { choicesOf } from '@mint-lamp/core/document/delivery/forms';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { changesBetween, declaredIn } from '@mint-lamp/core/exchange/css-changes';
import { chosenSystem } from '@mint-lamp/core/system/delivery/chosen-system';
import { resolveSystem, type System } from '@mint-lamp/core/system/resolve';
import type { Dragged } from '../database/drag-notices.ts';

/** What somebody drags, and the revision that they have. */
type Held = Pick<Dragged, 'revision' | 'command'>;

/** A project as a style sheet, in the form that is chosen at Deliver. */
export interface Sheet {
  readonly revision: number;
  readonly document: ProjectDocument;
  readonly system: System;
  readonly css: string;
  readonly declared: ReturnType<typeof declaredIn>;
}

/** What follows from what was there before is not worked out again. */
export function sheetOf(document: ProjectDocument, revision: number, before?: Sheet): Sheet {
  const system = resolveSystem(document, before?.system);
  const { choices, leftOut } = document.delivery;
  const css = writeCss(chosenSystem(system, leftOut).system, choicesOf(choices, 'css'));
  return { revision, document, system, css, declared: declaredIn(css) };
}

/**
 * What those who follow are told, as JSON:
 * - `sheet`: all of it, in place of what was before;
 * - `css`: what is to be laid over what was told before;
 * - `drag`: what is to be laid over all that while somebody drags; empty once it rests. Whatever is told ends the drag before.
 */
export type Told = { readonly sheet: string } | { readonly css: string } | { readonly drag: string };

/** Sheets are told as a whole now and then, so that what is laid over one does not grow for good. */
const LAID_OVER = 100;
/** ms between two things that are told, at least. */
const PACE_MS = 100;
/** A drag of which nothing more is heard is over. */
const FORGOTTEN_MS = 60_000;

interface Asked {
  /** The project as it is; null where it is gone. */
  readonly present: () => Promise<{ document: ProjectDocument; revision: number } | null>;
  readonly tell: (told: Told) => void;
  readonly fail: (error: unknown) => void;
}

/**
 * Follows one project for all who follow its style sheet in this process: whatever changes is worked out once. It begins
 * with the sheet as it is; `changed` and `dragged` are called with what is heard, and told no more often than ten times a
 * second.
 */
export class FollowedSheet {
  sheet: Sheet;
  private readonly asked: Asked;
  private held: Held | null = null;
  /** Whether a drag is laid over the sheet of those who follow. */
  private isHeld = false;
  private stale = false;
  private waiting: NodeJS.Timeout | undefined;
  private forgetting: NodeJS.Timeout | undefined;
  private told = 0;
  private last = 0;
  private working = false;

  constructor(sheet: Sheet, asked: Asked) {
    this.sheet = sheet;
    this.asked = asked;
  }

  changed(): void {
    this.stale = true;
    this.plan();
  }

  dragged(held: Held): void {
    this.held = held.command && held;
    clearTimeout(this.forgetting);
    if (held.command) {
      const over = { ...held, command: null };
      this.forgetting = setTimeout(() => this.dragged(over), FORGOTTEN_MS);
    }
    this.plan();
  }

  end(): void {
    clearTimeout(this.waiting);
    clearTimeout(this.forgetting);
  }

  private plan(): void {
    if (this.waiting || this.working) return;
    const wait = Math.max(0, this.last + PACE_MS - performance.now());
    this.waiting = setTimeout(() => {
      this.waiting = undefined;
      this.working = true;
      this.work()
        .catch(this.asked.fail)
        .finally(() => {
          this.working = false;
          if (this.stale) this.plan();
        });
    }, wait);
  }

  private async work(): Promise<void> {
    this.last = performance.now();
    if (this.stale) await this.goOn();
    const { held } = this;
    // What was told before an edit that is here already was let go of with it.
    if (held && held.revision >= this.sheet.revision) this.tellDrag(held.command!);
    else if (this.isHeld) {
      this.isHeld = false;
      this.asked.tell({ drag: '' });
    }
  }

  /** Brings the sheet up to the project, and tells how it differs. */
  private async goOn(): Promise<void> {
    this.stale = false;
    const now = await this.asked.present();
    if (!now || now.revision === this.sheet.revision) return;
    const before = this.sheet;
    this.sheet = sheetOf(now.document, now.revision, before);
    // What was let go of is in it; who still drags says so again.
    this.held = null;
    this.isHeld = false;
    const changes = this.told < LAID_OVER ? changesBetween(before.declared, this.sheet.declared) : null;
    this.told = changes === null ? 0 : this.told + 1;
    this.asked.tell(changes === null ? { sheet: this.sheet.css } : { css: changes });
  }

  private tellDrag(command: NonNullable<Held['command']>): void {
    const result = applyCommand(this.sheet.document, command);
    if (!result.ok) return;
    const dragged = sheetOf(result.document, this.sheet.revision, this.sheet);
    // What goes while something is dragged goes once it is let go.
    const changes = changesBetween(this.sheet.declared, dragged.declared);
    if (changes === null) return;
    this.isHeld = changes !== '';
    this.asked.tell({ drag: changes });
  }
}
