/** Lets what was asked meanwhile be answered; without the pause that timers are held to. */
const turns = new MessageChannel();

/** Others have their turn; one at a time waits for it. */
export const yieldTurn = () =>
  new Promise<void>((resolve) => {
    turns.port1.onmessage = () => resolve();
    turns.port2.postMessage(0);
  });
