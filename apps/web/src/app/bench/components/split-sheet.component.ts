import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  output,
  signal,
} from '@angular/core';
import { formatAmount, shownAmount, titleOf, type Minor } from '@iunctus/core';
import { InputText } from 'primeng/inputtext';
import { PickComponent } from '../../shared/components/pick.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { SOURCE_WORDS } from '../../shared/words/choice-words';
import { dateWords } from '../../shared/words/period-words';
import { problemWords } from '../../shared/words/problem-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { Sheets } from '../../workspace/model/sheets';
import {
  distinctionsOf,
  emptyPart,
  hasDays,
  partOf,
  UNREAD,
  type Distinction,
  type PartDraft,
} from '../model/split-draft';
import { SplitLook } from '../model/split-look';
import { SheetComponent } from './sheet.component';
import { counted } from '../../shared/words/counted';

/** Splitting the account at the cursor: choose postings for new sub-accounts, see what moves, split. */
@Component({
  selector: 'iu-split-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText, PickComponent, SheetComponent, WhenFieldComponent],
  providers: [SplitLook],
  templateUrl: './split-sheet.component.html',
  styleUrl: './split-sheet.component.css',
})
export class SplitSheetComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  protected readonly look = inject(SplitLook);
  private readonly sheets = inject(Sheets);
  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  readonly done = output();

  protected readonly drafts = signal<readonly PartDraft[]>([emptyPart(0)]);
  private next = 1;

  private readonly account = computed(() => this.look.node()?.account);
  protected readonly heading = computed(() => {
    const account = this.account();
    return account === undefined ? '' : `Split ${titleOf(account)}`;
  });
  protected readonly facts = computed(() => {
    const facts = this.look.facts();
    return facts?.status === 'answered' ? facts.answer : null;
  });
  protected readonly problemText = computed(() => {
    const facts = this.look.facts();
    const problem = facts?.status === 'failed' ? facts.problem : this.look.problem();
    return problem === null ? '' : problemWords(problem);
  });
  protected readonly dimensions = computed(() => this.proposed.chart().settings.dimensions);
  protected readonly sources = computed(() => [
    { value: '', words: $localize`any` },
    ...(this.facts()?.sources ?? []).map(({ source }) => ({
      value: source,
      words: SOURCE_WORDS[source],
    })),
  ]);
  /** The values of all dimensions, and of each that there be none. */
  protected readonly values = computed(() => [
    { value: '', words: $localize`any` },
    ...this.dimensions().flatMap(({ id, name, values }) => [
      ...values.map((value) => ({ value: `${id}/${value.id}`, words: `${name}: ${value.name}` })),
      { value: `${id}/`, words: $localize`none of ${name}` },
    ]),
  ]);
  protected readonly distinctions = computed(() => {
    const facts = this.facts();
    return facts === null ? [] : distinctionsOf(facts, this.dimensions());
  });

  protected readonly order = this.proposed.dateOrder;
  protected readonly span = computed(() => {
    const facts = this.facts();
    if (facts?.first == null || facts.last === null) return '';
    const count = counted(facts.postings, {
      one: $localize`# posting`,
      other: $localize`# postings`,
    });
    return $localize`${count}, ${dateWords(facts.first)} to ${dateWords(facts.last)}.`;
  });

  protected readonly refusalText = computed(() => {
    const plan = this.look.plan();
    if (plan.ok || plan.refusal.code === 'nameEmpty') return '';
    const which = this.drafts().length === 1 ? '' : $localize`Part ${plan.part + 1}:part:: `;
    return `${which}${refusalWords(plan.refusal, plan.chart)}`;
  });
  protected readonly numbers = computed(() => {
    const plan = this.look.named();
    return plan.ok ? plan.accounts.map(({ number }) => number ?? '') : [];
  });
  protected readonly rest = computed(() => {
    const [facts, seen] = [this.facts(), this.look.seen()];
    if (facts === null || seen === null || seen.length === 0) return '';
    const left = facts.postings - seen.reduce((so, part) => so + part.postings, 0);
    const title = this.account();
    if (title === undefined) return '';
    if (left === 0) return $localize`Nothing stays on ${titleOf(title)} itself.`;
    return $localize`${counted(left, { one: $localize`# posting stays`, other: $localize`# postings stay` })} on ${titleOf(title)} itself.`;
  });
  protected readonly empty = computed(() =>
    (this.look.seen() ?? []).some(({ postings }) => postings === 0),
  );
  /** Whether all that is missing is a name. */
  protected readonly nameless = computed(() => {
    const plan = this.look.plan();
    return !plan.ok && plan.refusal.code === 'nameEmpty';
  });
  protected readonly ready = computed(
    () =>
      this.look.plan().ok && (this.look.seen() ?? []).length > 0 && this.drafts().every(hasDays),
  );

  constructor() {
    effect(() => {
      if (this.facts() !== null)
        afterNextRender(() => this.focusPart(0), { injector: this.injector });
    });
  }

  protected change(key: number, field: keyof PartDraft, typed: Event): void {
    this.set(key, field, (typed.target as HTMLInputElement).value);
  }

  protected set(key: number, field: keyof PartDraft, value: string | null): void {
    this.keep(
      this.drafts().map((one) => (one.key === key ? { ...one, [field]: value ?? UNREAD } : one)),
    );
  }

  protected add(): void {
    this.keep([...this.drafts(), emptyPart(this.next++)]);
    afterNextRender(() => this.focusPart(this.drafts().length - 1), { injector: this.injector });
  }

  protected remove(key: number): void {
    this.keep(this.drafts().filter((one) => one.key !== key));
    afterNextRender(() => this.focusPart(0), { injector: this.injector });
  }

  protected tellApart({ parts }: Distinction): void {
    this.keep(parts.map((part) => emptyPart(this.next++, part)));
    afterNextRender(() => this.focusPart(0), { injector: this.injector });
  }

  protected amountWords(amount: Minor): string {
    const kind = this.account()?.kind ?? 'bank';
    const currency = this.proposed.client()?.currency ?? 'USD';
    return formatAmount(shownAmount(kind, amount), { currency, zero: '0.00' });
  }

  protected dayWords(date: string): string {
    return dateWords(date);
  }

  protected split(event: Event): void {
    event.preventDefault();
    const plan = this.look.plan();
    if (!plan.ok || !this.ready() || this.proposed.propose(plan.operations) !== null) return;
    const [first] = plan.accounts;
    if (first !== undefined) this.view.goTo(first.id);
    this.sheets.close();
    this.done.emit();
  }

  private keep(drafts: readonly PartDraft[]): void {
    this.drafts.set(drafts);
    const upTo = this.facts()?.upTo ?? 0;
    this.look.parts.set(drafts.map((draft) => partOf(draft, upTo)));
  }

  private focusPart(index: number): void {
    this.host.querySelectorAll<HTMLElement>('.part input.name')[index]?.focus();
  }
}
