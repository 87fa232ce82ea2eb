import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { titleOf } from '@iunctus/core';
import { debounceTime } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';

/** How long typing may pause before it is looked for. */
const PAUSE = 180;

/** Looks for an account in the charts of all clients, and goes to it. */
@Component({
  selector: 'iu-find-account',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReadingNoteComponent, RouterLink],
  template: `
    <label class="field">
      <span i18n>Find an account of any client</span>
      <input
        class="text"
        type="search"
        autocomplete="off"
        maxlength="80"
        placeholder="rent, 6110 …"
        i18n-placeholder
        [value]="words()"
        (input)="words.set($any($event.target).value)"
        (keydown.escape)="words.set('')"
      />
    </label>
    @if (words().trim() !== '') {
      <iu-reading-note [of]="found" />
      <ul aria-live="polite">
        @for (one of accounts(); track one.accountId) {
          <li>
            <a
              [routerLink]="['/clients', one.clientId, 'chart']"
              [queryParams]="{ account: one.accountId }"
              >{{ called(one) }}</a
            >
            <span class="muted">{{ one.client }}</span>
          </li>
        } @empty {
          @if (!found.loading() && found.value() !== null) {
            <li i18n class="muted">No client has an account with these words.</li>
          }
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: block;
      margin: 0 0 16px;
    }
    label {
      max-width: 380px;
    }
    ul {
      overflow: auto;
      max-width: 620px;
      max-height: 300px;
      margin: 6px 0 0;
      padding: 6px 14px;
      border: 1px solid var(--rule);
      border-radius: 3px;
      background: var(--sheet);
      list-style: none;
    }
    li {
      display: flex;
      gap: 12px;
      padding: 4px 0;
    }
  `,
})
export class FindAccountComponent {
  private readonly api = inject(ApiService);
  protected readonly words = signal('');
  private readonly asked = toSignal(toObservable(this.words).pipe(debounceTime(PAUSE)), {
    initialValue: '',
  });
  protected readonly found = reading(
    () => (this.asked().trim() === '' ? undefined : this.asked().trim()),
    (words) => this.api.ask('findAccounts', { query: { words } }),
  );
  protected readonly accounts = computed(() => this.found.value() ?? []);

  protected called(account: { readonly number: string | null; readonly name: string }): string {
    return titleOf(account);
  }
}
