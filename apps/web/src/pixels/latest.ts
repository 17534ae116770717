/**
 * Asks for one thing at a time; of those that are asked for meanwhile only the latest is asked for next. For what
 * follows a pointer: nothing piles up, and the last answer is of the last question.
 */
export class Latest<Question, Answer> {
  private readonly ask: (question: Question) => Promise<Answer>;
  private readonly take: (answer: Answer, question: Question) => void;
  private readonly fail: (error: Error) => void;
  private waiting: { readonly question: Question } | null = null;
  private busy = false;
  private over = false;

  constructor(
    ask: (question: Question) => Promise<Answer>,
    take: (answer: Answer, question: Question) => void,
    fail: (error: Error) => void = () => {},
  ) {
    this.ask = ask;
    this.take = take;
    this.fail = fail;
  }

  want(question: Question): void {
    this.waiting = { question };
    if (!this.busy) void this.next();
  }

  /** Nothing is taken any more. */
  stop(): void {
    this.over = true;
    this.waiting = null;
  }

  private async next(): Promise<void> {
    this.busy = true;
    while (this.waiting) {
      const { question } = this.waiting;
      this.waiting = null;
      try {
        const answer = await this.ask(question);
        if (!this.over) this.take(answer, question);
      } catch (error) {
        if (!this.over) this.fail(error as Error);
      }
    }
    this.busy = false;
  }
}
