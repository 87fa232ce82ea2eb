import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import {
  ArrowLeftRight,
  BookOpenText,
  Building2,
  ChartColumn,
  Hash,
  History,
  ListChecks,
  ListTree,
  LucideAngularModule,
  ReceiptText,
  Signpost,
  Users,
} from 'lucide-angular';
import { filter, map } from 'rxjs';
import { Rights } from './session/state/rights';
import { ConnectionNoteComponent } from './shared/components/connection-note.component';
import { ThemeService } from './shared/theme/theme.service';

/** The frame: the rail of places, and the place that is open. */
@Component({
  selector: 'iu-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ConnectionNoteComponent,
    LucideAngularModule,
    RouterLink,
    RouterLinkActive,
    RouterOutlet,
  ],
  templateUrl: './app.component.html',
  styleUrl: './app.component.css',
})
export class AppComponent {
  private readonly router = inject(Router);
  protected readonly theme = inject(ThemeService);
  protected readonly rights = inject(Rights);
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map((event) => event.urlAfterRedirects),
    ),
    { initialValue: '' },
  );
  protected readonly framed = computed(
    () =>
      this.rights.may('readAll') && /^\/(clients|starting-charts|people|account)/.test(this.url()),
  );
  protected readonly clientId = computed(() => /^\/clients\/([^/]+)/.exec(this.url())?.[1] ?? null);
  protected readonly icons = {
    clients: Building2,
    people: Users,
    front: ChartColumn,
    chart: ListTree,
    numbers: Hash,
    tidy: ListChecks,
    statements: ReceiptText,
    ledger: BookOpenText,
    routes: Signpost,
    exchange: ArrowLeftRight,
    history: History,
  };
}
