import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { isTaxRate, netAndTax, ROUTE_LIMITS, type TaxCode } from '@iunctus/core';
import { Rights } from '../../session/state/rights';
import { RowActionsComponent } from '../../shared/components/row-actions.component';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';

const NEW: TaxCode = { type: 'taxCode', name: '', rate: '', reclaims: true };

/** An amount by which a rate is shown. */
const EXAMPLE = 100_00;

/** Rates of sales tax that are within gross amounts. */
@Component({
  selector: 'iu-tax-rates',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RowActionsComponent, TextFieldComponent],
  templateUrl: './tax-rates.component.html',
  styleUrl: './parties.component.css',
})
export class TaxRatesComponent {
  protected readonly rights = inject(Rights);
  private readonly reader = inject(BooksReader);
  protected readonly client = inject(ClientRoutes);
  protected readonly most = ROUTE_LIMITS.name;
  protected readonly open = signal<{ readonly id: string; readonly code: TaxCode } | null>(null);
  protected readonly wrong = computed(() => {
    const code = this.open()?.code;
    if (code === undefined || code.name.trim() === '') return $localize`Give it a name.`;
    return isTaxRate(code.rate.trim())
      ? ''
      : $localize`Write the rate in per cent, above 0 and at most 100: 7.25.`;
  });
  protected readonly rows = computed(() =>
    this.client.routes().taxCodes.map(({ id, content }) => {
      const { net, tax } = netAndTax(EXAMPLE, content.rate);
      const [gross, without, within] = [EXAMPLE, net, tax].map((one) => this.reader.amount(one));
      return {
        id,
        code: content,
        example: $localize`${gross} is ${without} and ${within} tax`,
      };
    }),
  );

  protected begin(id: string = crypto.randomUUID(), code: TaxCode = NEW): void {
    this.open.set({ id, code });
  }

  protected change(more: Partial<TaxCode>): void {
    this.open.update((open) => open && { ...open, code: { ...open.code, ...more } });
  }

  protected async keep(): Promise<void> {
    const open = this.open();
    if (open === null || this.wrong() !== '') return;
    const { name, rate } = open.code;
    const kept = { ...open.code, name: name.trim(), rate: rate.trim() };
    if (await this.client.keep(kept, open.id)) this.open.set(null);
  }
}
