import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import {
  accountOf,
  formatAmount,
  hasAccount,
  hasPostings,
  headsOf,
  KINDS,
  nodeOf,
  planAbove,
  planChild,
  planMain,
  planSibling,
  saidAlready,
  suggestNumber,
  titleOf,
  type AccountId,
  type AddPlan,
  type Chart,
  type Refusal,
} from '@iunctus/core';
import { reasonWords } from '../../shared/words/outline-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { landingWords } from '../../shared/words/statement-words';
import { Amounts } from '../../workspace/model/amounts';
import type { Wanted } from '../../workspace/model/tree-action';
import { ChartView } from '../../workspace/model/chart-view';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { draftOf, draftOperations, newDraft, type Draft } from './draft';
import { KeptRows, type KeptRow } from './kept-rows';
import { clashWords, roomWords } from './tree-words';
import { terms } from '../../shared/words/terms';

/** Whoever types does not wait for what else says the same: it is looked for once they pause, after so many milliseconds. */
const PAUSE = 200;

/** The row that is edited or added on the tree, and what is said beside it. */
@Injectable()
export class RowEditing {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly amounts = inject(Amounts);
  private readonly kept = inject(KeptRows);
  /** What the editor began with; `null` while no row is edited. */
  readonly draft = signal<Draft | null>(null);
  private readonly typed = signal<Draft | null>(null);
  /** That another account says the same as the name that was typed; empty until that is known. */
  private readonly alike = signal('');
  private pause: ReturnType<typeof setTimeout> | undefined;
  readonly refusal = signal<Refusal | null>(null);
  /** What must be done before a gesture can be. */
  readonly advice = signal('');

  readonly refusalText = computed(() => {
    const refusal = this.refusal();
    if (refusal === null) return '';
    return refusalWords(refusal, this.proposed.chart(), this.proposed.base());
  });

  /** What the draft's kind is, why it is proposed, what it moves, and whether its number has room. */
  readonly hint = computed(() => {
    const draft = this.typed() ?? this.draft();
    if (draft === null) return null;
    const { sentence } = KINDS[draft.kind];
    const name = terms().kinds[draft.kind];
    const room = roomWords(draft, this.proposed.chart());
    const inferred =
      draft.inferred === null ? '' : $localize`Kind ${reasonWords(draft.inferred)}. `;
    const clash = clashWords(draft, this.proposed.chart());
    const about = inferred + othersWords(draft);
    const notes = clash + this.alike() + this.movesWords(draft) + room;
    return { title: `${name} — ${landingWords(draft.kind)}`, sentence, about, room: notes };
  });

  /** That another account says the same as what is typed. */
  private sameWords(draft: Draft): string {
    const chart = this.proposed.chart();
    const id = saidAlready(chart, draft);
    const account = id === null ? undefined : accountOf(chart, id);
    return account === undefined
      ? ''
      : $localize`It says the same as ${titleOf(account)}:account:. `;
  }

  constructor() {
    inject(DestroyRef).onDestroy(() => clearTimeout(this.pause));
  }

  /** Edits the account at the cursor. */
  edit(): void {
    const id = this.view.cursor();
    const draft = id === null ? null : draftOf(this.proposed.chart(), id);
    if (draft !== null) this.open(draft);
  }

  /** Edits the account at the cursor, begun with what was wanted of it and why that cannot be. */
  amend(wanted: Wanted, refusal: Refusal): void {
    this.edit();
    this.draft.update((draft) => (draft === null ? null : { ...draft, ...wanted }));
    this.refusal.set(refusal);
  }

  /** Begins a new account beside or under the one at the cursor, or a new main account. */
  add(as: 'sibling' | 'child' | 'main'): void {
    const id = this.view.cursor();
    if (id !== null && as === 'child') this.view.setOpen(id, true);
    this.view.filter.set('');
    const plan = id === null || as === 'main' ? this.mainPlan() : this.planBeside(id, as);
    if (plan !== null) this.open(newDraft(plan, crypto.randomUUID()));
  }

  /** Begins a heading above the chosen accounts, or the one at the cursor. */
  addAbove(): void {
    const chart = this.proposed.chart();
    const above = headsOf(chart, this.view.chosen());
    this.view.filter.set('');
    const plan = planAbove(chart, above);
    if (plan !== null) this.open({ ...newDraft(plan, crypto.randomUUID()), above });
  }

