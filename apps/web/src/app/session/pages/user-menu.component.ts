import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { RouterLink } from '@angular/router';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { PopoverDirective } from '../../shared/components/popover.directive';
import { Keepsakes } from '../../shared/keeping/keepsakes.service';
import { ThemeService } from '../../shared/theme/theme.service';
import { plain, togglePlain } from '../../shared/words/terms';
import { SessionPageActions } from '../state/session.actions';
import { sessionFeature } from '../state/session.feature';

/** Who is signed in; theme and sign-out. */
@Component({
  selector: 'iu-user-menu',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective, PopoverDirective, RouterLink],
  template: `
    @if (session(); as found) {
      <button #anchor class="round" type="button" popovertarget="user-panel">
        {{ initials() }}<span class="visually-hidden">, {{ found.user.name }}</span>
      </button>
      <div id="user-panel" [iuPopover]="anchor" role="dialog" [attr.aria-label]="found.user.name">
        <div class="panel">
          <p>
            <strong>{{ found.user.name }}</strong><br /><span class="muted">{{
              found.practice.name
            }}</span>
          </p>
          <a i18n class="button quiet" routerLink="/account">Password and sign-ins</a>
          <button i18n class="button quiet" type="button" (click)="theme.toggle()">
            @if (theme.dark()) {
              Light paper
            } @else {
              Dark paper
            }
          </button>
          <button
            i18n
            class="button quiet"
            type="button"
            [attr.aria-pressed]="plain()"
            (click)="togglePlain()"
          >
            @if (plain()) {
              The ledger’s words
            } @else {
              Plain words
            }
          </button>
          @if (kept() > 0) {
            <p i18n role="alert">
              Not all that was typed here is with the server yet. It can stay in this browser until
              you sign in here again.
            </p>
            <button i18n class="button" type="button" iuFocusFirst (click)="leave()">
              Sign out and keep it here
            </button>
            <button i18n class="button quiet" type="button" (click)="discardAndLeave()">
              Sign out and discard it
            </button>
          } @else {
            <button i18n class="button quiet" type="button" (click)="signOut()">Sign out</button>
          }
        </div>
      </div>
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
      max-width: 300px;
    }
    .panel p {
      padding: 4px 13px 8px;
    }
  `,
})
export class UserMenuComponent {
  private readonly store = inject(Store);
  private readonly keepsakes = inject(Keepsakes);
  protected readonly theme = inject(ThemeService);
  protected readonly plain = plain;
  protected readonly togglePlain = togglePlain;
  protected readonly session = this.store.selectSignal(sessionFeature.selectSession);
  protected readonly initials = computed(() =>
    (this.session()?.user.name ?? '')
      .split(' ')
      .map((word) => word.charAt(0))
      .join('')
      .slice(0, 2),
  );

  /** How many things are kept in this browser alone; asked when signing out. */
  protected readonly kept = signal(0);

  protected async signOut(): Promise<void> {
    this.kept.set((await this.keptKeys()).length);
    if (this.kept() === 0) this.leave();
  }

  protected leave(): void {
    this.store.dispatch(SessionPageActions.signOutRequested());
  }

  protected async discardAndLeave(): Promise<void> {
    for (const key of await this.keptKeys()) await this.keepsakes.remove(key);
    this.leave();
  }

  private keptKeys(): Promise<readonly string[]> {
    return this.keepsakes.keys(`${this.session()?.user.id ?? ''}/`);
  }
}
