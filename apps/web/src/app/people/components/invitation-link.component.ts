import { DOCUMENT } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';

/** Where somebody sets their password: told once, to be handed to them. */
@Component({
  selector: 'iu-invitation-link',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section i18n-aria-label aria-label="Link">
      <p i18n>
        <strong>Hand this link to {{ name() }}.</strong> With it they set a password and sign in. It
        is shown this once, works once, and ends on {{ until() }}.
      </p>
      <div class="row">
        <input
          class="text"
          readonly
          i18n-aria-label
          aria-label="Link"
          [value]="address()"
          (focus)="$any($event.target).select()"
        />
        <button i18n class="button" type="button" (click)="copy()">
          @if (copied()) {
            Copied
          } @else {
            Copy
          }
        </button>
      </div>
    </section>
  `,
  styles: `
    section {
      margin-bottom: 8px;
      padding: 14px 18px;
      border-left: 3px solid var(--good);
      background: var(--good-wash);
    }
    .row {
      display: flex;
      gap: 8px;
      margin-top: 8px;
    }
    input {
      flex: 1;
    }
  `,
})
export class InvitationLinkComponent {
  private readonly document = inject(DOCUMENT);
  readonly name = input.required<string>();
  readonly token = input.required<string>();
  readonly until = input.required<string>();
  protected readonly copied = signal(false);
  protected readonly address = computed(
    () => `${this.document.location.origin}/welcome#${this.token()}`,
  );

  protected copy(): void {
    void navigator.clipboard.writeText(this.address()).then(() => this.copied.set(true));
  }
}
