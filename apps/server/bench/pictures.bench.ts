import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { connect, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { paintedDocument } from '../../../packages/core/bench/painted-document.ts';
import { reportShare, SMALL, sized } from '../../../packages/core/bench/report.ts';
import { LOCAL_PERSON } from '../src/access/local-person.ts';
import { FORM } from '../test/form.ts';
import { heldLine, measuredServer } from './measured-server.ts';

// What large pictures, their regions, slow senders and reports do to everyone else: how long the server is held by them,
// how long a small picture waits, and how much memory all processes take together.
const MOST_HELD_MS = 50;
/** Two that read, each of 50 megapixels, the one that counts and the one that reports, which are kept for a while, and the server. */
const MOST_BYTES = 2.2e9;
const TWELVE = [4243, 2828] as const;
const FIFTY = [8660, 5773] as const;
const UPLOADS = 20;
const share = (n: number) => Math.round(n * (SMALL ? 0.1 : 1));

const server = await measuredServer();
const { address, app } = server;

/** Noise, which nothing can pack away. */
const photograph = ([width, height]: readonly [number, number]) =>
  sharp({
    create: {
      width: share(width),
      height: share(height),
      channels: 3,
      background: '#446688',
      noise: { type: 'gaussian', mean: 120, sigma: 30 },
    },
  })
    .jpeg({ quality: 70 })
    .toBuffer();

const send = async (id: string, file: Buffer) => {
  const answer = await fetch(`${address}/api/projects/${id}/pictures`, {
    method: 'POST',
    body: file as unknown as Uint8Array<ArrayBuffer>,
    headers: { 'content-type': 'application/octet-stream' },
  });
  return {
    status: answer.status,
    kept: (await answer.json()) as { content: string; width: number; height: number },
  };
};

let worst = { held: 0, name: '' };
async function watched<T>(name: string, what: () => Promise<T>): Promise<T> {
  const { result, took, held } = await server.watched(what);
  if (held > worst.held) worst = { held, name };
  console.log(heldLine(held, took, name));
  return result;
}

/** Senders who have said that much comes, and stop after its first bytes. */
async function slowSenders(id: string, count: number): Promise<Socket[]> {
  const { hostname, port } = new URL(address);
  const sockets = Array.from({ length: count }, () => connect(Number(port), hostname));
  for (const socket of sockets) {
    await once(socket, 'connect');
    socket.write(
      `POST /api/projects/${id}/pictures HTTP/1.1\r\nHost: ${hostname}:${port}\r\nContent-Type: application/octet-stream\r\nContent-Length: 5000000\r\n\r\n\xff\xd8\xff`,
    );
  }
  return sockets;
}

/** Sends files from another process, so that what that costs is not taken for the server's; the status of each answer. */
async function sentApart(id: string, files: readonly Buffer[], count: number): Promise<number[]> {
  const folder = await mkdtemp(join(tmpdir(), 'mint-lamp-sent-'));
  try {
    const paths = files.map((_, i) => join(folder, String(i)));
    await Promise.all(files.map((file, i) => writeFile(paths[i]!, file)));
    const script = `
      import { readFileSync } from 'node:fs';
      const files = ${JSON.stringify(paths)}.map((path) => readFileSync(path));
      const sent = Array.from({ length: ${count} }, (_, i) => fetch('${address}/api/projects/${id}/pictures', {
        method: 'POST', body: files[i % files.length], headers: { 'content-type': 'application/octet-stream' },
      }).then(({ status }) => status));
      console.log(JSON.stringify(await Promise.all(sent)));`;
    const child = spawn(process.execPath, ['--input-type=module', '-e', script]);
    const out: Buffer[] = [];
    child.stdout.on('data', (chunk) => out.push(chunk));
    child.stderr.pipe(process.stderr);
    await once(child, 'close');
    return JSON.parse(String(Buffer.concat(out)));
  } finally {
    await rm(folder, { recursive: true });
  }
}

async function measure() {
  const id = await server.newProject();
  const small = await sharp({ create: { width: 30, height: 20, channels: 3, background: '#3366aa' } })
    .png()
    .toBuffer();
  await send(id, small);

  const sockets = await slowSenders(id, sized(8, 2));
  const { took: alone } = await server.watched(() => send(id, small));
  reportShare('a small picture beside eight slow senders', alone, 1000, 'ms');
  for (const socket of sockets) socket.destroy();

  for (const [name, size] of [
    ['12', TWELVE],
    ['50', FIFTY],
  ] as const) {
    const file = await photograph(size);
    const { kept } = await watched(`a picture of ${name} megapixels is taken in`, () => send(id, file));
    const region = `x=0&y=0&width=${kept.width}&height=${kept.height}`;
    const answer = await watched(`the colours of all ${name} megapixels of a region`, async () => {
      const counted = await fetch(`${address}/api/projects/${id}/pictures/${kept.content}/region?${region}`);
      return { status: counted.status, bytes: (await counted.arrayBuffer()).byteLength };
    });
    if (answer.status !== 200 || !answer.bytes)
      throw new Error(`The region was answered with ${answer.status}.`);
  }

  const painted = (await app.projects.create(LOCAL_PERSON.id, paintedDocument(SMALL ? 0.05 : 1))).id;
  const read = () =>
    fetch(`${address}/api/projects/${painted}/report`, { headers: FORM }).then((answer) => answer.text());
  await read();
  const report = await watched('the report of the largest sizes, 100 roles painted by gradients', read);
  if (!report.includes('"verdict":"fails"')) throw new Error(`No report came: ${report.slice(0, 200)}`);

  const files = await Promise.all(Array.from({ length: 2 }, () => photograph(FIFTY)));
  const others: number[] = [];
  const looked = setInterval(async () => {
    const start = performance.now();
    await fetch(`${address}/api/health`);
    others.push(performance.now() - start);
  }, 200);
  const count = sized(UPLOADS, 2);
  server.forgetMemory();
  const answers = await watched(`${count} of 50 megapixels at once`, () => sentApart(id, files, count));
  clearInterval(looked);
  console.log(`  answered ${answers.join(' ')}`);
  if (answers.some((status) => status !== 201)) throw new Error('A picture was not taken in.');
  reportShare('longest that another request waited meanwhile', Math.max(0, ...others), 500, 'ms');
}

await measure().finally(server.close);
reportShare(`longest hold of the server (${worst.name})`, worst.held, MOST_HELD_MS, 'ms');
const { all, own, child } = server.memory;
reportShare('memory of all processes of the server, at these', all / 1e6, MOST_BYTES / 1e6, 'MB');
console.log(
  `  (the server itself ${(own / 1e6).toFixed(0)} MB, one that reads ${(child / 1e6).toFixed(0)} MB at most)`,
);
process.exit(0);
