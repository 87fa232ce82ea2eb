import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import type { ClientAnswer } from '@iunctus/contract';
import { titleOf } from '@iunctus/core';
import { debounceTime } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { clientsCalled, stepTo, type Place } from '../model/found-places';

/** How long typing may pause before it is looked for. */
const PAUSE = 180;

/** Looks for a client, or for an account in the charts of all clients, and goes there: by mouse, or by keys alone. */
@Component({
  selector: 'iu-find-account',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReadingNoteComponent, RouterLink],
  template: `
    <label class="field">
      <span i18n>Find a client, or an account of any <kbd>Ctrl K</kbd></span>
      <input
        #field
        class="text"
        type="search"
        autocomplete="off"
        maxlength="80"
        placeholder="cider works, rent, 6110 …"
        i18n-placeholder
        [value]="words()"
        (input)="type($any($event.target).value)"
        (keydown.enter)="goToFirst()"
        (keydown.escape)="type('')"
      />
    </label>
    @if (words().trim() !== '') {
      <iu-reading-note [of]="found" />
      <ul aria-live="polite">
        @for (place of places(); track place.id) {
          <li>
            <a [routerLink]="place.link" [queryParams]="place.query" (keydown.escape)="leave()">{{
              place.title
            }}</a>
            <span class="muted">{{ place.of }}</span>
          </li>
        } @empty {
          @if (!found.loading() && found.value() !== null) {
            <li i18n class="muted">No client is called that, and none has such an account.</li>
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
  host: {
    '(window:keydown)': 'comeHere($event)',
    '(keydown.arrowdown)': 'step($event, 1)',
    '(keydown.arrowup)': 'step($event, -1)',
  },
})
export class FindAccountComponent {
  private readonly api = inject(ApiService);
  private readonly router = inject(Router);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  /** The clients that may be looked for, those that were put away too. */
  readonly clients = input.required<readonly ClientAnswer[]>();
  protected readonly words = signal('');
  /** Whether the first place is gone to as soon as it is known. */
  private readonly wanted = signal(false);
  private readonly asked = toSignal(toObservable(this.words).pipe(debounceTime(PAUSE)), {
    initialValue: '',
  });
  protected readonly found = reading(
    () => (this.asked().trim() === '' ? undefined : this.asked().trim()),
    (words) => this.api.ask('findAccounts', { query: { words } }),
  );
  private readonly called = computed(() => clientsCalled(this.clients(), this.words()));
  /** Whether the accounts are those of the words that stand there, and not of some before. */
  private readonly settled = computed(() => this.asked() === this.words() && !this.found.loading());
  protected readonly places = computed<readonly Place[]>(() => [
    ...this.called(),
    ...(this.found.value() ?? []).map((account): Place => ({
      id: account.accountId,
      title: titleOf(account),
      of: account.client,
      link: ['/clients', account.clientId, 'chart'],
      query: { account: account.accountId },
    })),
  ]);

  constructor() {
    effect(() => {
      const [first] = this.settled() ? this.places() : this.called();
      if (this.wanted() && first !== undefined) this.goTo(first);
    });
  }

  protected type(words: string): void {
    this.wanted.set(false);
    this.words.set(words);
  }

  protected goToFirst(): void {
    this.wanted.set(this.words().trim() !== '');
  }

  private goTo({ link, query }: Place): void {
    this.wanted.set(false);
    void this.router.navigate([...link], { queryParams: query });
  }

  protected comeHere(event: KeyboardEvent): void {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
    event.preventDefault();
    this.field().nativeElement.select();
  }

  protected leave(): void {
    this.type('');
    this.field().nativeElement.focus();
  }

  protected step(event: Event, by: number): void {
    const stops = [...this.host.querySelectorAll<HTMLElement>('input, li a')];
    const to = stepTo(stops, document.activeElement, by);
    if (to === undefined) return;
    event.preventDefault();
    to.focus();
  }
}
