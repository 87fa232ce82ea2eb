import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import type { KeptChartsAnswer } from '@iunctus/contract';
import type { Observable } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { momentWords } from '../../shared/words/period-words';

type Listed = KeptChartsAnswer[number];

/** One of the practice's starting charts: its versions and clients, and what can be done with it. */
@Component({
  selector: 'iu-kept-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective, ProblemNoteComponent, RouterLink],
  template: `
    <section [attr.aria-label]="chart().name">
      <header>
        @if (renaming()) {
          <input
            #name
            class="text"
            i18n-aria-label
            aria-label="New name"
            maxlength="80"
            iuFocusFirst
            [value]="chart().name"
            (keydown.enter)="rename(name.value)"
            (keydown.escape)="renaming.set(false)"
          />
          <button i18n class="button small" type="button" (click)="rename(name.value)">
            Rename
          </button>
        } @else {
          <h2>{{ chart().name }}</h2>
          <button i18n class="button small quiet" type="button" (click)="renaming.set(true)">
            Rename
          </button>
          <button i18n class="button small quiet" type="button" (click)="removing.set(true)">
            Remove
          </button>
        }
      </header>
      @if (problem(); as found) {
        <iu-problem-note [problem]="found" />
      }
      @if (removing()) {
        <p class="asked" role="alert">
          <span>{{ removalWords() }}</span>
          <button i18n class="button small danger" type="button" iuFocusFirst (click)="remove()">
            Remove {{ chart().name }}
          </button>
          <button i18n class="button small" type="button" (click)="removing.set(false)">
            Keep it
          </button>
        </p>
      }
      <div class="columns">
        <div>
          <h3 i18n>Versions</h3>
          <ol reversed ariaLabel="Versions of {{ chart().name }}" i18n-ariaLabel>
            @for (version of chart().versions; track version.number) {
              <li i18n>
                <strong>Version {{ version.number }}</strong>
                {{ version.accounts }} accounts
                <p class="muted">
                  {{ version.madeBy }}, {{ moment(version.madeAt) }}
                  @if (version.note !== '') {
                    · {{ version.note }}
                  }
                </p>
              </li>
            }
          </ol>
        </div>
        <div>
          <h3 i18n>Clients that began from it</h3>
          <ul ariaLabel="Clients that began from {{ chart().name }}" i18n-ariaLabel>
            @for (client of chart().clients; track client.id) {
              <li i18n>
                <a [routerLink]="['/clients', client.id, 'start']">{{ client.name }}</a>
                version {{ client.version }}
                @if (client.version < (chart().versions[0]?.number ?? 0)) {
                  <span class="chip">older</span>
                }
                <p class="muted">{{ driftWords(client.drift) }}</p>
              </li>
            }
          </ul>
        </div>
      </div>
    </section>
  `,
  styles: `
    section {
      margin-bottom: 18px;
      padding: 16px 20px 20px;
      border: 1px solid var(--rule);
      background: var(--sheet);
      box-shadow: var(--lift);
    }
    header {
      display: flex;
      align-items: center;
      gap: 6px;
      margin-bottom: 12px;
    }
    h2 {
      margin: 0 8px 0 0;
      font-size: 18px;
    }
    .asked {
      display: flex;
      align-items: center;
      gap: 8px;
      margin-bottom: 14px;
      padding: 10px 12px;
      border-left: 3px solid var(--bad);
      background: var(--bad-wash);
    }
    .asked span {
      flex: 1;
    }
    h3 {
      margin-bottom: 8px;
      color: var(--ink-2);
      font: 600 12px var(--sans);
    }
    .columns {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 32px;
    }
    ol,
    ul {
      display: grid;
      align-content: start;
      gap: 10px;
      margin: 0;
      padding: 0;
      list-style: none;
    }
  `,
})
export class KeptChartComponent {
  private readonly api = inject(ApiService);
  readonly chart = input.required<Listed>();
  /** Says that the list is to be read again. */
  readonly changed = output();
  protected readonly renaming = signal(false);
  protected readonly removing = signal(false);
  protected readonly problem = signal<ApiProblem | null>(null);

  protected readonly removalWords = computed(() => {
    const { length } = this.chart().clients;
    if (length === 0) return $localize`All its versions go.`;
    const clients =
      length === 1
        ? $localize`Its client keeps its chart and comes from it no longer.`
        : $localize`Its ${length} clients keep their charts and come from it no longer.`;
    return $localize`All its versions go. ${clients}`;
  });

  protected rename(typed: string): void {
    const name = typed.trim();
    if (name === this.chart().name || name === '') return this.renaming.set(false);
    this.do(this.api.ask('renameKeptChart', { keptChartId: this.chart().id, body: { name } }));
  }

  protected remove(): void {
    this.do(this.api.ask('removeKeptChart', { keptChartId: this.chart().id }));
  }

  protected moment(text: string): string {
    return momentWords(text);
  }

  protected driftWords({ added, changed, gone }: Listed['clients'][number]['drift']): string {
    const parts = [
      ...(added > 0 ? [`${added} added`] : []),
      ...(changed > 0 ? [`${changed} changed`] : []),
      ...(gone > 0 ? [`${gone} gone`] : []),
    ];
    return parts.length === 0
      ? $localize`As the version is`
      : $localize`Has moved from it: ${parts.join(', ')}`;
  }

  private do(work: Observable<unknown>): void {
    this.problem.set(null);
    work.subscribe({
      next: () => {
        this.renaming.set(false);
        this.removing.set(false);
        this.changed.emit();
      },
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }
}
