import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import {
  ActivatedRoute,
  Router,
  RouterLink,
  RouterLinkActive,
  RouterOutlet,
} from '@angular/router';
import { Rights } from '../../session/state/rights';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { BooksReader } from '../../workspace/model/books-reader';

/** The ledger of a client: its journal, its accounts line by line, and what is posted to them. */
@Component({
  selector: 'iu-ledger-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, RouterLinkActive, RouterOutlet],
  providers: [BooksReader],
  template: `
    <main>
      <header>
        <h1 i18n>Ledger</h1>
        <nav i18n-aria-label aria-label="Of the ledger">
          <a i18n routerLink="journal" routerLinkActive="on">Journal</a>
          <a i18n routerLink="register" routerLinkActive="on">Register</a>
          <a i18n routerLink="standing" routerLinkActive="on">Standing entries</a>
          <a i18n routerLink="openings" routerLinkActive="on">Opening balances</a>
          <a i18n routerLink="open-items" routerLinkActive="on">Open items</a>
          <a i18n routerLink="locks" routerLinkActive="on">Locks</a>
        </nav>
        @if (rights.may('post') && proposed.ready()) {
          <a i18n class="button end" routerLink="new">New entry <kbd>N</kbd></a>
        }
      </header>
      @if (proposed.ready()) {
        <router-outlet />
      } @else if (proposed.client(); as client) {
        <p i18n class="none">
          {{ client.name }} has no chart yet; entries need accounts to stand on.
          <a class="button small" routerLink="../start">Start a chart</a>
        </p>
      }
    </main>
  `,
  styleUrl: '../../shared/components/place.css',
  host: { '(window:keydown)': 'onKey($event)' },
})
export class LedgerPage {
  protected readonly rights = inject(Rights);
  protected readonly proposed = inject(ProposedChart);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);

  /** N begins a new entry, wherever nothing is being typed. */
  protected onKey(event: KeyboardEvent): void {
    const isTyping = event.target instanceof Element && event.target.matches('input, textarea');
    if (event.key !== 'n' || event.ctrlKey || event.altKey || event.metaKey || isTyping) return;
    if (!this.rights.may('post')) return;
    event.preventDefault();
    void this.router.navigate(['new'], { relativeTo: this.route });
  }
}
