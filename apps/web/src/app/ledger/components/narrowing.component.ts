import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { ENTRY_SOURCES, type EntrySource } from '@iunctus/core';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { SOURCE_WORDS } from '../../shared/words/choice-words';
import { BooksReader } from '../../workspace/model/books-reader';

/** By what entries and lines are narrowed down; days are inclusive, empty for none. */
export interface Narrowing {
  readonly first: string;
  readonly last: string;
  readonly source: EntrySource | '';
  readonly text: string;
}

export const WHATEVER: Narrowing = { first: '', last: '', source: '', text: '' };

/** The same as it is asked for. */
export const askedBy = ({ first, last, source, text }: Narrowing) => ({
  first: first === '' ? null : first,
  last: last === '' ? null : last,
  source: source === '' ? null : source,
  text,
});

/** Fields that narrow a list of entries or lines down. */
@Component({
  selector: 'iu-narrowing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent, TextFieldComponent, WhenFieldComponent],
  template: `
    <iu-text-field
      class="text-field"
      i18n-label
      label="Words, amount or number"
      [most]="120"
      [value]="narrowing().text"
      (changed)="change({ text: $event })"
    />
    <iu-pick
      class="source"
      labelled
      i18n-label
      label="Source"
      [options]="sources"
      [picked]="narrowing().source"
      (chosen)="change({ source: $event })"
    />
    <iu-when-field
      class="day"
      labelled
      i18n-label
      label="From"
      unit="day"
      [order]="reader.order()"
      [value]="narrowing().first"
      (changed)="changeDay('first', $event)"
    />
    <iu-when-field
      class="day"
      labelled
      i18n-label
      label="To"
      unit="day"
      [order]="reader.order()"
      [value]="narrowing().last"
      (changed)="changeDay('last', $event)"
    />
  `,
  styles: `
    :host {
      display: flex;
      align-items: end;
      flex-wrap: wrap;
      gap: 12px;
    }
    .text-field {
      width: 230px;
    }
    .source {
      width: 150px;
    }
    .day {
      width: 128px;
    }
  `,
})
export class NarrowingComponent {
  protected readonly reader = inject(BooksReader);
  readonly narrowing = input.required<Narrowing>();
  readonly changed = output<Narrowing>();

  protected readonly sources: readonly PickOption<EntrySource | ''>[] = [
    { value: '', words: $localize`Any` },
    ...ENTRY_SOURCES.map((value) => ({ value, words: SOURCE_WORDS[value] })),
  ];

  protected change(change: Partial<Narrowing>): void {
    this.changed.emit({ ...this.narrowing(), ...change });
  }

  /** What cannot be read as a day yet changes nothing. */
  protected changeDay(end: 'first' | 'last', day: string | null): void {
    if (day !== null) this.change({ [end]: day });
  }
}
