import { existsSync } from 'node:fs';
import { createServer } from 'node:net';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { checkDatabase } from '../database/check.ts';
import { openPost } from '../letters/post.ts';
import type { PictureBucket } from '../pictures/storing/bucket.ts';
import type { Settings } from './settings.ts';

const WEB_ROOT = resolve(fileURLToPath(import.meta.url), '../../../web/dist');

const canListen = (host: string, port: number): Promise<string> =>
  new Promise((done, fail) => {
    const probe = createServer();
    probe.once('error', fail);
    probe.listen(port, host, () => probe.close(() => done(`${host}:${port} is free`)));
  });

async function built(): Promise<string> {
  if (!existsSync(process.env.WEB_ROOT ?? WEB_ROOT))
    throw new Error('the pages are not built: run "npm run build"');
  return 'the pages are built';
}

async function checkBucket(pictures: PictureBucket): Promise<string> {
  const { openBucket } = await import('../pictures/storing/bucket.ts');
  const bucket = openBucket(pictures);
  try {
    await bucket.check();
    return `the bucket ${pictures.bucket} is there`;
  } finally {
    bucket.close();
  }
}

/** Tries each setting, says what came of it line by line, and resolves to whether all is well. */
export async function checkSettings(settings: Settings): Promise<boolean> {
  const { databaseUrl, replicaUrl, host, port, mail, pictures, metrics } = settings;
  const tries: [name: string, body: () => Promise<string>][] = [
    ['DATABASE_URL', () => checkDatabase(databaseUrl)],
    ...(replicaUrl
      ? [['DATABASE_REPLICA_URL', () => checkDatabase(replicaUrl)] as [string, () => Promise<string>]]
      : []),
    ['HOST and PORT', () => canListen(host, port)],
    ...(metrics
      ? [['METRICS_PORT', () => canListen(metrics.host, metrics.port)] as [string, () => Promise<string>]]
      : []),
    [
      'MAIL_URL',
      async () => {
        if (mail.way === 'mailbox') return 'letters stay here, where an administrator opens them';
        const post = openPost(mail);
        try {
          await post.check();
          return 'the mail server takes letters';
        } finally {
          post.close();
        }
      },
    ],
    ...(pictures ? [['PICTURES_URL', () => checkBucket(pictures)] as [string, () => Promise<string>]] : []),
    ['npm run build', built],
  ];
  let well = true;
  for (const [name, body] of tries) {
    const [sign, words] = await body().then(
      (said) => ['well', said],
      (error: unknown) => ['not', error instanceof Error ? error.message : String(error)],
    );
    well &&= sign === 'well';
    console.log(`${sign === 'well' ? '  well ' : '  WRONG'}  ${name}: ${words}`);
  }
  return well;
}