  noteTyped(draft: Draft): void {
    this.lookForAlike(draft);
    this.typed.set(draft);
    this.refusal.set(null);
    const { id, number, name, kind, parentId } = draft;
    const adding = draft.adding === null ? null : { afterId: draft.adding.afterId };
    this.kept.keep(this.clientId(), {
      id,
      adding,
      number,
      name,
      kind,
      parentId,
      above: [...draft.above],
    });
  }

  /** Opens the row that was half typed when the page was left, if it still has its place. */
  async bringBack(): Promise<void> {
    const [row] = await this.kept.of(this.clientId());
    if (row === undefined || this.draft() !== null) return;
    const draft = draftFrom(this.proposed.chart(), row);
    if (draft === null) return this.kept.forget(this.clientId());
    this.view.goTo(row.adding === null ? row.id : (row.adding.afterId ?? row.parentId ?? ''));
    this.open(draft);
  }

  /** Proposes what the draft says; false when a rule says no, and the row stays open. */
  accept(draft: Draft): boolean {
    const refusal = this.proposed.propose(draftOperations(this.proposed.chart(), draft));
    this.refusal.set(refusal);
    if (refusal !== null) return false;
    this.leave();
    this.view.goTo(draft.id);
    return true;
  }

  leave(): void {
    if (this.draft() !== null) this.kept.forget(this.clientId());
    this.forgetAlike();
    this.draft.set(null);
    this.typed.set(null);
    this.refusal.set(null);
  }

  /** Forgets what was said of the last gesture. */
  hush(): void {
    this.refusal.set(null);
    this.advice.set('');
  }

  private lookForAlike(draft: Draft): void {
    const { name, kind } = this.typed() ?? this.draft() ?? { name: '', kind: null };
    if (draft.name === name && draft.kind === kind) return;
    this.forgetAlike();
    this.pause = setTimeout(() => this.alike.set(this.sameWords(draft)), PAUSE);
  }

  private forgetAlike(): void {
    clearTimeout(this.pause);
    this.alike.set('');
  }

  private open(draft: Draft): void {
    this.forgetAlike();
    this.typed.set(null);
    this.draft.set(draft);
  }

  private clientId(): string {
    return this.proposed.client()?.id ?? '';
  }

  private mainPlan(): AddPlan {
    const selected = this.view.selected();
    return planMain(this.proposed.chart(), selected ? KINDS[selected.kind].element : 'asset');
  }

  private planBeside(id: AccountId, as: 'sibling' | 'child'): AddPlan | null {
    const chart = this.proposed.chart();
    return as === 'child' ? planChild(chart, id) : planSibling(chart, id);
  }

  /** What another kind moves, told before it is kept. */
  private movesWords({ id, kind }: Draft): string {
    const node = nodeOf(this.proposed.base(), id);
    if (node === undefined || node.account.kind === kind) return '';
    if (!hasPostings(this.proposed.base(), node)) return '';
    const amount = formatAmount(this.amounts.ownAmountOf(node), {
      currency: this.proposed.client()?.currency ?? 'USD',
      zero: '0.00',
    });
    return $localize`${amount} of this period moves from ${landingWords(node.account.kind)}, and its whole history with it. `;
  }
}

const isThere = (chart: Chart, id: AccountId | null): boolean =>
  id === null || hasAccount(chart, id);

/** What else a new account may be, and the keys that take it. */
const othersWords = ({ others }: Draft): string =>
  others.length === 0
    ? ''
    : $localize`Or ${others.map((kind, at) => `Alt ${at + 1}: ${terms().kinds[kind]}`).join(', ')}. `;

/** A half-typed row as a draft; `null` where its account, or the place it was to take, is gone. */
const draftFrom = (chart: Chart, { adding, ...typed }: KeptRow): Draft | null => {
  const { id, kind, parentId } = typed;
  if (adding === null) {
    const draft = draftOf(chart, id);
    return draft === null || !isThere(chart, parentId) ? null : { ...draft, ...typed };
  }
  const places = [parentId, adding.afterId, ...typed.above];
  if (hasAccount(chart, id) || !places.every((one) => isThere(chart, one))) return null;
  const { afterId } = adding;
  const number = suggestNumber(chart, { parentId, afterId, kind });
  return { ...typed, adding: { afterId, number }, inferred: null, others: [] };
};
