import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  catches,
  lastPlace,
  lostOn,
  movedRule,
  newRule,
  reportRules,
  routesOf,
  standsFor,
  type PastLine,
  type RouteItem,
  type RuleReport,
  type WordRule,
} from '@iunctus/core';
import { Rights } from '../../session/state/rights';
import { RowActionsComponent } from '../../shared/components/row-actions.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { counted } from '../../shared/words/counted';
import { ruleWords } from '../../shared/words/route-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { RuleFormComponent } from '../components/rule-form.component';
import { TaxRatesComponent } from '../components/tax-rates.component';
import { MOST_PAST, PastLines } from '../model/past-lines';

interface Row {
  readonly id: string;
  readonly rule: WordRule;
  readonly words: string;
  readonly account: string;
  readonly tax: string;
  readonly lost: boolean;
  readonly report: RuleReport | null;
}

/** Rules that send lines by their words to accounts, in order; and what each would have done in the past. */
@Component({
  selector: 'iu-rules-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent, RowActionsComponent, RuleFormComponent, TaxRatesComponent],
  providers: [PastLines],
  templateUrl: './rules.page.html',
  styleUrl: './rules.page.css',
})
export class RulesPage {
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  protected readonly client = inject(ClientRoutes);
  protected readonly past = inject(PastLines);
  /** The rule that is open in the form; `null` while none is. */
  protected readonly open = signal<RouteItem<WordRule> | null>(null);
  private readonly typed = signal<WordRule | null>(null);

  private readonly reports = computed<ReadonlyMap<string, RuleReport>>(() => {
    const lines = this.past.lines() ?? [];
    const context = { chart: this.reader.chart(), routes: this.client.routes() };
    return new Map(reportRules(lines, context).map((report) => [report.ruleId, report]));
  });
  protected readonly rows = computed<readonly Row[]>(() => {
    const { rules } = this.client.routes();
    const lost = new Set(lostOn(rules, this.reader.chart()).map(({ itemId }) => itemId));
    return rules.map(({ id, content }) => {
      const standing = standsFor(this.reader.chart(), content.accountId);
      return {
        id,
        rule: content,
        words: ruleWords(content, this.reader.currency()),
        account: standing === null ? '' : this.reader.titleOf(standing),
        tax: this.taxOf(content),
        lost: lost.has(id),
        report: this.past.lines() === null ? null : (this.reports().get(id) ?? null),
      };
    });
  });
  /** What the rule that is being typed would do, and lines that it would catch. */
  protected readonly preview = computed<{
    readonly caught: readonly PastLine[];
    readonly words: string;
  } | null>(() => {
    const [open, typed, lines] = [this.open(), this.typed(), this.past.lines()];
    if (open === null || typed === null || lines === null || typed.words.trim() === '') return null;
    const others = this.client.items().filter(({ id }) => id !== open.id);
    const routes = routesOf([...others, { id: open.id, content: typed }]);
    const [alone] = routesOf([{ id: open.id, content: typed }]).rules;
    const chart = this.reader.chart();
    const [report] = reportRules(lines, { chart, routes }).filter(
      ({ ruleId }) => ruleId === open.id,
    );
    const caught = lines.filter((line) => alone !== undefined && catches(alone, line));
    return { caught: caught.slice(0, 8), words: this.reportWords(report ?? null) };
  });

  protected readonly most = MOST_PAST;

  constructor() {
    void this.past.read();
  }

  private taxOf({ taxCodeId }: WordRule): string {
    const code = this.client.routes().taxCodes.find(({ id }) => id === taxCodeId)?.content;
    return code === undefined ? '' : $localize`${code.name} of ${code.rate} % within`;
  }

  protected begin(): void {
    const place = lastPlace(this.client.routes().rules);
    this.edit({ id: crypto.randomUUID(), content: newRule(place) });
  }

  protected edit(item: RouteItem<WordRule>): void {
    this.typed.set(item.content);
    this.open.set(item);
  }

  protected take(rule: WordRule): void {
    this.typed.set(rule);
  }

  protected async keep(rule: WordRule): Promise<void> {
    const open = this.open();
    if (open === null) return;
    if (await this.client.keep({ ...rule, words: rule.words.trim() }, open.id)) this.open.set(null);
  }

  /** Moves a rule one place up or down. */
  protected move(at: number, by: -1 | 1): void {
    const { rules } = this.client.routes();
    const [own, moved] = [rules[at], movedRule(rules, at, by)];
    if (own !== undefined && moved !== null) void this.client.keep(moved, own.id);
  }

  protected reportWords(report: RuleReport | null): string {
    if (report === null) return '';
    const { caught, elsewhere, overlaps } = report;
    const lines = counted(caught, { one: $localize`# line`, other: $localize`# lines` });
    const others = overlaps.reduce((sum, { count }) => sum + count, 0);
    return [
      caught === 0 ? $localize`no line of the past year` : $localize`${lines} of the past year`,
      ...(elsewhere === 0
        ? []
        : [
            counted(elsewhere, {
              one: $localize`# was posted elsewhere`,
              other: $localize`# were posted elsewhere`,
            }),
          ]),
      ...(others === 0
        ? []
        : [
            counted(others, {
              one: $localize`# more goes by an earlier rule`,
              other: $localize`# more go by earlier rules`,
            }),
          ]),
    ].join(' · ');
  }
}
