import type { DataSource } from 'typeorm';
import { type ListeningClient, listen, unlisten } from '../database/notices.ts';

export interface NoticeFeed {
  close(): Promise<void>;
}

/** What is done with what is said on each channel, and after a lost connection is back, when something may have been missed. */
export interface Heard {
  readonly channels: Readonly<Record<string, (payload: unknown) => void>>;
  readonly missed: () => void;
}

const RETRY_MS = 500;

function readPayload(payload: string | undefined): unknown {
  try {
    return JSON.parse(payload ?? '');
  } catch {
    return null;
  }
}

/** Listens to the database's notifications on one connection of its own, and connects again when it is cut. */
export function openNoticeFeed(source: DataSource, { channels, missed }: Heard): NoticeFeed {
  let closed = false;
  let timer: NodeJS.Timeout | undefined;
  let release = async () => {};

  const connect = async () => {
    const runner = source.createQueryRunner();
    let lost = false;
    const retry = () => {
      if (lost || closed) return;
      lost = true;
      void runner.release().catch(() => {});
      timer = setTimeout(connect, RETRY_MS);
    };
    try {
      const client: ListeningClient = await runner.connect();
      client.on('error', retry);
      client.on('end', retry);
      client.on('notification', ({ channel, payload }) => channels[channel]?.(readPayload(payload)));
      for (const channel of Object.keys(channels)) await listen(runner, channel);
      release = async () => {
        for (const channel of Object.keys(channels)) await unlisten(runner, channel).catch(() => {});
        await runner.release();
      };
      if (closed) return await release();
      missed();
    } catch {
      retry();
    }
  };
  void connect();

  return {
    async close() {
      closed = true;
      clearTimeout(timer);
      await release();
    },
  };
}
