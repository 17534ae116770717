import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { crc32, deflateSync, inflateSync } from 'node:zlib';
import sharp from 'sharp';
import { describe, expect, it, test } from 'vitest';
import { takeIn } from '../src/pictures/storing/intake.ts';

const KINDS = ['jpeg', 'png', 'webp', 'avif'] as const;
type Kind = (typeof KINDS)[number];

/** A small picture with a gradient, so that no two of its places are alike. */
const WIDTH = 48;
const HEIGHT = 32;
const pixels = Buffer.from(
  Array.from({ length: WIDTH * HEIGHT }, (_, i) => [(i % WIDTH) * 5, Math.floor(i / WIDTH) * 7, 90]).flat(),
);
const drawn = () => sharp(pixels, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } });

const SECRETS = ['Tern Mark 2', '58 30 N', 'Written by hand'];
const NOTES = {
  IFD0: { Model: SECRETS[0]!, Copyright: SECRETS[2]! },
  IFD3: { GPSAreaInformation: SECRETS[1]! },
};
const XMP = `<rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><rdf:Description><place>${SECRETS[1]}</place></rdf:Description></rdf:RDF>`;

/** As a camera writes it: full of notes, with a profile, held on its side. */
const noted = (kind: Kind, orientation = 6) =>
  drawn()
    .withExif(NOTES)
    .withXmp(XMP)
    .withIccProfile('p3')
    .withMetadata({ orientation, exif: NOTES })
    .toFormat(kind)
    .toBuffer();
const decoded = (bytes: Uint8Array) => sharp(bytes).raw().toBuffer();
const tellsSecrets = (bytes: Uint8Array) =>
  SECRETS.some((secret) => Buffer.from(bytes).includes(secret) || Buffer.from(bytes).includes('rdf:RDF'));

