import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ConnectionService, type Trouble } from '../api/connection.service';

const WORDS: Readonly<Record<Trouble, string>> = {
  unreachable: $localize`The server cannot be reached.`,
  unavailable: $localize`The server cannot reach its database.`,
  busy: $localize`The server is busy with others.`,
};

/** Says, above everything, that requests wait for the server to come back. */
@Component({
  selector: 'iu-connection-note',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (words(); as said) {
      <p i18n role="status">
        {{ said }} Trying again by itself; what you did here is kept until then.
      </p>
    }
  `,
  styles: `
    p {
      position: fixed;
      z-index: 1200;
      top: 8px;
      left: 50%;
      padding: 7px 16px;
      transform: translateX(-50%);
      border: 1px solid var(--bad);
      border-radius: 7px;
      background: var(--sheet);
      box-shadow: var(--lift);
      color: var(--bad);
      font-weight: 600;
      white-space: nowrap;
    }
    @media print {
      p {
        display: none;
      }
    }
  `,
})
export class ConnectionNoteComponent {
  private readonly trouble = inject(ConnectionService).trouble;
  protected readonly words = computed(() => {
    const trouble = this.trouble();
    return trouble === null ? null : WORDS[trouble];
  });
}
