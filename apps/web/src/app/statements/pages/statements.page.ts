import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { SHEET_CODES } from '@iunctus/core';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ClientLayouts } from '../model/client-layouts';
import { terms } from '../../shared/words/terms';

/** Every statement of a client, as it will be handed over. */
@Component({
  selector: 'iu-statements-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReadingNoteComponent, RouterLink, RouterLinkActive, RouterOutlet],
  providers: [ClientLayouts],
  template: `
    <main>
      <h1 i18n class="visually-hidden">Statements</h1>
      @if (proposed.ready()) {
        <nav i18n-aria-label aria-label="Statements">
          <h2 i18n>From the chart</h2>
          @for (sheet of sheets(); track sheet.code) {
            <a
              [routerLink]="[sheet.code]"
              [queryParamsHandling]="'preserve'"
              routerLinkActive="on"
              [ariaCurrentWhenActive]="'page'"
              >{{ sheet.words }}</a
            >
          }
          <a i18n routerLink="budget" routerLinkActive="on" [ariaCurrentWhenActive]="'page'"
            >Budget</a
          >
          <h2 i18n class="next">Laid out by hand</h2>
          <iu-reading-note [of]="layouts.read" />
          @for (one of layouts.all(); track one.id) {
            <a
              class="own"
              dir="auto"
              [routerLink]="['own', one.id]"
              routerLinkActive="on"
              [ariaCurrentWhenActive]="'page'"
              [title]="one.layout.name"
              >{{ one.layout.name }}</a
            >
          } @empty {
            <p i18n class="muted">
              “Own layout”, on the profit and loss or the balance sheet, begins one.
            </p>
          }
          <h2 i18n class="next">Together</h2>
          <a
            i18n
            routerLink="packet"
            [queryParamsHandling]="'preserve'"
            routerLinkActive="on"
            [ariaCurrentWhenActive]="'page'"
            >A packet</a
          >
        </nav>
        <div class="sheet"><router-outlet /></div>
      } @else if (proposed.client(); as client) {
        <p i18n class="none">
          {{ client.name }} has no chart yet; statements are made of its accounts.
          <a class="button small" routerLink="../start">Start a chart</a>
        </p>
      }
    </main>
  `,
  styles: `
    :host {
      display: block;
      min-height: 0;
      overflow: hidden;
    }
    main {
      display: grid;
      grid-template-columns: 186px minmax(0, 1fr);
      height: 100%;
      min-height: 0;
    }
    nav {
      display: flex;
      flex-direction: column;
      gap: 1px;
      overflow: auto;
      padding: 14px 0;
      border-right: 1px solid var(--rule);
    }
    h2 {
      padding: 0 18px 6px;
      font-size: 15px;
    }
    .next {
      margin-top: 12px;
      padding-top: 14px;
      border-top: 1px solid var(--rule);
    }
    nav a {
      padding: 5px 18px;
      color: var(--ink-2);
      text-decoration: none;
    }
    nav p {
      margin: 0;
      padding: 0 18px;
      font-size: 12px;
    }
    .own {
      overflow: hidden;
      flex: none;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    nav a:hover {
      color: var(--ink);
    }
    nav a.on {
      background: var(--plum-wash);
      color: var(--plum-ink);
      font-weight: 650;
    }
    .sheet {
      display: flex;
      min-width: 0;
      min-height: 0;
    }
    .none {
      grid-column: 1 / -1;
      margin: 60px auto;
    }
    @media screen and (max-width: 860px) {
      main {
        grid-template-rows: auto minmax(0, 1fr);
        grid-template-columns: minmax(0, 1fr);
      }
      nav {
        flex-direction: row;
        padding: 4px 8px;
        border-right: 0;
        border-bottom: 1px solid var(--rule);
      }
      nav a {
        padding: 5px 8px;
        white-space: nowrap;
      }
      h2,
      nav p {
        display: none;
      }
    }
  `,
})
export class StatementsPage {
  protected readonly proposed = inject(ProposedChart);
  protected readonly layouts = inject(ClientLayouts);
  protected readonly sheets = computed(() =>
    SHEET_CODES.map((code) => ({ code, words: terms().sheets[code] })),
  );
}
