import { SCENE_NAMES } from '@mint-lamp/core/document/naming/scene-names';
import type { ComponentType } from 'react';
import { part } from '../ui/part.tsx';
import type { SceneText } from './scene-text.ts';
import { Board } from './scenes/board.tsx';
import { Cards } from './scenes/cards.tsx';
import { Form } from './scenes/form.tsx';
import { Landing } from './scenes/landing.tsx';
import { Notices } from './scenes/notices.tsx';
import { Pass } from './scenes/pass.tsx';
import { Phone } from './scenes/phone.tsx';
import { Read } from './scenes/read.tsx';
import { Timetable } from './scenes/timetable.tsx';

interface SceneDefinition {
  readonly id: keyof typeof SCENE_NAMES;
  readonly name: string;
  /** What is on it, in a few words. */
  readonly says: string;
  /** CSS px for which it is laid out at first. */
  readonly width: number;
  readonly Draw: ComponentType<{ text: SceneText }>;
}

/** Every scene, in the order in which they are shown. */
export const SCENES = [
  {
    id: 'landing',
    name: SCENE_NAMES.landing,
    says: 'a hero over a gradient or a picture',
    width: 1040,
    Draw: Landing,
  },
  {
    id: 'timetable',
    name: SCENE_NAMES.timetable,
    says: 'what is on, what is late',
    width: 900,
    Draw: Timetable,
  },
  { id: 'form', name: SCENE_NAMES.form, says: 'fields and buttons in every state', width: 900, Draw: Form },
  {
    id: 'table',
    name: SCENE_NAMES.table,
    says: 'figures with filters and charts',
    width: 960,
    // Charts come with a library that a page without them does not need.
    Draw: part(() => import('./scenes/table.tsx')),
  },
  { id: 'notices', name: SCENE_NAMES.notices, says: 'good, late, wrong, to know', width: 840, Draw: Notices },
  { id: 'read', name: SCENE_NAMES.read, says: 'paragraphs, links, a quotation', width: 820, Draw: Read },
  { id: 'cards', name: SCENE_NAMES.cards, says: 'to choose from, one chosen', width: 960, Draw: Cards },
  { id: 'phone', name: SCENE_NAMES.phone, says: 'a screen for the thumb', width: 390, Draw: Phone },
  { id: 'board', name: SCENE_NAMES.board, says: 'read from afar', width: 900, Draw: Board },
  { id: 'pass', name: SCENE_NAMES.pass, says: 'for print, with a code', width: 820, Draw: Pass },
] as const satisfies readonly SceneDefinition[];

export type SceneId = (typeof SCENES)[number]['id'];
export type Scene = (typeof SCENES)[number];
