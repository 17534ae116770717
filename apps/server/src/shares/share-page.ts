import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { escapeMarkup } from '@mint-lamp/core/svg/escape-markup';
import type { FastifyInstance } from 'fastify';
import { hashOf } from '../access/token.ts';

const TITLE = /<title>[^<]*<\/title>/;
/** Told of an address that is shut, has ended, never was, or opens with a passphrase. */
const PLAIN = 'Colours';

/**
 * `/s/:token`: the built page, with what a messenger shows before anybody opens it: name and colours of a share that opens
 * without a passphrase. What else there is, the page asks for.
 */
export async function sharePage(
  app: FastifyInstance,
  { root, publicAddress }: { root: string; publicAddress: string },
): Promise<void> {
  const index = join(root, 'index.html');
  const page = existsSync(index) ? readFileSync(index, 'utf8') : '<!doctype html><title>Mint Lamp</title>';

  app.get<{ Params: { token: string } }>('/s/:token', async ({ params: { token } }, reply) => {
    const share = /^[\w-]{43}$/.test(token)
      ? await app.shareDoor.find(hashOf(token)).catch(() => null)
      : null;
    const isOpen = share !== null && share.passphrase === null;
    const name = escapeMarkup(isOpen ? share.name : PLAIN);
    const head = [
      `<title>${name}</title>`,
      '<meta name="robots" content="noindex, nofollow">',
      `<meta property="og:title" content="${name}">`,
      ...(isOpen && share.subject.kind !== 'css'
        ? [
            '<meta property="og:type" content="website">',
            `<meta property="og:image" content="${escapeMarkup(publicAddress)}/api/shared/${token}/preview.png">`,
            '<meta property="og:image:width" content="1200">',
            '<meta property="og:image:height" content="630">',
          ]
        : []),
    ].join('\n    ');
    return reply
      .type('text/html; charset=utf-8')
      .header('cache-control', 'no-store')
      .header('x-robots-tag', 'noindex, nofollow, noarchive')
      .send(page.replace(TITLE, () => head));
  });
}
