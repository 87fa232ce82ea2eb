import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { TidyCheckAnswer } from '@iunctus/contract';
import { formatTenths } from '@iunctus/core';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { counted } from '../../shared/words/counted';

type Check = NonNullable<TidyCheckAnswer>;

const all = ({ wrong, doubtful, couldBeNeater }: Check): number => wrong + doubtful + couldBeNeater;

/** What a list that was posted did to how tidy the chart is: checked before, and once it is posted. */
@Component({
  selector: 'iu-check-after',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    @if (now(); as now) {
      <p role="status">
        {{ now }}
        <a i18n routerLink="../../tidy">See what there is to tidy</a>
      </p>
    }
  `,
  styles: `
    p {
      margin: 4px 0 0;
    }
  `,
})
export class CheckAfterComponent {
  private readonly api = inject(ApiService);
  readonly clientId = input.required<string>();
  /** Whether everything is posted. */
  readonly posted = input.required<boolean>();

  private readonly before = reading(
    () => this.clientId(),
    (clientId) => this.api.ask('tidyCheck', { clientId }),
  );
  private readonly after = reading(
    () => (this.posted() ? this.clientId() : undefined),
    (clientId) => this.api.ask('tidyCheck', { clientId }),
  );

  protected readonly now = computed(() => {
    const [then, now] = [this.before.value(), this.after.value()];
    return this.posted() && now !== null ? `${this.score(then, now)} ${this.came(then, now)}` : '';
  });

  private score(then: TidyCheckAnswer, now: Check): string {
    const written = ({ score }: Check): string => `${formatTenths(score, 'sign')} %`;
    return then === null || then.score === now.score
      ? $localize`${written(now)}:part: of all amounts is on its lines without doubt.`
      : $localize`${written(now)}:part: of all amounts is on its lines without doubt; it was ${written(then)}:before:.`;
  }

  private came(then: TidyCheckAnswer, now: Check): string {
    const more = all(now) - (then === null ? 0 : all(then));
    if (more === 0) return $localize`Nothing more is found.`;
    return more > 0
      ? counted(more, {
          one: $localize`One thing more is found.`,
          other: $localize`# things more are found.`,
        })
      : counted(-more, {
          one: $localize`One thing less is found.`,
          other: $localize`# things less are found.`,
        });
  }
}
