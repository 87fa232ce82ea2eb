import { ProblemError } from '../problems/problem';

/** A piece of work that waits: whose it is, and what no other may work on at the same time. */
interface Waiting {
  readonly owner: string;
  readonly exclusive: string | null;
  start(): void;
}

/** How much may run and wait. */
export interface QueueLimits {
  readonly atOnce: number;
  /** Most pieces that one person may have waiting. */
  readonly waiting: number;
}

/**
 * Lets work run a few at a time. People take turns, however much one of them asks for; work on the same thing
 * runs one after the other. Refuses with `busy` what would wait too long.
 */
export class FairQueue {
  private readonly lines = new Map<string, Waiting[]>();
  private readonly held = new Set<string>();
  private running = 0;

  constructor(private readonly limits: QueueLimits) {}

  /** Runs `work` when its turn comes. */
  async run<T>(
    { owner, exclusive }: { readonly owner: string; readonly exclusive: string | null },
    work: () => Promise<T>,
  ): Promise<T> {
    await this.turn(owner, exclusive);
    try {
      return await work();
    } finally {
      this.running -= 1;
      if (exclusive !== null) this.held.delete(exclusive);
      this.next();
    }
  }

  private turn(owner: string, exclusive: string | null): Promise<void> {
    const line = this.lines.get(owner) ?? [];
    if (line.length >= this.limits.waiting) throw new ProblemError({ code: 'busy', seconds: 2 });
    return new Promise((resolve) => {
      line.push({ owner, exclusive, start: resolve });
      this.lines.set(owner, line);
      this.next();
    });
  }

  private next(): void {
    while (this.running < this.limits.atOnce) {
      const found = this.take();
      if (found === undefined) return;
      this.running += 1;
      if (found.exclusive !== null) this.held.add(found.exclusive);
      found.start();
    }
  }

  /** The first that may run of whoever has waited longest for a turn; that person goes to the end. */
  private take(): Waiting | undefined {
    for (const [owner, line] of this.lines) {
      const at = line.findIndex(({ exclusive }) => exclusive === null || !this.held.has(exclusive));
      const [found] = at < 0 ? [] : line.splice(at, 1);
      if (found === undefined) continue;
      this.lines.delete(owner);
      if (line.length > 0) this.lines.set(owner, line);
      return found;
    }
    return undefined;
  }
}
