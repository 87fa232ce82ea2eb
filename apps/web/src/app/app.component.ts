import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import {
  ArrowLeftRight,
  Hash,
  History,
  ListTree,
  LucideAngularModule,
  Users,
} from 'lucide-angular';
import { filter, map } from 'rxjs';
import { ThemeService } from './shared/theme/theme.service';

/** The frame: the rail of places, and the place that is open. */
@Component({
  selector: 'iu-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LucideAngularModule, RouterLink, RouterLinkActive, RouterOutlet],
  templateUrl: './app.component.html',
  styleUrl: './app.component.css',
})
export class AppComponent {
  private readonly router = inject(Router);
  protected readonly theme = inject(ThemeService);
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map((event) => event.urlAfterRedirects),
    ),
    { initialValue: '' },
  );
  protected readonly framed = computed(() => /^\/(clients|starting-charts)/.test(this.url()));
  protected readonly clientId = computed(() => /^\/clients\/([^/]+)/.exec(this.url())?.[1] ?? null);
  protected readonly icons = {
    clients: Users,
    chart: ListTree,
    numbers: Hash,
    exchange: ArrowLeftRight,
    history: History,
  };
}
