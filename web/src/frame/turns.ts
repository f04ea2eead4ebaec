/**
 * A few at a time, the others after them in the order in which they came: so many small pictures are asked for at once,
 * so that what somebody looks at does not wait for all of them.
 */
export class Turns {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(private readonly most: number) {}

  // Calls begin when it is its turn. Returns what ends the turn, or gives it up before it came; once counts.
  take(begin: () => void): () => void {
    let state: "waiting" | "running" | "over" = "waiting";
    const start = () => {
      state = "running";
      this.running += 1;
      begin();
    };
    const end = () => {
      if (state === "waiting") this.waiting.splice(this.waiting.indexOf(start), 1);
      else if (state === "running") this.running -= 1;
      state = "over";
      this.next();
    };
    this.waiting.push(start);
    this.next();
    return () => state !== "over" && end();
  }

  private next() {
    while (this.running < this.most && this.waiting.length) this.waiting.shift()!();
  }
}

/** Small pictures are asked for two at a time, so that the page itself is not kept waiting. */
export const SMALL_PICTURES = new Turns(2);