describe('what a file tells besides its pixels', () => {
  test.each(KINDS)('is thrown away from %s, and its pixels are the same to the bit', async (kind) => {
    const given = await noted(kind);
    expect(tellsSecrets(given)).toBe(true);
    const kept = await takeIn(given);
    expect(tellsSecrets(kept.bytes)).toBe(false);
    expect(kept.mediaType).toBe(`image/${kind}`);
    const upright = kind === 'webp' ? await sharp(given).autoOrient().raw().toBuffer() : await decoded(given);
    expect(await decoded(kept.bytes)).toEqual(upright);
  });

  test.each(KINDS)(
    'is kept of %s where it changes how it looks: the profile, how it was held',
    async (kind) => {
      const kept = await takeIn(await noted(kind));
      const { hasProfile, orientation } = await sharp(kept.bytes).metadata();
      expect(hasProfile).toBe(true);
      if (kind === 'avif') return;
      // Browsers do not heed it in a WebP, so that is turned for good.
      expect(orientation).toBe(kind === 'webp' ? undefined : 6);
      expect([kept.width, kept.height]).toEqual([HEIGHT, WIDTH]);
      const small = await sharp(kept.small).metadata();
      expect([small.width, small.height]).toEqual([HEIGHT, WIDTH]);
    },
  );

  it('is kept of a JPEG where it says how channels are mixed, and nothing else of its segment', async () => {
    const inks = await drawn().toColourspace('cmyk').jpeg().toBuffer();
    const mixing = inks.indexOf(Buffer.from([0xff, 0xee]));
    expect(mixing).toBeGreaterThan(0);
    const kept = await takeIn(inks);
    expect(Buffer.from(kept.bytes).includes(inks.subarray(mixing, mixing + 16))).toBe(true);
    expect(await decoded(kept.bytes)).toEqual(await decoded(inks));
    const secret = Buffer.from(SECRETS[0]!);
    const other = Buffer.concat([Buffer.from([0xff, 0xee, 0, 2 + secret.length]), secret]);
    const plain = await drawn().jpeg().toBuffer();
    const { bytes } = await takeIn(Buffer.concat([plain.subarray(0, 2), other, plain.subarray(2)]));
    expect(tellsSecrets(bytes)).toBe(false);
  });

  it('does not come back behind the end of a JPEG, in its comments or in its preview', async () => {
    const plain = await drawn().jpeg().toBuffer();
    const comment = Buffer.concat([Buffer.from([0xff, 0xfe, 0, 2 + 11]), Buffer.from(SECRETS[0]!)]);
    const jfif = Buffer.from([
      0xff,
      0xe0,
      0,
      16 + 3,
      ...Buffer.from('JFIF\0'),
      1,
      1,
      0,
      0,
      1,
      0,
      1,
      1,
      1,
      9,
      9,
      9,
    ]);
    const withAll = Buffer.concat([
      plain.subarray(0, 2),
      jfif,
      comment,
      plain.subarray(2),
      Buffer.from(SECRETS[1]!),
    ]);
    const { bytes } = await takeIn(withAll);
    expect(tellsSecrets(bytes)).toBe(false);
    expect(Buffer.from(bytes).includes(Buffer.from([9, 9, 9]))).toBe(
      Buffer.from(plain).includes(Buffer.from([9, 9, 9])),
    );
    expect(await decoded(bytes)).toEqual(await decoded(plain));
  });

  const SECRET = Buffer.from(SECRETS[0]!);
  const pngChunk = (type: string, content: Buffer) => {
    const out = Buffer.concat([Buffer.alloc(4), Buffer.from(type, 'latin1'), content, Buffer.alloc(4)]);
    out.writeUInt32BE(content.length, 0);
    out.writeUInt32BE(crc32(out.subarray(4, -4)), out.length - 4);
    return out;
  };
  /** With something put before the last chunk, and the coded pixels changed. */
  const png = async (before: Buffer, data: (idat: Buffer) => Buffer = (idat) => idat) => {
    const plain = await drawn().png().toBuffer();
    const parts: Buffer[] = [plain.subarray(0, 8)];
    for (let at = 8; at < plain.length; ) {
      const end = at + 12 + plain.readUInt32BE(at);
      const type = plain.toString('latin1', at + 4, at + 8);
      if (type === 'IEND') parts.push(before);
      parts.push(
        type === 'IDAT' ? pngChunk('IDAT', data(plain.subarray(at + 8, end - 4))) : plain.subarray(at, end),
      );
      at = end;
    }
    return Buffer.concat(parts);
  };
  const jpegSegment = (marker: number, content: Buffer) =>
    Buffer.concat([
      Buffer.from([0xff, marker, (content.length + 2) >> 8, (content.length + 2) & 255]),
      content,
    ]);
  /** With a segment behind the beginning. */
  const jpeg = async (first: Buffer) => {
    const plain = await drawn().jpeg().toBuffer();
    return Buffer.concat([plain.subarray(0, 2), first, plain.subarray(2)]);
  };
  const webpChunk = (type: string, content: Buffer) => {
    const out = Buffer.concat([
      Buffer.from(type, 'latin1'),
      Buffer.alloc(4),
      content,
      Buffer.alloc(content.length & 1),
    ]);
    out.writeUInt32LE(content.length, 4);
    return out;
  };
  const webp = async (change: (chunks: Map<string, Buffer>) => Buffer[]) => {
    const plain = await drawn().withIccProfile('p3').webp().toBuffer();
    const chunks = new Map<string, Buffer>();
    for (let at = 12; at < plain.length; ) {
      const size = plain.readUInt32LE(at + 4);
      chunks.set(plain.toString('latin1', at, at + 4), plain.subarray(at + 8, at + 8 + size));
      at += 8 + size + (size & 1);
    }
    const body = Buffer.concat([Buffer.from('WEBP'), ...change(chunks)]);
    const head = Buffer.from('RIFF____', 'latin1');
    head.writeUInt32LE(body.length, 4);
    return Buffer.concat([head, body]);
  };
  const box = (type: string, content: Buffer) => {
    const out = Buffer.concat([Buffer.alloc(4), Buffer.from(type, 'latin1'), content]);
    out.writeUInt32BE(out.length, 0);
    return out;
  };
  const avif = async (...boxes: Buffer[]) => Buffer.concat([await drawn().avif().toBuffer(), ...boxes]);

  test.each<[string, () => Promise<Buffer>]>([
    ['an unknown chunk of a PNG that says it is needed', () => png(pngChunk('NOTE', SECRET))],
    ['a known one of another length', () => png(pngChunk('gAMA', SECRET))],
    [
      'bytes behind the coded pixels of a PNG',
      () => png(Buffer.alloc(0), (idat) => Buffer.concat([idat, SECRET])),
    ],
    [
      'pixels below the last row of a PNG',
      () =>
        png(Buffer.alloc(0), (idat) => deflateSync(Buffer.concat([inflateSync(idat), SECRET]), { level: 0 })),
    ],
    [
      'the name of a profile of a PNG',
      () =>
        png(pngChunk('iCCP', Buffer.concat([SECRET, Buffer.from([0, 0]), deflateSync(Buffer.from('none'))]))),
    ],
    [
      'what calls itself a profile of a JPEG',
      () => jpeg(jpegSegment(0xe2, Buffer.concat([Buffer.from('ICC_PROFILE\0\x01\x01'), SECRET]))),
    ],
    [
      'bytes in the head of a WebP',
      () =>
        webp((chunks) =>
          [...chunks].map(([type, one]) =>
            webpChunk(type, type === 'VP8X' ? Buffer.concat([one, SECRET]) : one),
          ),
        ),
    ],
    [
      'a second one of its chunks',
      () =>
        webp((chunks) => [
          ...[...chunks].map(([type, one]) => webpChunk(type, one)),
          webpChunk('ICCP', SECRET),
        ]),
    ],
    ['a box of an AVIF for anything', () => avif(box('uuid', SECRET))],
    ['a box of it that is free', () => avif(box('free', SECRET))],
    ['a box of it that nobody knows', () => avif(box('note', SECRET))],
    ['a second box of data', () => avif(box('mdat', SECRET))],
  ])('goes from %s', async (_name, dirty) => {
    const given = await dirty();
    expect(given.includes(SECRET)).toBe(true);
    const kept = Buffer.from((await takeIn(given)).bytes);
    expect(kept.includes(SECRET)).toBe(false);
    expect(await decoded(kept)).toEqual(await decoded(given));
  });

  test.each(KINDS)('goes from the profile of a %s, whose colours stay', async (kind) => {
    const given = await drawn().withIccProfile('p3').toFormat(kind).toBuffer();
    const textOf = async (bytes: Uint8Array) =>
      Buffer.from((await sharp(bytes).metadata()).icc!).toString('latin1');
    const profile = await textOf(given);
    const telling = ['lcms', 'saws', 'MSFT', 'hand'].filter((word) => profile.includes(word));
    expect(telling.length).toBeGreaterThan(2);
    const kept = await takeIn(given);
    const now = await textOf(kept.bytes);
    for (const word of telling) expect(now.includes(word), word).toBe(false);
    const shown = (bytes: Uint8Array) => sharp(bytes).toColourspace('srgb').raw().toBuffer();
    expect(await shown(kept.bytes)).toEqual(await shown(given));
    expect(await shown(kept.bytes)).not.toEqual(await shown(await drawn().toFormat(kind).toBuffer()));
  });

  it('leaves files alike that show the same', async () => {
    const plain = () => drawn().withIccProfile('p3');
    const [a, b] = await Promise.all([plain().withExif(NOTES).png().toBuffer(), plain().png().toBuffer()]);
    expect(a).not.toEqual(b);
    expect((await takeIn(a)).content).toBe((await takeIn(b)).content);
  });
});

