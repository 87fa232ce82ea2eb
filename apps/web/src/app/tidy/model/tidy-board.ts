import { computed, inject, Injectable, linkedSignal, signal } from '@angular/core';
import {
  findingKey,
  findingPrint,
  findingWords,
  fixAll,
  fixWords,
  noteOf,
  type CalendarDate,
  type Chart,
  type Finding,
  type Fix,
  type Operation,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { today } from '../../shared/dates/today';
import { counted } from '../../shared/words/counted';
import { refusalWords } from '../../shared/words/refusal-words';
import { terms } from '../../shared/words/terms';
import { Rights } from '../../session/state/rights';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { FindingsEngine } from '../../workspace/model/findings-engine';
import { findingRows, foldKeyOf, type Fold, type TidyRow } from './finding-rows';

/** What was found, worked through one by one: fixed into the proposal, put off, or set aside. */
@Injectable()
export class TidyBoard {
  private readonly engine = inject(FindingsEngine);
  private readonly proposed = inject(ProposedChart);
  private readonly rights = inject(Rights);
  private readonly api = inject(ApiService);
  readonly doing = new Doing();
  /** What happened to what was asked for last; empty for nothing to say. */
  readonly notice = signal('');
  /** Whether what was put off or set aside is shown instead. */
  readonly showsNoted = signal(false);

  readonly mayChange = computed(() => this.rights.may('change'));
  /** The chart that was looked through: what was found is told with its accounts as they were then. */
  private readonly looked = linkedSignal<{ chart: Chart; isBehind: boolean }, Chart>({
    source: () => ({ chart: this.proposed.chart(), isBehind: this.engine.isBehind() }),
    computation: ({ chart, isBehind }, previous) =>
      isBehind && previous !== undefined ? previous.value : chart,
  });
  private readonly telling = computed(() => ({ chart: this.looked(), terms: terms() }));
  readonly notedCount = computed(() => this.engine.sorted().noted.length);
  readonly open = computed(() => this.engine.sorted().open);
  readonly shown = computed(() => this.engine.sorted()[this.showsNoted() ? 'noted' : 'open']);

  private readonly opened = signal<ReadonlySet<string>>(new Set());
  readonly rows = computed(() => findingRows(this.shown(), this.opened()));

  /** Whether somebody works through the findings already: until then the first stays first, whatever else is found. */
  private hasBegun = false;
  /** The place of the finding at the cursor, which goes on to the next when one is done with. */
  readonly cursor = linkedSignal<readonly TidyRow[], number>({
    source: this.rows,
    computation: (rows, previous) => {
      if (!this.hasBegun)
        return Math.max(
          rows.findIndex(({ type }) => type === 'finding'),
          0,
        );
      const before = previous?.source[previous.value]?.key;
      const there = rows.findIndex(({ key, type }) => key === before && type !== 'head');
      if (there >= 0) return there;
      const at = Math.min(previous?.value ?? 0, Math.max(rows.length - 1, 0));
      return rows[at]?.type === 'head' ? at + 1 : at;
    },
  });
  readonly current = computed<Finding | null>(() => {
    const row = this.rows()[this.cursor()];
    return row?.type === 'finding' ? row.finding : null;
  });
  /** The row at the cursor that stands for more findings; `null` for none. */
  readonly fold = computed<Fold | null>(() => {
    const row = this.rows()[this.cursor()];
    return row?.type === 'fold' ? row : null;
  });
  /** What it is known by, which stays while the chart is looked through again. */
  readonly currentKey = computed(() => {
    const finding = this.current();
    return finding === null ? null : findingKey(finding);
  });
  readonly note = computed(() => {
    const finding = this.current();
    return finding === null ? null : noteOf(finding, this.engine.noted(), today());
  });

  wordsOf(finding: Finding) {
    return findingWords(finding, this.telling());
  }

  fixWordsOf(fix: Fix): string {
    return fixWords(fix, this.telling());
  }

  /** The next finding up or down; heads are passed. */
  step(by: 1 | -1): void {
    this.hasBegun = true;
    const rows = this.rows();
    for (let at = this.cursor() + by; at >= 0 && at < rows.length; at += by)
      if (rows[at]?.type !== 'head') return this.cursor.set(at);
  }

  /** The finding in a row; a head is none. */
  goTo(row: number): void {
    const { type } = this.rows()[row] ?? { type: 'head' };
    if (type === 'head') return;
    this.hasBegun = true;
    this.cursor.set(row);
  }

  /** Shows all that the rule of the row at the cursor found, from the first on that was not seen; or few of it again. */
  unfold(isOpen: boolean): void {
    const fold = this.foldAtCursor();
    if (fold === undefined || fold.isOpen === isOpen) return;
    this.hasBegun = true;
    const before = new Set(this.rows().map(({ key }) => key));
    this.opened.update((folds) => {
      const opened = new Set(folds);
      if (!opened.delete(fold.key)) opened.add(fold.key);
      return opened;
    });
    const isNext = ({ key }: TidyRow) => (isOpen ? !before.has(key) : key === fold.key);
    this.cursor.set(this.rows().findIndex(isNext));
  }

  private foldAtCursor(): Fold | undefined {
    const finding = this.current();
    const key = finding === null ? this.fold()?.key : foldKeyOf(finding);
    return this.rows().find((row): row is Fold => row.type === 'fold' && row.key === key);
  }

  /** The first finding, or the last with -1. */
  toEdge(from: 1 | -1): void {
    this.cursor.set(from === 1 ? -1 : this.rows().length);
    this.step(from);
  }

  /** What the first key does: the first fix of the finding at the cursor, or what stands for more is opened or closed. */
  enter(): void {
    const fold = this.fold();
    if (fold === null) this.apply(0);
    else this.unfold(!fold.isOpen);
  }

  /** Applies a fix of the finding at the cursor, into the proposal. */
  apply(at: number): void {
    this.hasBegun = true;
    const fix = this.current()?.fixes[at];
    if (fix !== undefined) this.propose(fix.operations);
    else if (this.current() !== null)
      this.notice.set($localize`There is nothing to apply: it is to be looked at.`);
  }

  private propose(operations: readonly Operation[]): void {
    // What was found is of the chart before the last change: a second stroke of the key would apply it twice.
    if (!this.mayChange() || this.engine.isBehind()) return;
    const refusal = this.proposed.propose(operations);
    this.notice.set(refusal === null ? '' : refusalWords(refusal, this.proposed.chart()));
  }

  /** The findings of the same rule that have a fix. */
  sameRule(): readonly Finding[] {
    const code = this.current()?.code ?? this.fold()?.code;
    return this.open().filter((one) => one.code === code && one.fixes.length > 0);
  }

  /** Applies the first fix of several in one step; what no longer fits after the others is passed over, and said. */
  applyAll(findings: readonly Finding[]): void {
    const { operations, left } = fixAll(this.proposed.chart(), findings);
    this.propose(operations);
    if (left > 0)
      this.notice.set(
        counted(left, {
          one: $localize`One does not fit beside the others, and stayed.`,
          other: $localize`# do not fit beside the others, and stayed.`,
        }),
      );
  }

  /** Puts the finding at the cursor off until a day, or sets it aside with `null`. */
  async putAside(until: CalendarDate | null, reason: string): Promise<void> {
    const [finding, client] = [this.current(), this.proposed.client()];
    if (finding === null || client === null) return;
    const body = { key: findingKey(finding), print: findingPrint(finding), until, reason };
    await this.doing.run(() =>
      firstValueFrom(this.api.ask('noteFinding', { clientId: client.id, body })),
    );
    this.engine.notes.again();
  }

  /** The word at the cursor that no dictionary has, so that it can be said to be right; `null` for none. */
  readonly strangeWord = computed(() => {
    const finding = this.current();
    return finding?.code === 'misspelled' ? finding.facts.word : null;
  });

  /** Says for all clients that the word at the cursor is right. */
  async learnWord(): Promise<void> {
    const [word, rules] = [this.strangeWord(), this.engine.rules.value()];
    if (word === null || rules === null) return;
    const { version, wishes } = rules.practice;
    const words = [...new Set([...wishes.words, word.toLowerCase()])];
    const body = { version, wishes: { ...wishes, words } };
    await this.doing.run(() => firstValueFrom(this.api.ask('keepPracticeRules', { body })));
    this.engine.rules.again();
  }

  async bringBack(): Promise<void> {
    const [finding, client] = [this.current(), this.proposed.client()];
    const note = finding === null ? undefined : this.engine.noted().get(findingKey(finding));
    if (client === null || note === undefined) return;
    const asked = { clientId: client.id, noteId: note.id };
    await this.doing.run(() => firstValueFrom(this.api.ask('dropFindingNote', asked)));
    this.engine.notes.again();
  }
}
