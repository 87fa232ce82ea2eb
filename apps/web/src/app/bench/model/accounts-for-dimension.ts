import { inject, Injectable } from '@angular/core';
import { accountsForDimension, nodeOf, type AccountId } from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { ProposedChart } from '../../workspace/model/proposed-chart';

/** Sub-accounts instead of a dimension, into the proposal: what was merged for its values comes back. */
@Injectable()
export class AccountsForDimension {
  private readonly api = inject(ApiService);
  private readonly proposed = inject(ProposedChart);
  readonly doing = new Doing();

  async make(id: AccountId, dimensionId: string): Promise<void> {
    const [node, client] = [nodeOf(this.proposed.chart(), id), this.proposed.client()];
    if (node === undefined || client === null || this.doing.busy()) return;
    await this.doing.run(async () => {
      const asked = { clientId: client.id, body: { accounts: [id, ...node.absorbed] } };
      const { upTo } = await firstValueFrom(this.api.ask('postings', asked));
      const newId = (): string => crypto.randomUUID();
      this.proposed.propose(
        accountsForDimension(this.proposed.chart(), id, { dimensionId, upTo, newId }),
      );
    });
  }
}