describe('what moves or is drawn', () => {
  it('is kept as the picture that it shows first', async () => {
    const frames = Buffer.concat([Buffer.alloc(12 * 9 * 3, 200), Buffer.alloc(12 * 9 * 3, 10)]);
    const gif = await sharp(frames, { raw: { width: 12, height: 18, channels: 3, pageHeight: 9 } })
      .gif({ delay: [100, 100] })
      .toBuffer();
    expect((await sharp(gif).metadata()).pages).toBe(2);
    const kept = await takeIn(gif);
    expect([kept.mediaType, kept.width, kept.height]).toEqual(['image/png', 12, 9]);
    expect((await decoded(kept.bytes))[0]).toBe(200);
  });

  it('is painted, larger where it is small, and neither run nor followed', async () => {
    const asked: string[] = [];
    const other = createServer((request, response) => {
      asked.push(String(request.url));
      response.end();
    });
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    const { port } = other.address() as AddressInfo;
    const address = `http://127.0.0.1:${port}`;
    const svg = `<?xml version="1.0"?><!-- drawn --><!DOCTYPE svg>
      <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="32" height="16">
      <script>fetch("${address}/run")</script><style>@import url("${address}/style");</style>
      <rect width="32" height="16" fill="#e2552b"/>
      <image href="${address}/image" width="9" height="9"/><image xlink:href="file:///etc/hostname" width="9" height="9"/>
      </svg>`;
    const kept = await takeIn(Buffer.from(svg));
    expect([kept.mediaType, kept.width, kept.height]).toEqual(['image/png', 1024, 512]);
    expect([...(await decoded(kept.bytes)).subarray(0, 3)]).toEqual([0xe2, 0x55, 0x2b]);
    await new Promise((resolve) => other.close(resolve));
    expect(asked).toEqual([]);
  });

  it('does not blow up', async () => {
    const laughs = Array.from({ length: 12 }, (_, i) =>
      i ? `<!ENTITY l${i} "${`&l${i - 1};`.repeat(10)}">` : '<!ENTITY l0 "ha">',
    ).join('');
    const svg = `<!DOCTYPE svg [${laughs}]><svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><text>&l11;</text></svg>`;
    await expect(takeIn(Buffer.from(svg))).rejects.toMatchObject({ code: 'NOT_A_PICTURE' });
  });
});

