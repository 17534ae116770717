import type { NewSet } from '@mint-lamp/core/shelf/shelf-set';
import { EntitySchema } from 'typeorm';

/** A set on the shelf. What its words are found by (`search`) the database makes itself. */
export interface ShelfSetRow {
  id: string;
  /** Who published it; null for those that ship with Mint Lamp, and where that person is gone. */
  ownerId: string | null;
  /** The team that it was published to; null for all of the server. */
  teamId: string | null;
  /** Ships with Mint Lamp. */
  ships: boolean;
  name: string;
  words: string;
  content: NewSet['content'];
  colors: string[];
  /** The cells of OKLab that its colours lie in. */
  cells: number[];
  adopted: number;
  favoured: number;
  at: Date;
}

/** That somebody favours a set. */
export interface ShelfFavourRow {
  ownerId: string;
  setId: string;
}

export const ShelfSetEntry = new EntitySchema<ShelfSetRow>({
  name: 'shelf_set',
  tableName: 'shelf_set',
  columns: {
    id: { type: 'uuid', primary: true },
    ownerId: { type: 'uuid', name: 'owner_id', nullable: true },
    teamId: { type: 'uuid', name: 'team_id', nullable: true },
    ships: { type: 'boolean', default: false },
    name: { type: 'text' },
    words: { type: 'text' },
    content: { type: 'jsonb' },
    colors: { type: 'text', array: true },
    cells: { type: 'integer', array: true, select: false },
    adopted: { type: 'integer', default: 0 },
    favoured: { type: 'integer', default: 0 },
    at: { type: 'timestamptz', createDate: true },
  },
});

export const ShelfFavour = new EntitySchema<ShelfFavourRow>({
  name: 'shelf_favour',
  tableName: 'shelf_favour',
  columns: {
    ownerId: { type: 'uuid', name: 'owner_id', primary: true },
    setId: { type: 'uuid', name: 'set_id', primary: true },
  },
});
