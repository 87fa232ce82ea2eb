import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  accountOf,
  doneHere,
  eachNode,
  offeredFor,
  PURPOSE_CODES,
  PURPOSES,
  standsFor,
  suits,
  titleOf,
  type AccountId,
  type Purpose,
  type RouteItem,
} from '@iunctus/core';
import { Rights } from '../../session/state/rights';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { counted } from '../../shared/words/counted';
import { PURPOSE_WORDS } from '../../shared/words/route-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { PartiesComponent } from '../components/parties.component';

/** A purpose, the account that it leads to, and what the chart itself offers. */
interface Row {
  readonly purpose: Purpose;
  readonly words: string;
  readonly itemId: string | null;
  readonly accountId: AccountId | null;
  /** Whether the account that was chosen takes no postings any more. */
  readonly lost: boolean;
  readonly offered: { readonly id: AccountId; readonly title: string } | null;
  readonly options: readonly PickOption[];
  /** Whether this client does what it is for. */
  readonly wanted: boolean;
}

/** The accounts that amounts of each purpose go to where nothing else is said. */
@Component({
  selector: 'iu-defaults-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PartiesComponent, PickComponent, ProblemNoteComponent],
  templateUrl: './defaults.page.html',
  styleUrl: './defaults.page.css',
})
export class DefaultsPage {
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  protected readonly client = inject(ClientRoutes);
  protected readonly all = signal(false);

  private readonly rows = computed<readonly Row[]>(() => {
    const done = doneHere(this.reader.chart(), this.reader.currency());
    return PURPOSE_CODES.map((purpose) => this.rowOf(purpose, done.has(PURPOSES[purpose].want)));
  });
  protected readonly missing = computed(() =>
    this.rows().filter(({ wanted, accountId, lost }) => wanted && (accountId === null || lost)),
  );
  protected readonly offers = computed(() =>
    this.missing().filter(({ offered }) => offered !== null),
  );
  /** What this client does, and what is chosen all the same; all of them when asked. */
  protected readonly shown = computed(() =>
    this.rows().filter(({ wanted, accountId }) => this.all() || wanted || accountId !== null),
  );
  protected readonly hidden = computed(() => this.rows().length - this.shown().length);
  protected readonly missingWords = computed(() =>
    counted(this.missing().length, {
      one: $localize`# purpose has no account yet, of what this client does.`,
      other: $localize`# purposes have no account yet, of what this client does.`,
    }),
  );
  protected readonly takeWords = computed(() =>
    counted(this.offers().length, {
      one: $localize`Take the one that the chart offers`,
      other: $localize`Take all # that the chart offers`,
    }),
  );

  private rowOf(purpose: Purpose, wanted: boolean): Row {
    const chart = this.reader.chart();
    const item = this.client.routes().defaults.get(purpose);
    const accountId = item === undefined ? null : standsFor(chart, item.content.accountId);
    const account = accountId === null ? undefined : accountOf(chart, accountId);
    const offered = offeredFor(chart, purpose);
    return {
      purpose,
      words: PURPOSE_WORDS[purpose],
      itemId: item?.id ?? null,
      accountId,
      lost: item !== undefined && (account === undefined || !suits(account, purpose)),
      offered: offered === undefined ? null : { id: offered.id, title: titleOf(offered) },
      options: [...eachNode(chart.roots)].flatMap(({ account: one }) =>
        suits(one, purpose) ? [{ value: one.id, words: titleOf(one) }] : [],
      ),
      wanted,
    };
  }

  private itemOf({ purpose, itemId }: Row, accountId: AccountId): RouteItem {
    return { id: itemId ?? crypto.randomUUID(), content: { type: 'default', purpose, accountId } };
  }

  protected choose(row: Row, accountId: AccountId): void {
    if (accountId !== row.accountId) void this.client.keepAll([this.itemOf(row, accountId)]);
  }

  protected takeAll(): void {
    const items = this.offers().flatMap((row) =>
      row.offered === null ? [] : [this.itemOf(row, row.offered.id)],
    );
    void this.client.keepAll(items);
  }

  protected drop({ itemId }: Row): void {
    if (itemId !== null) void this.client.drop(itemId);
  }
}
