import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { IndustriesAnswer } from '@iunctus/contract';
import {
  composeStartingChart,
  findTrades,
  INDUSTRIES,
  INDUSTRY_CODES,
  KINDS,
  LEGAL_FORMS,
  startingOperations,
  type IndustryCode,
  type KindCode,
  type LegalForm,
} from '@iunctus/core';
import { catchError, debounceTime, of, switchMap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { BenchPageActions } from '../../bench/state/bench.actions';
import { benchFeature } from '../../bench/state/bench.feature';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { LEGAL_FORM_WORDS } from '../../shared/words/client-words';
import { landingWords } from '../../shared/words/statement-words';

/** Choosing a starting chart: the trade, the legal form, and the tree that they give. */
@Component({
  selector: 'iu-start-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementMarkComponent, FocusFirstDirective, RouterLink],
  templateUrl: './start.page.html',
  styleUrl: './start.page.css',
})
export class StartPage {
  private readonly api = inject(ApiService);
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  protected readonly client = this.store.selectSignal(benchFeature.selectClient);
  private readonly chosenIndustry = signal<IndustryCode | null>(null);
  private readonly chosenForm = signal<LegalForm | null>(null);

  /** Plain words or digits by which the trade is looked for. */
  protected readonly query = signal('');
  protected readonly trades = computed(() => findTrades(this.query()));
  private readonly found = toSignal(
    toObservable(this.query).pipe(
      debounceTime(150),
      switchMap((words) =>
        words.trim().length < 2
          ? of([])
          : this.api.industries(words).pipe(catchError(() => of([]))),
      ),
    ),
    { initialValue: [] },
  );
  /** Industries of the official classification that the words find. */
  protected readonly listed = computed(() => (this.query().trim().length < 2 ? [] : this.found()));
  /** The industry that was taken from the classification, and what its chart is made for. */
  protected readonly taken = signal<IndustriesAnswer[number] | null>(null);
  protected readonly industries = INDUSTRIES;
  protected readonly legalForms = LEGAL_FORMS;
  protected readonly legalFormWords = LEGAL_FORM_WORDS;

  protected readonly industry = computed(
    () => this.chosenIndustry() ?? this.client()?.industry ?? INDUSTRY_CODES[0],
  );
  protected readonly legalForm = computed(
    () => this.chosenForm() ?? this.client()?.legalForm ?? LEGAL_FORMS[0],
  );
  protected readonly groups = computed(() =>
    composeStartingChart({ industry: this.industry(), legalForm: this.legalForm() }),
  );
  protected readonly count = computed(() =>
    this.groups().reduce((sum, group) => sum + 1 + group.accounts.length, 0),
  );

  protected look(typed: Event): void {
    this.query.set((typed.target as HTMLInputElement).value);
  }

  protected chooseIndustry(industry: IndustryCode): void {
    this.chosenIndustry.set(industry);
    this.taken.set(null);
  }

  protected take(listed: IndustriesAnswer[number]): void {
    this.chosenIndustry.set(listed.trade);
    this.taken.set(listed);
  }

  /** What is said where no chart is made for the very industry. */
  protected nearest({ title, trade, sector }: IndustriesAnswer[number]): string {
    const { name } = INDUSTRIES[trade];
    return sector === null
      ? `“${title}” begins with the chart for ${name}.`
      : `No chart is made for “${title}”. The one nearest to its sector, ${sector}, is ${name}.`;
  }

  protected chooseForm(form: LegalForm): void {
    this.chosenForm.set(form);
  }

  protected elementOf(kind: KindCode) {
    return KINDS[kind].element;
  }

  protected landing(kind: KindCode): string {
    return landingWords(kind);
  }

  protected propose(): void {
    const operations = startingOperations(this.groups(), () => crypto.randomUUID());
    this.begin([{ id: crypto.randomUUID(), operations }]);
  }

  protected startEmpty(): void {
    this.begin([]);
  }

  private begin(steps: Parameters<typeof BenchPageActions.chartBegun>[0]['steps']): void {
    const client = this.client();
    if (client === null) return;
    this.store.dispatch(BenchPageActions.chartBegun({ clientId: client.id, steps }));
    void this.router.navigate(['/clients', client.id, 'chart']);
  }
}
