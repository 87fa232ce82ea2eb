import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import type { KeptChartsAnswer } from '@iunctus/contract';
import { catchError, map, of } from 'rxjs';
import { UserMenuComponent } from '../../session/pages/user-menu.component';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { momentWords } from '../../shared/words/period-words';

type Listed = KeptChartsAnswer[number];

interface Loaded {
  readonly charts: KeptChartsAnswer | null;
  readonly problem: ApiProblem | null;
}

/** The practice's own starting charts: their versions, who began from them, and how far they have moved. */
@Component({
  selector: 'iu-kept-charts-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent, RouterLink, UserMenuComponent],
  template: `
    <div class="head"><iu-user-menu /></div>
    <main class="page">
      <header>
        <div>
          <h1>The practice’s starting charts</h1>
          <p class="muted">
            Any client’s chart can be kept as one, under Exchange. Clients begin from it; a newer
            version is brought to them as a proposal.
          </p>
        </div>
        <a class="button end" routerLink="/clients">All clients</a>
      </header>
      @if (loaded().problem; as problem) {
        <iu-problem-note [problem]="problem" />
      } @else if (loaded().charts; as charts) {
        @for (chart of charts; track chart.id) {
          <section [attr.aria-label]="chart.name">
            <h2>{{ chart.name }}</h2>
            <div class="columns">
              <div>
                <h3>Versions</h3>
                <ol reversed [attr.aria-label]="'Versions of ' + chart.name">
                  @for (version of chart.versions; track version.number) {
                    <li>
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
                <h3>Clients that began from it</h3>
                <ul [attr.aria-label]="'Clients that began from ' + chart.name">
                  @for (client of chart.clients; track client.id) {
                    <li>
                      <a [routerLink]="['/clients', client.id, 'start']">{{ client.name }}</a>
                      version {{ client.version }}
                      @if (client.version < (chart.versions[0]?.number ?? 0)) {
                        <span class="chip">older</span>
                      }
                      <p class="muted">{{ driftWords(client.drift) }}</p>
                    </li>
                  }
                </ul>
              </div>
            </div>
          </section>
        } @empty {
          <p>
            None is kept yet. Open a client whose chart is as you like it, go to Exchange, and keep
            it.
          </p>
        }
      }
    </main>
  `,
  styles: `
    .head {
      display: flex;
      align-items: center;
      justify-content: flex-end;
      height: 52px;
      padding: 0 18px;
      border-bottom: 1px solid var(--rule);
      background: var(--sheet);
    }
    section {
      margin-bottom: 18px;
      padding: 16px 20px 20px;
      border: 1px solid var(--rule);
      background: var(--sheet);
      box-shadow: var(--lift);
    }
    h2 {
      margin-bottom: 12px;
      font-size: 18px;
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
export class KeptChartsPage {
  protected readonly loaded = toSignal(
    inject(ApiService)
      .keptCharts()
      .pipe(
        map((charts): Loaded => ({ charts, problem: null })),
        catchError((error: unknown) => of<Loaded>({ charts: null, problem: problemOf(error) })),
      ),
    { initialValue: { charts: null, problem: null } satisfies Loaded as Loaded },
  );

  protected moment(text: string): string {
    return momentWords(text);
  }

  protected driftWords({ added, changed, gone }: Listed['clients'][number]['drift']): string {
    const parts = [
      ...(added > 0 ? [`${added} added`] : []),
      ...(changed > 0 ? [`${changed} changed`] : []),
      ...(gone > 0 ? [`${gone} gone`] : []),
    ];
    return parts.length === 0 ? 'As the version is' : `Has moved from it: ${parts.join(', ')}`;
  }
}
