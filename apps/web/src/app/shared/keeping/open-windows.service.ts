import { Injectable } from '@angular/core';

type Word = { readonly type: 'who' | 'here'; readonly id: string; readonly page: string };

const CHANNEL = 'iunctus-windows';
const STORED = 'iunctus:window';

/** How long windows of this browser may take to answer, in milliseconds. */
const ANSWER_WITHIN = 120;

/** This window's name, which it keeps when it is loaded again, and the other windows that are open. */
@Injectable({ providedIn: 'root' })
export class OpenWindows {
  /** Tells pages with the same name apart: a window that was duplicated begins with its original's. */
  private readonly page = crypto.randomUUID();
  private readonly channel = new BroadcastChannel(CHANNEL);
  private readonly heard = new Map<string, string>();
  private name = sessionStorage.getItem(STORED) ?? crypto.randomUUID();

  /** This window's own name, once it is known that no other bears it. */
  readonly own: Promise<string>;

  constructor() {
    this.channel.addEventListener('message', ({ data }: MessageEvent<Word>) => this.hear(data));
    this.own = this.asked().then(() => {
      if ([...this.heard.values()].includes(this.name)) this.name = crypto.randomUUID();
      sessionStorage.setItem(STORED, this.name);
      return this.name;
    });
  }

  /** The names of the other windows that are open now. */
  async others(): Promise<ReadonlySet<string>> {
    await this.own;
    this.heard.clear();
    await this.asked();
    return new Set(this.heard.values());
  }

  private asked(): Promise<void> {
    this.channel.postMessage({ type: 'who', id: this.name, page: this.page } satisfies Word);
    return new Promise((resolve) => setTimeout(resolve, ANSWER_WITHIN));
  }

  private hear({ type, id, page }: Word): void {
    if (page === this.page) return;
    if (type === 'here') this.heard.set(page, id);
    else this.channel.postMessage({ type: 'here', id: this.name, page: this.page } satisfies Word);
  }
}
