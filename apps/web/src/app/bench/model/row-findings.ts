import { computed, DestroyRef, inject, Injectable, Injector, signal } from '@angular/core';
import { findingWords, type AccountId, type Finding, type Severity } from '@iunctus/core';
import { terms } from '../../shared/words/terms';
import { FindingsEngine } from '../../workspace/model/findings-engine';
import { ProposedChart } from '../../workspace/model/proposed-chart';

/** The chart is looked through so long after it came into sight, in milliseconds: it is to be read first. */
const LOOK_AFTER = 1500;

/** What a row says of what was found about its account. */
export interface RowFinding {
  readonly severity: Severity;
  readonly says: string;
}

/** What was found about single accounts, quietly at their rows: what is wrong or doubtful, and neither put off nor set aside. */
@Injectable()
export class RowFindings {
  private readonly proposed = inject(ProposedChart);
  private readonly engine = signal<FindingsEngine | null>(null);
  private readonly open = computed<readonly Finding[]>(() => {
    const found = this.engine()?.sorted().open ?? [];
    return found.filter(({ severity }) => severity !== 'couldBeNeater');
  });
  /** By the account that each is about; the first is the gravest. */
  readonly byAccount = computed<ReadonlyMap<AccountId, RowFinding>>(() => {
    const telling = { chart: this.proposed.chart(), terms: terms() };
    const found = new Map<AccountId, RowFinding>();
    for (const finding of this.open()) {
      const [id] = finding.accountIds;
      if (id !== undefined && !found.has(id))
        found.set(id, { severity: finding.severity, says: findingWords(finding, telling).says });
    }
    return found;
  });

  constructor() {
    const injector = inject(Injector);
    const destroyed = inject(DestroyRef);
    const timer = setTimeout(() => {
      const own = Injector.create({ providers: [FindingsEngine], parent: injector });
      destroyed.onDestroy(() => own.destroy());
      this.engine.set(own.get(FindingsEngine));
    }, LOOK_AFTER);
    destroyed.onDestroy(() => clearTimeout(timer));
  }
}
