import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LIMIT_RANGES, SEVERITY_NAMES, type FindingCode, type LimitName } from '@iunctus/core';
import { OneOfComponent } from '../../shared/components/one-of.component';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { Rights } from '../../session/state/rights';
import { FindingsEngine } from '../../workspace/model/findings-engine';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { limitWords } from '../model/limit-words';
import { RuleDesk, type LimitRow, type Mattering } from '../model/rule-desk';

const NAMES: Readonly<Record<Mattering, string>> = {
  ...SEVERITY_NAMES,
  off: $localize`Not looked for`,
  usual: $localize`As usual`,
};

const choicesBeside = (otherwise: Mattering): readonly PickOption<Mattering>[] => [
  {
    value: 'usual',
    words:
      otherwise === 'usual'
        ? NAMES.usual
        : $localize`As for all clients: ${NAMES[otherwise]}:mattering:`,
  },
  ...(['wrong', 'doubtful', 'couldBeNeater', 'off'] as const).map((value) => ({
    value,
    words: NAMES[value],
  })),
];

/** What can be chosen, by what holds otherwise. */
const CHOICES = {
  usual: choicesBeside('usual'),
  wrong: choicesBeside('wrong'),
  doubtful: choicesBeside('doubtful'),
  couldBeNeater: choicesBeside('couldBeNeater'),
  off: choicesBeside('off'),
} as const;

/** What is looked for, from where on, and how much it matters: for the client, or for all clients of the practice. */
@Component({
  selector: 'iu-rules-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OneOfComponent, PickComponent, ProblemNoteComponent, ReadingNoteComponent, RouterLink],
  providers: [FindingsEngine, RuleDesk],
  templateUrl: './rules.page.html',
  styleUrls: ['../../shared/components/place.css', './rules.page.css'],
})
export class RulesPage {
  protected readonly desk = inject(RuleDesk);
  protected readonly engine = inject(FindingsEngine);
  private readonly rights = inject(Rights);
  protected readonly proposed = inject(ProposedChart);
  readonly clientId = input.required<string>();

  protected readonly mayChange = computed(() => this.rights.may('change'));
  protected readonly levels = computed(() => {
    const { client, practice } = this.desk.counts();
    return [
      { value: 'client' as const, words: $localize`This client`, count: client },
      { value: 'practice' as const, words: $localize`All clients`, count: practice },
    ];
  });
  protected readonly choices = CHOICES;
  protected readonly word = signal('');
  /** What is wrong with limits as they are typed; what is typed stays until it is right. */
  protected readonly wrong = signal<ReadonlyMap<LimitName, string>>(new Map());

  protected called(matters: Mattering): string {
    return NAMES[matters];
  }

  protected limitWords = limitWords;

  protected shown({ name, value }: LimitRow): string {
    return LIMIT_RANGES[name].unit === 'tenths' ? String(value / 10) : String(value);
  }

  protected matter(code: FindingCode, matters: Mattering): void {
    void this.desk.matter(code, matters);
  }

  /** Takes a limit as it is typed: empty for what is usual. */
  protected setLimit({ name, value }: LimitRow, field: HTMLInputElement): void {
    const { unit, least, most } = LIMIT_RANGES[name];
    const scale = unit === 'tenths' ? 10 : 1;
    const typed = field.value.trim();
    const number = typed === '' ? null : Math.round(Number(typed.replace(',', '.')) * scale);
    const fits = number === null || (number >= least && number <= most);
    this.wrong.update((before) => {
      const wrong = new Map(before);
      if (fits) wrong.delete(name);
      else wrong.set(name, $localize`from ${least / scale}:least: to ${most / scale}:most:`);
      return wrong;
    });
    if (fits && number !== value) void this.desk.limit(name, number);
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    if (!this.desk.isWord(this.word())) return;
    if (await this.desk.addWord(this.word())) this.word.set('');
  }
}
