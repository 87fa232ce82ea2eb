import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { SOURCE_WORDS } from '../../shared/words/choice-words';
import { dateWords } from '../../shared/words/period-words';
import { PostedEntryComponent } from '../components/posted-entry.component';

/** One posted entry. */
@Component({
  selector: 'iu-entry-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PostedEntryComponent, ReadingNoteComponent, RouterLink],
  template: `
    <a i18n class="muted" routerLink="../../journal">Journal</a>
    <iu-reading-note [of]="found" />
    @if (found.value(); as entry) {
      <h2 i18n>Entry {{ entry.number }}, {{ day(entry.date) }}</h2>
      <p>
        <span class="muted">{{ sources[entry.source] }}</span>
        @if (entry.comment !== '') {
          · <span dir="auto">{{ entry.comment }}</span>
        }
      </p>
      <iu-posted-entry
        class="sheet"
        [entry]="entry"
        (takenBack)="show($event)"
        (correcting)="correct()"
      />
    }
  `,
  styles: `
    :host {
      display: grid;
      justify-items: start;
      gap: 8px;
      max-width: 980px;
    }
    h2 {
      font-size: 19px;
    }
    .sheet {
      width: 100%;
      padding: 14px 16px;
      border: 1px solid var(--rule);
      background: var(--sheet);
      box-shadow: var(--lift);
    }
  `,
})
export class EntryPage {
  private readonly api = inject(ApiService);
  private readonly router = inject(Router);
  readonly clientId = input.required<string>();
  readonly entryId = input.required<string>();
  protected readonly sources = SOURCE_WORDS;
  protected readonly day = dateWords;

  protected readonly found = reading(
    () => ({ clientId: this.clientId(), entryId: this.entryId() }),
    (asked) => this.api.ask('entry', asked),
  );

  protected show(entryId: string): void {
    void this.router.navigate(['/clients', this.clientId(), 'ledger', 'entries', entryId]);
  }

  protected correct(): void {
    void this.router.navigate(
      ['/clients', this.clientId(), 'ledger', 'typing', crypto.randomUUID()],
      { queryParams: { corrects: this.entryId() } },
    );
  }
}
