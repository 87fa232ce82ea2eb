import { computed, inject, Injectable } from '@angular/core';
import type { RouteItemAnswer } from '@iunctus/contract';
import {
  accountsLedTo,
  NO_ROUTES,
  routesOf,
  type AccountId,
  type Filer,
  type RouteContent,
  type RouteItem,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { reading } from '../../shared/api/reading';
import { ProposedChart } from './proposed-chart';

const NONE: readonly RouteItemAnswer[] = [];

/** The routes of the client that is open: read once, and again after each change. */
@Injectable()
export class ClientRoutes {
  private readonly api = inject(ApiService);
  private readonly proposed = inject(ProposedChart);

  readonly reading = reading(
    () => (this.proposed.ready() ? this.proposed.client()?.id : undefined),
    (clientId) => this.api.ask('routes', { clientId }),
  );
  /** Entries that come again and again: they lead to accounts as well. */
  readonly standings = reading(
    () => (this.proposed.ready() ? this.proposed.client()?.id : undefined),
    (clientId) => this.api.ask('standings', { clientId }),
  );
  readonly items = computed(() => this.reading.value() ?? NONE);
  readonly routes = computed(() =>
    this.items().length === 0 ? NO_ROUTES : routesOf(this.items()),
  );
  /** The accounts that routes and standing entries name. */
  readonly named = computed<ReadonlySet<AccountId>>(() =>
    accountsLedTo(
      this.items().map(({ content }) => content),
      (this.standings.value() ?? []).map(({ entry }) => entry),
    ),
  );
  /** Who files which return. */
  readonly filer = computed<Filer | null>(() => {
    const client = this.proposed.client();
    if (client === null) return null;
    const { legalForm, country, industry } = client;
    return { legalForm, country, industry };
  });
  readonly doing = new Doing();

  /** Keeps a piece as it is now, under the version in which it was read. Gives whether it was kept. */
  keep(content: RouteContent, id: string = crypto.randomUUID()): Promise<boolean> {
    return this.keepAll([{ id, content }]);
  }

  /** Keeps several pieces, one after the other; the first that is refused ends it. */
  async keepAll(items: readonly RouteItem[]): Promise<boolean> {
    const done = await this.doing.run(async () => {
      for (const { id, content } of items) await this.ask(id, content);
    });
    this.reading.again();
    return done;
  }

  private ask(itemId: string, content: RouteContent): Promise<unknown> {
    const version = this.items().find(({ id }) => id === itemId)?.version ?? 0;
    const asked = { clientId: this.clientId(), itemId, body: { version, content } };
    return firstValueFrom(this.api.ask('keepRoute', asked));
  }

  /** Drops a piece. */
  async drop(itemId: string): Promise<boolean> {
    const asked = { clientId: this.clientId(), itemId };
    const done = await this.doing.run(() => firstValueFrom(this.api.ask('dropRoute', asked)));
    this.reading.again();
    return done;
  }

  private clientId(): string {
    return this.proposed.client()?.id ?? '';
  }
}
