import { expect, type Locator, type Page } from '@playwright/test';

/** Seconds that somebody takes for a press, and for a character that is typed. */
const A_PRESS = 2;
const A_CHARACTER = 0.25;

/** Somebody who sees the product for the first time: what they do is counted, at a person's pace. */
export class Person {
  presses = 0;
  seconds = 0;
  readonly page: Page;

  constructor(page: Page) {
    this.page = page;
  }

  private pressed(): void {
    this.presses += 1;
    this.seconds += A_PRESS;
  }

  async press(what: Locator): Promise<void> {
    await what.click();
    this.pressed();
  }

  async key(key: string): Promise<void> {
    await this.page.keyboard.press(key);
    this.pressed();
  }

  /** Into whatever has the focus. */
  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.seconds += text.length * A_CHARACTER;
  }

  /** A press of the keys that paste, wherever the focus is. */
  async paste(text: string): Promise<void> {
    await this.page.evaluate((pasted) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', pasted);
      const at = document.activeElement ?? document.body;
      const event = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true });
      // A text that the browser inserts itself is inserted here.
      if (at.dispatchEvent(event)) document.execCommand('insertText', false, pasted);
    }, text);
    this.pressed();
  }

  async choose(option: string, of: Locator): Promise<void> {
    await of.selectOption(option);
    // One press opens the list, one takes from it.
    this.pressed();
    this.pressed();
  }

  /** A file is found and opened: a press for the button, and three in the system's own window. */
  async openFile(path: string, field: Locator): Promise<void> {
    await field.setInputFiles(path);
    for (let i = 0; i < 4; i++) this.pressed();
  }

  /** What a copying press put into the clipboard. */
  async copied(button: Locator): Promise<string> {
    await this.press(button);
    await expect(this.page.getByRole('status').filter({ hasText: 'Copied' })).toBeVisible();
    return this.page.evaluate(() => navigator.clipboard.readText());
  }
}
