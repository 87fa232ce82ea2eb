import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { FocusFirstDirective } from './focus-first.directive';

/** A list that was chosen, dropped or pasted. */
export interface ChosenSource {
  readonly name: string;
  readonly blob: Blob;
}

/** Choosing what is brought in: a file, or rows copied from elsewhere. */
@Component({
  selector: 'iu-source-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective],
  template: `
    <div
      class="drop"
      [class.over]="over()"
      role="group"
      i18n-aria-label
      aria-label="File"
      (dragover)="onDrag($event, true)"
      (dragleave)="onDrag($event, false)"
      (drop)="onDrop($event)"
    >
      <p i18n class="lead">Drop a file here</p>
      <button i18n class="button primary" type="button" iuFocusFirst (click)="picker.click()">
        Choose a file
      </button>
      <input
        #picker
        type="file"
        class="visually-hidden"
        tabindex="-1"
        i18n-aria-label
        aria-label="File to bring in"
        [accept]="accept()"
        (change)="onPick(picker)"
      />
      <p class="muted">{{ takes() }}</p>
    </div>
    <div class="paste">
      <label for="pasted">{{ pastes() }}</label>
      <textarea
        id="pasted"
        class="text"
        rows="9"
        wrap="off"
        spellcheck="false"
        [value]="pasted()"
        (input)="onPaste($event)"
      ></textarea>
      <div>
        <button
          i18n
          class="button"
          type="button"
          [disabled]="pasted().trim() === ''"
          (click)="takePasted()"
        >
          Read these rows
        </button>
      </div>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 24px;
    }
    .drop {
      display: grid;
      place-content: center;
      justify-items: center;
      gap: 14px;
      padding: 28px;
      border: 1.5px dashed var(--ink-3);
      border-radius: 10px;
      background: var(--sheet);
      text-align: center;
    }
    .over {
      border-color: var(--plum-2);
      background: var(--plum-wash);
    }
    .lead {
      font: 600 19px var(--serif);
    }
    .drop .muted {
      max-width: 340px;
    }
    .paste {
      display: grid;
      gap: 8px;
    }
    label {
      font-weight: 600;
    }
    textarea {
      resize: vertical;
      tab-size: 16;
    }
  `,
})
export class SourceChoiceComponent {
  /** What sorts of file are taken, in words and by their endings. */
  readonly takes = input.required<string>();
  readonly accept = input.required<string>();
  /** What asks for rows to be pasted. */
  readonly pastes = input($localize`Or paste rows from a spreadsheet`);
  readonly chosen = output<ChosenSource>();
  protected readonly over = signal(false);
  protected readonly pasted = signal('');

  protected onDrag(event: DragEvent, over: boolean): void {
    event.preventDefault();
    this.over.set(over);
  }

  protected onDrop(event: DragEvent): void {
    this.onDrag(event, false);
    this.take(event.dataTransfer?.files[0]);
  }

  protected onPick(picker: HTMLInputElement): void {
    this.take(picker.files?.[0]);
    picker.value = '';
  }

  protected onPaste(event: Event): void {
    this.pasted.set((event.target as HTMLTextAreaElement).value);
  }

  protected takePasted(): void {
    this.chosen.emit({ name: $localize`Pasted rows`, blob: new Blob([this.pasted()]) });
  }

  private take(file: File | undefined): void {
    if (file !== undefined) this.chosen.emit({ name: file.name, blob: file });
  }
}
