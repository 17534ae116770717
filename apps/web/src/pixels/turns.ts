/** Lets what was asked meanwhile be answered; without the pause that timers are held to. */
const turns = new MessageChannel();
const waiting: (() => void)[] = [];
turns.port1.onmessage = () => waiting.shift()?.();

/** Others have their turn; of several that wait for it the first comes first. */
export const yieldTurn = () =>
  new Promise<void>((resolve) => {
    waiting.push(resolve);
    turns.port2.postMessage(0);
  });
