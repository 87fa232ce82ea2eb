import { Injectable } from '@angular/core';
import { inferKinds, knownAccount, type Chart, type Guess } from '@iunctus/core';
import type { AccountAsked, judgeAccount } from '@iunctus/core/learned';

/** The learned judgement of kinds, which is fetched when a first account is begun; until then the words of the name speak. */
@Injectable({ providedIn: 'root' })
export class KindJudge {
  private judge: typeof judgeAccount | null = null;

  async fetch(): Promise<void> {
    if (this.judge !== null) return;
    try {
      this.judge = (await import('@iunctus/core/learned')).judgeAccount;
    } catch {
      // The server is away, which the page says. The words of names serve meanwhile; the next account tries again.
    }
  }

  /** The kinds that a new account may be, the likeliest first. */
  guesses(chart: Chart, asked: AccountAsked): readonly Guess[] {
    if (this.judge !== null) return this.judge(chart, asked);
    const parent = asked.parentId === null ? undefined : knownAccount(chart, asked.parentId);
    return inferKinds({
      name: asked.name,
      element: asked.element,
      ...(parent === undefined ? {} : { parentKind: parent.kind, parentName: parent.name }),
    });
  }
}
