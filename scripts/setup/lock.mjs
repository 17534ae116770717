import { createHash } from 'node:crypto';
import { createConnection, createServer } from 'node:net';
import { SetupError } from './run.mjs';

/**
 * Holds a folder for this process: whoever else asks for it is told who has it. The lock is a socket that has a name
 * and no file, so that it goes with the process, however that ends. Returns the way to say what others are told.
 */
export async function holdFolder(folder) {
  const name = `\0mint-lamp-${createHash('sha256').update(folder).digest('hex').slice(0, 24)}`;
  let words = 'It is just starting.';
  const server = createServer((socket) => socket.end(words));
  server.unref();
  const held = await new Promise((resolve, reject) => {
    server.once('error', (error) => (error.code === 'EADDRINUSE' ? resolve(false) : reject(error)));
    server.listen(name, () => resolve(true));
  });
  if (!held)
    throw new SetupError(
      `Mint Lamp runs already from this folder. ${await wordsOf(name)} Stop it there with Ctrl-C first.`,
    );
  return {
    say(next) {
      words = next;
    },
    release: () => new Promise((resolve) => server.close(resolve)),
  };
}

function wordsOf(name) {
  return new Promise((resolve) => {
    let text = '';
    const socket = createConnection(name);
    socket.setEncoding('utf8');
    socket.setTimeout(2000, () => socket.destroy());
    socket.on('data', (part) => {
      text += part;
    });
    socket.on('error', () => {});
    socket.on('close', () => resolve(text));
  });
}
