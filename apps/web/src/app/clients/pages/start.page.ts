import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import {
  composeStartingChart,
  INDUSTRIES,
  INDUSTRY_CODES,
  KINDS,
  LEGAL_FORMS,
  startingOperations,
  type IndustryCode,
  type KindCode,
  type LegalForm,
} from '@iunctus/core';
import { BenchPageActions } from '../../bench/state/bench.actions';
import { benchFeature } from '../../bench/state/bench.feature';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { LEGAL_FORM_WORDS } from '../../shared/words/client-words';
import { landingWords } from '../../shared/words/statement-words';

/** Choosing a starting chart: the trade, the legal form, and the tree that they give. */
@Component({
  selector: 'iu-start-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, ElementMarkComponent],
  templateUrl: './start.page.html',
  styleUrl: './start.page.css',
})
export class StartPage {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  protected readonly client = this.store.selectSignal(benchFeature.selectClient);
  private readonly chosenIndustry = signal<IndustryCode | null>(null);
  private readonly chosenForm = signal<LegalForm | null>(null);

  protected readonly industryCodes = INDUSTRY_CODES;
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

  protected chooseIndustry(industry: IndustryCode): void {
    this.chosenIndustry.set(industry);
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
