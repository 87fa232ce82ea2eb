import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  formatAmount,
  nodeOf,
  returnLandings,
  returnLineWords,
  sectionLandings,
  titleOf,
  type AccountId,
} from '@iunctus/core';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { Amounts } from '../../workspace/model/amounts';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { terms } from '../../shared/words/terms';

interface Line extends PickOption {
  readonly accounts: readonly AccountId[];
}

/** Back from a section of a statement or a line of the return: its accounts, and from there their lines and entries. */
@Component({
  selector: 'iu-landing-back',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent, RouterLink],
  templateUrl: './landing-back.component.html',
  styleUrl: './landing-back.component.css',
})
export class LandingBackComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly client = inject(ClientRoutes);
  private readonly amounts = inject(Amounts);

  protected readonly chosen = signal<string | null>(null);
  protected readonly lines = computed<readonly Line[]>(() => {
    const [chart, filer] = [this.proposed.chart(), this.client.filer()];
    const ofReturn = filer === null ? [] : returnLandings(chart, filer);
    return [
      ...sectionLandings(chart).map(({ line, accounts }) => ({
        value: line,
        words: terms().sections[line],
        accounts,
      })),
      ...ofReturn.map(({ line, accounts }) => ({
        value: `${line.line}/${line.copy}`,
        words: returnLineWords(line),
        accounts,
      })),
    ];
  });
  protected readonly accounts = computed(() => {
    const line = this.lines().find(({ value }) => value === this.chosen());
    return (line?.accounts ?? []).flatMap((id) => {
      const node = nodeOf(this.proposed.chart(), id);
      return node === undefined
        ? []
        : [
            {
              id,
              title: titleOf(node.account),
              amount: this.written(this.amounts.ownAmountOf(node)),
            },
          ];
    });
  });

  private written(amount: number): string {
    const currency = this.proposed.client()?.currency ?? 'USD';
    return formatAmount(amount, { currency, zero: '–' });
  }
}
