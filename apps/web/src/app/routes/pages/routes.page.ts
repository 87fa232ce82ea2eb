import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ProposedChart } from '../../workspace/model/proposed-chart';

/** What leads amounts to accounts: defaults and rules, the lines that go through them, and the proofs that they land right. */
@Component({
  selector: 'iu-routes-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReadingNoteComponent, RouterLink, RouterLinkActive, RouterOutlet],
  providers: [BooksReader],
  template: `
    <main>
      <header>
        <h1 i18n>Routes</h1>
        <nav i18n-aria-label aria-label="Of the routes">
          <a i18n routerLink="defaults" routerLinkActive="on">Default accounts</a>
          <a i18n routerLink="rules" routerLinkActive="on">Word rules</a>
          <a i18n routerLink="lines" routerLinkActive="on">Bank lines</a>
          <a i18n routerLink="payouts" routerLinkActive="on">Payouts</a>
          <a i18n routerLink="proofs" routerLinkActive="on">Proofs</a>
          <a i18n routerLink="trace" routerLinkActive="on">Trace</a>
        </nav>
      </header>
      @if (proposed.ready()) {
        <iu-reading-note [of]="routes.reading" />
        @if (routes.reading.value() !== null) {
          <router-outlet />
        }
      } @else if (proposed.client(); as client) {
        <p i18n class="none">
          {{ client.name }} has no chart yet; routes need accounts to lead to.
          <a class="button small" routerLink="../start">Start a chart</a>
        </p>
      }
    </main>
  `,
  styleUrl: '../../shared/components/place.css',
})
export class RoutesPage {
  protected readonly proposed = inject(ProposedChart);
  protected readonly routes = inject(ClientRoutes);
}
