import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  output,
  untracked,
} from '@angular/core';
import {
  formatAmount,
  LINE_SOURCES,
  parseAmount,
  PURPOSE_CODES,
  ROUTE_LIMITS,
  type Chart,
  type LineSource,
  type Minor,
  type Purpose,
  type Sample,
} from '@iunctus/core';
import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { LINE_SOURCE_WORDS, PURPOSE_WORDS } from '../../shared/words/route-words';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';

/** What stands for nobody in particular. */
const ANYBODY = '';

/** A sample transaction as it is typed: a line of a bank, something of a purpose, or an account by itself. */
@Component({
  selector: 'iu-sample-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, OneOfComponent, PickComponent, TextFieldComponent],
  templateUrl: './sample-form.component.html',
  styles: `
    :host {
      display: flex;
      align-items: end;
      gap: 14px;
      flex-wrap: wrap;
    }
    .text {
      flex: 1;
      min-width: 220px;
    }
    .amount {
      width: 120px;
    }
    .pick {
      width: 270px;
    }
  `,
})
export class SampleFormComponent {
  private readonly reader = inject(BooksReader);
  private readonly client = inject(ClientRoutes);
  readonly chart = input.required<Chart>();
  /** What it begins with; `null` for nothing. */
  readonly sample = input.required<Sample | null>();
  /** What is typed; `null` while it says too little. */
  readonly changed = output<Sample | null>();

  protected readonly most = ROUTE_LIMITS.words;
  protected readonly ways: readonly OneOf<Sample['by']>[] = [
    { value: 'line', words: $localize`A bank line` },
    { value: 'purpose', words: $localize`By purpose` },
    { value: 'account', words: $localize`An account` },
  ];
  protected readonly sources: readonly OneOf<LineSource>[] = LINE_SOURCES.map((value) => ({
    value,
    words: LINE_SOURCE_WORDS[value],
  }));
  protected readonly purposes: readonly PickOption<Purpose>[] = PURPOSE_CODES.map((value) => ({
    value,
    words: PURPOSE_WORDS[value],
  }));
  protected readonly parties = computed<readonly PickOption[]>(() => [
    { value: ANYBODY, words: $localize`anybody` },
    ...this.client.routes().parties.map(({ id, content }) => ({ value: id, words: content.name })),
  ]);

  protected readonly by = linkedSignal<Sample['by']>(() => this.sample()?.by ?? 'line');
  private readonly line = computed(() => {
    const sample = this.sample();
    return sample?.by === 'line' ? sample : null;
  });
  protected readonly text = linkedSignal(() => this.line()?.text ?? '');
  protected readonly amount = linkedSignal(() => this.written(this.line()?.amount ?? 0));
  protected readonly source = linkedSignal<LineSource>(() => this.line()?.source ?? 'bank');
  private readonly ofPurpose = computed(() => {
    const sample = this.sample();
    return sample?.by === 'purpose' ? sample : null;
  });
  protected readonly purpose = linkedSignal<Purpose | null>(
    () => this.ofPurpose()?.purpose ?? null,
  );
  protected readonly partyId = linkedSignal(() => this.ofPurpose()?.partyId ?? ANYBODY);
  protected readonly accountId = linkedSignal<string | null>(() => {
    const sample = this.sample();
    return sample?.by === 'account' ? sample.accountId : null;
  });

  private readonly typed = computed<Sample | null>(() => {
    switch (this.by()) {
      case 'line':
        return this.typedLine();
      case 'purpose': {
        const [purpose, partyId] = [this.purpose(), this.partyId()];
        return purpose === null
          ? null
          : { by: 'purpose', purpose, partyId: partyId === ANYBODY ? null : partyId };
      }
      case 'account': {
        const accountId = this.accountId();
        return accountId === null ? null : { by: 'account', accountId };
      }
    }
  });

  constructor() {
    effect(() => {
      const typed = this.typed();
      untracked(() => this.changed.emit(typed));
    });
  }

  /** An amount as it would be typed: a minus in front of what goes out, nothing for nothing. */
  private written(amount: Minor): string {
    if (amount === 0) return '';
    const size = formatAmount(Math.abs(amount), { currency: this.reader.currency() });
    return amount < 0 ? `-${size}` : size;
  }

  private typedLine(): Sample | null {
    const text = this.text().trim();
    const written = this.amount().trim().replace('−', '-');
    const amount = written === '' ? 0 : parseAmount(written, this.reader.currency());
    return text === '' || amount === null
      ? null
      : { by: 'line', text, amount, source: this.source() };
  }
}
