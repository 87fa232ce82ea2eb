import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import {
  CHANNELS_LIMIT,
  type Channels,
  type PayoutRecording,
  type StartingAnswers,
  type Topic,
} from '@iunctus/core';
import { PAYOUT_WORDS, TOPIC_WORDS } from '../../shared/words/client-words';
import { counted } from '../../shared/words/counted';

const RECORDINGS: readonly PayoutRecording[] = ['none', 'each', 'monthly'];

/** The questions that change a starting chart, with what each answer does to the number of accounts. */
@Component({
  selector: 'iu-questions-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend i18n>What the client has</legend>
      <div class="topics">
        @for (topic of topics(); track topic) {
          <label>
            <input
              type="checkbox"
              [checked]="answers().has[topic]"
              (change)="toggle(topic, $event)"
            />
            <span>{{ topicWords[topic] }}</span>
            <small>{{ effect(topic) }}</small>
          </label>
          @if (topic === 'salesTax' && exemption() !== '') {
            <small class="why">{{ exemption() }}</small>
          }
        }
      </div>
    </fieldset>
    <fieldset>
      <legend i18n>Card and marketplace takings</legend>
      @for (recording of recordings; track recording) {
        <label class="line">
          <input
            type="radio"
            name="payouts"
            [checked]="answers().payouts === recording"
            (change)="changed.emit({ ...answers(), payouts: recording })"
          />
          <span>
            <strong>{{ payoutWords[recording].name }}</strong>
            <small>{{ payoutWords[recording].sentence }}</small>
          </span>
        </label>
      }
    </fieldset>
    <fieldset>
      <legend i18n>Channels or markets of sale</legend>
      <input
        class="text"
        i18n-placeholder
        placeholder="Own shop, Bazaar, Fairs"
        i18n-aria-label
        aria-label="Channels, with commas between"
        autocomplete="off"
        [value]="answers().channels.names.join(', ')"
        (change)="nameChannels($event)"
      />
      @if (answers().channels.names.length > 0) {
        <label class="line">
          <input
            type="radio"
            name="apart"
            [disabled]="tooMany()"
            [checked]="answers().channels.apart === 'accounts'"
            (change)="keepApart('accounts')"
          />
          <span>
            <strong i18n>By sub-accounts</strong>
            <small i18n>
              @if (tooMany()) {
                Only {{ limit }} fit below an account. Take a dimension.
              } @else {
                {{ counts().accounts }} accounts: one for each channel wherever they are told apart
              }
            </small>
          </span>
        </label>
        <label class="line">
          <input
            type="radio"
            name="apart"
            [checked]="answers().channels.apart === 'dimension'"
            (change)="keepApart('dimension')"
          />
          <span>
            <strong i18n>By a dimension</strong>
            <small i18n
              >{{ counts().dimension }} accounts: every posting there says its channel</small
            >
          </span>
        </label>
      }
    </fieldset>
  `,
  styles: `
    fieldset {
      display: grid;
      gap: 6px;
      margin: 20px 0 0;
      padding: 0;
      border: 0;
    }
    legend {
      margin-bottom: 8px;
      padding: 0;
      font: 600 15px var(--serif);
    }
    label {
      display: flex;
      align-items: baseline;
      gap: 8px;
    }
    .topics {
      display: grid;
      gap: 6px;
    }
    .topics label {
      min-height: 24px;
    }
    .topics small {
      margin-left: auto;
      white-space: nowrap;
    }
    .topics .why {
      margin: -4px 0 2px 24px;
      white-space: normal;
    }
    small {
      color: var(--ink-2);
      font-size: 12px;
    }
    .line small {
      display: block;
    }
  `,
})
export class QuestionsFormComponent {
  readonly answers = input.required<StartingAnswers>();
  /** What is asked in the client’s country. */
  readonly topics = input.required<readonly Topic[]>();
  /** Why nothing of the sales tax that the trade pays comes back; empty where it does. */
  readonly exemption = input('');
  readonly counts = input.required<Readonly<Record<Channels['apart'], number>>>();
  /** How many accounts more (or with a minus, fewer) the other answer would give. */
  readonly effects = input.required<Readonly<Record<Topic, number>>>();
  readonly changed = output<StartingAnswers>();

  protected readonly topicWords = TOPIC_WORDS;
  protected readonly recordings = RECORDINGS;
  protected readonly payoutWords = PAYOUT_WORDS;
  protected readonly limit = CHANNELS_LIMIT;
  protected readonly tooMany = computed(
    () => this.answers().channels.names.length > CHANNELS_LIMIT,
  );

  protected effect(topic: Topic): string {
    const count = this.effects()[topic];
    const many = Math.abs(count);
    if (count === 0) return '';
    const accounts = counted(many, { one: $localize`# account`, other: $localize`# accounts` });
    return count > 0 ? $localize`would add ${accounts}` : $localize`without it, ${accounts} fewer`;
  }

  protected toggle(topic: Topic, event: Event): void {
    const { checked } = event.target as HTMLInputElement;
    const { has } = this.answers();
    this.changed.emit({ ...this.answers(), has: { ...has, [topic]: checked } });
  }

  protected nameChannels(event: Event): void {
    const typed = (event.target as HTMLInputElement).value.split(/[,;\n]/);
    const names = [...new Set(typed.map((name) => name.trim()).filter((name) => name !== ''))];
    const apart = names.length > CHANNELS_LIMIT ? 'dimension' : this.answers().channels.apart;
    this.changed.emit({ ...this.answers(), channels: { names, apart } });
  }

  protected keepApart(apart: Channels['apart']): void {
    const { names } = this.answers().channels;
    this.changed.emit({ ...this.answers(), channels: { names, apart } });
  }
}