describe('a file that cannot be kept', () => {
  const blank = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#777' } })
      .png({ compressionLevel: 1 })
      .toBuffer();

  test.each([
    ['nothing', Buffer.alloc(0), /^The file is empty/],
    [
      'text',
      Buffer.from('Hi! Our funnel is #e2552b.'),
      /This kind of file can’t be opened. These can: PNG, JPEG, WebP/,
    ],
    ['a page', Buffer.from('<html><svg></svg></html>'), /kind of file can’t be opened/],
    ['a document', Buffer.from('%PDF-1.7 …'), /kind of file can’t be opened/],
    ['too many bytes', Buffer.alloc(40_000_001), /larger than 40 MB/],
  ])('as %s is told why', async (_name, bytes, message) => {
    await expect(takeIn(bytes)).rejects.toThrow(message);
  });

  it('as a picture in another form of the same family of files is told why', async () => {
    await expect(takeIn(await drawn().tiff().toBuffer())).rejects.toThrow(/kind of file can’t be opened/);
    const heic = Buffer.from(await drawn().avif().toBuffer());
    heic.write('heic', 8, 'latin1');
    for (let at = 16; at < 40; at += 4)
      if (/^avi[fs]$/.test(heic.toString('latin1', at, at + 4))) heic.write('mif1', at, 'latin1');
    await expect(takeIn(heic)).rejects.toThrow(/kind of file can’t be opened/);
  });

  it('as one of too many pixels is told how many, before they are read', async () => {
    await expect(takeIn(await blank(10_000, 5001))).rejects.toThrow(
      'The picture has 50.1 megapixels (10000 × 5001); 50 are the most that can be opened.',
    );
  });

  test.each(KINDS)('as a %s that was cut off is broken', async (kind) => {
    const whole = await sharp(Buffer.from(Array.from({ length: 300 * 200 * 3 }, (_, i) => (i * i) % 251)), {
      raw: { width: 300, height: 200, channels: 3 },
    })
      .toFormat(kind)
      .toBuffer();
    await expect(takeIn(whole)).resolves.toBeDefined();
    for (const share of [0.02, 0.5, 0.9])
      await expect(
        takeIn(whole.subarray(0, Math.floor(whole.length * share))),
        String(share),
      ).rejects.toThrow(/broken and cannot be read to its end/);
  });
});
