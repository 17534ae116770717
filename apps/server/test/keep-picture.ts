import { createHash } from 'node:crypto';
import sharp from 'sharp';
import type { DataSource } from 'typeorm';

/** Keeps a picture of one pixel in a project, as if it had been sent; its content's name. */
export async function keepPicture(
  database: DataSource,
  project: string,
  background: { readonly r: number; readonly g: number; readonly b: number },
): Promise<string> {
  const bytes = await sharp({ create: { width: 1, height: 1, channels: 3, background } })
    .png()
    .toBuffer();
  const content = createHash('sha256').update(bytes).digest('hex');
  await database.query(
    `INSERT INTO picture_content (content, media_type, size, width, height, small)
     VALUES ($1, 'image/png', $2, 1, 1, $3)`,
    [content, bytes.length, bytes],
  );
  await database.query('INSERT INTO picture_part (content, part, bytes) VALUES ($1, 0, $2)', [
    content,
    bytes,
  ]);
  await database.query('INSERT INTO project_picture (project_id, content, named) VALUES ($1, $2, true)', [
    project,
    content,
  ]);
  return content;
}
