import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { RouterLink } from '@angular/router';
import { Popover } from 'primeng/popover';
import { ThemeService } from '../../shared/theme/theme.service';
import { SessionPageActions } from '../state/session.actions';
import { sessionFeature } from '../state/session.feature';

/** Who is signed in; theme and sign-out. */
@Component({
  selector: 'iu-user-menu',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Popover, RouterLink],
  template: `
    @if (session(); as found) {
      <button
        class="round"
        type="button"
        aria-haspopup="menu"
        [attr.aria-label]="found.user.name"
        (click)="panel.toggle($event)"
      >
        {{ initials() }}
      </button>
      <p-popover #panel>
        <div class="panel">
          <p>
            <strong>{{ found.user.name }}</strong><br /><span class="muted">{{
              found.practice.name
            }}</span>
          </p>
          <a class="button quiet" routerLink="/account">Password and sign-ins</a>
          <button class="button quiet" type="button" (click)="theme.toggle()">
            {{ theme.dark() ? 'Light paper' : 'Dark paper' }}
          </button>
          <button class="button quiet" type="button" (click)="signOut()">Sign out</button>
        </div>
      </p-popover>
    }
  `,
  styles: `
    .round {
      width: 34px;
      height: 34px;
      border: 1px solid var(--rule);
      border-radius: 50%;
      background: var(--field);
      color: var(--ink);
      font: 700 12px var(--sans);
      cursor: pointer;
    }
    .panel {
      display: grid;
      gap: 4px;
      min-width: 190px;
    }
    .panel p {
      padding: 4px 13px 8px;
    }
  `,
})
export class UserMenuComponent {
  private readonly store = inject(Store);
  protected readonly theme = inject(ThemeService);
  protected readonly session = this.store.selectSignal(sessionFeature.selectSession);
  protected readonly initials = computed(() =>
    (this.session()?.user.name ?? '')
      .split(' ')
      .map((word) => word.charAt(0))
      .join('')
      .slice(0, 2),
  );

  protected signOut(): void {
    this.store.dispatch(SessionPageActions.signOutRequested());
  }
}
