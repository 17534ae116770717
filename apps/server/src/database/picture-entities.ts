import { EntitySchema } from 'typeorm';

/** Where the bytes of a picture lie. */
export type PicturePlace = 'database' | 'bucket';

/** The content of a picture, once for all projects that have it; its bytes are in parts. */
export interface PictureContentRow {
  /** SHA-256 of the bytes, hex. */
  content: string;
  mediaType: string;
  /** Bytes of all parts. */
  size: number;
  width: number;
  height: number;
  /** The picture again, small, as WebP. */
  small: Buffer;
  place: PicturePlace;
  at: Date;
}

export interface PicturePartRow {
  content: string;
  part: number;
  bytes: Buffer;
}

/** That a project was given a picture, and may see it. */
export interface ProjectPictureRow {
  projectId: string;
  content: string;
  /** Whether a command of the project's log has named it; undo and checkpoints may then do so again. */
  named: boolean;
  at: Date;
}

export const PictureContent = new EntitySchema<PictureContentRow>({
  name: 'picture_content',
  tableName: 'picture_content',
  columns: {
    content: { type: 'text', primary: true },
    mediaType: { type: 'text', name: 'media_type' },
    size: { type: 'integer' },
    width: { type: 'integer' },
    height: { type: 'integer' },
    small: { type: 'bytea' },
    place: { type: 'text', default: 'database' },
    at: { type: 'timestamptz', createDate: true },
  },
});

/** Bytes in a bucket whose row is gone, to be let go of. */
export interface PictureLeftoverRow {
  content: string;
}

export const PictureLeftover = new EntitySchema<PictureLeftoverRow>({
  name: 'picture_leftover',
  tableName: 'picture_leftover',
  columns: { content: { type: 'text', primary: true } },
});

export const PicturePart = new EntitySchema<PicturePartRow>({
  name: 'picture_part',
  tableName: 'picture_part',
  columns: {
    content: { type: 'text', primary: true },
    part: { type: 'integer', primary: true },
    bytes: { type: 'bytea' },
  },
});

export const ProjectPicture = new EntitySchema<ProjectPictureRow>({
  name: 'project_picture',
  tableName: 'project_picture',
  columns: {
    projectId: { type: 'uuid', name: 'project_id', primary: true },
    content: { type: 'text', primary: true },
    named: { type: 'boolean' },
    at: { type: 'timestamptz', createDate: true },
  },
});
