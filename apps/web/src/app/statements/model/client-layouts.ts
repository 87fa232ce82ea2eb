import { computed, inject, Injectable, signal } from '@angular/core';
import type { LayoutAnswer } from '@iunctus/contract';
import type { OwnLayout } from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { reading } from '../../shared/api/reading';
import { ProposedChart } from '../../workspace/model/proposed-chart';

/** The layouts of the client that is open: read once; what is kept meanwhile stands beside what was read. */
@Injectable()
export class ClientLayouts {
  private readonly api = inject(ApiService);
  private readonly proposed = inject(ProposedChart);
  private readonly clientId = computed(() =>
    this.proposed.ready() ? this.proposed.client()?.id : undefined,
  );
  readonly read = reading(
    () => this.clientId(),
    (clientId) => this.api.ask('layouts', { clientId }),
  );
  /** What was kept here since, by id. */
  private readonly kept = signal<ReadonlyMap<string, Pick<LayoutAnswer, 'layout' | 'version'>>>(
    new Map(),
  );
  readonly all = computed<readonly LayoutAnswer[]>(() =>
    (this.read.value() ?? []).map((one) => {
      const kept = this.kept().get(one.id);
      return kept === undefined || kept.version <= one.version ? one : { ...one, ...kept };
    }),
  );
  readonly doing = new Doing();

  /** Keeps a new layout. Gives its id; `null` where it was refused. */
  async begin(layout: OwnLayout): Promise<string | null> {
    const id = crypto.randomUUID();
    const done = await this.doing.run(() => this.put(id, { version: 0, layout }));
    this.read.again();
    return done ? id : null;
  }

  /** Keeps a layout that was read under a version. Gives the one it has then. */
  async put(
    layoutId: string,
    body: { readonly version: number; readonly layout: OwnLayout },
  ): Promise<number> {
    const asked = { clientId: this.clientId() ?? '', layoutId, body };
    const { version } = await firstValueFrom(this.api.ask('keepLayout', asked));
    this.kept.update((kept) => new Map(kept).set(layoutId, { layout: body.layout, version }));
    return version;
  }

  /** Drops a layout. Gives whether it is gone. */
  async drop(layoutId: string): Promise<boolean> {
    const asked = { clientId: this.clientId() ?? '', layoutId };
    const done = await this.doing.run(() => firstValueFrom(this.api.ask('dropLayout', asked)));
    this.read.again();
    return done;
  }
}
