import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  knownAccount,
  returnLineWords,
  titleOf,
  type AccountId,
  type Chart,
  type Sample,
  type Trace,
} from '@iunctus/core';
import { elementOf } from '@iunctus/core';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { decisionWords, sampleWords } from '../../shared/words/route-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { terms } from '../../shared/words/terms';

interface Step {
  readonly id: AccountId;
  readonly title: string;
  readonly isLast: boolean;
}

/** One way from a sample to the statement and the return, drawn as one path. */
@Component({
  selector: 'iu-traced-path',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementMarkComponent, RouterLink],
  templateUrl: './traced-path.component.html',
  styleUrl: './traced-path.component.css',
})
export class TracedPathComponent {
  private readonly reader = inject(BooksReader);
  private readonly client = inject(ClientRoutes);
  readonly sample = input.required<Sample>();
  readonly trace = input.required<Trace>();
  readonly chart = input.required<Chart>();

  protected readonly what = computed(() =>
    sampleWords(this.sample(), {
      currency: this.reader.currency(),
      called: (id) => this.called(id),
      partyName: (id) =>
        this.client.routes().parties.find((party) => party.id === id)?.content.name ?? '',
    }),
  );
  protected readonly decision = computed(() => decisionWords(this.trace().routed.decision));
  protected readonly account = computed(() => {
    const id = this.trace().routed.accountId;
    const account = id === null ? undefined : knownAccount(this.chart(), id);
    if (account === undefined) return null;
    const { kind } = account;
    return {
      id: account.id,
      title: titleOf(account),
      kind: terms().kinds[kind],
      element: elementOf(kind),
    };
  });
  protected readonly steps = computed<readonly Step[]>(() => {
    const path = this.trace().landing?.path ?? [];
    return path.map((id, at) => ({ id, title: this.called(id), isLast: at === path.length - 1 }));
  });
  protected readonly statement = computed(() => {
    const landing = this.trace().landing;
    return landing === null
      ? null
      : { name: terms().sheets[landing.statement], section: terms().sections[landing.section] };
  });
  protected readonly returnLine = computed(() => {
    const line = this.trace().landing?.returnLine ?? null;
    return line === null ? null : returnLineWords(line);
  });

  private called(id: AccountId): string {
    const account = knownAccount(this.chart(), id);
    return account === undefined ? this.reader.titleOf(id) : titleOf(account);
  }
}
