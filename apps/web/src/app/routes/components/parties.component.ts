import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  PARTY_ROLES,
  ROUTE_LIMITS,
  standsFor,
  type AccountId,
  type Party,
  type PartyRole,
} from '@iunctus/core';
import { Rights } from '../../session/state/rights';
import { RowActionsComponent } from '../../shared/components/row-actions.component';
import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { PARTY_ROLE_WORDS } from '../../shared/words/route-words';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';

const NEW: Party = { type: 'party', role: 'customer', name: '', saleId: null, purchaseId: null };

/** Customers, suppliers and items with accounts of their own. */
@Component({
  selector: 'iu-parties',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, OneOfComponent, RowActionsComponent, TextFieldComponent],
  templateUrl: './parties.component.html',
  styleUrl: './parties.component.css',
})
export class PartiesComponent {
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  protected readonly client = inject(ClientRoutes);
  protected readonly most = ROUTE_LIMITS.name;
  protected readonly roles: readonly OneOf<PartyRole>[] = PARTY_ROLES.map((value) => ({
    value,
    words: PARTY_ROLE_WORDS[value],
  }));
  protected readonly words = PARTY_ROLE_WORDS;
  /** The one that is open in the form, under its id; `null` while none is. */
  protected readonly open = signal<{ readonly id: string; readonly party: Party } | null>(null);
  protected readonly ready = computed(() => {
    const party = this.open()?.party;
    return (
      party !== undefined &&
      party.name.trim() !== '' &&
      (party.saleId !== null || party.purchaseId !== null)
    );
  });
  protected readonly rows = computed(() =>
    this.client.routes().parties.map(({ id, content }) => ({
      id,
      party: content,
      sale: this.title(content.saleId),
      purchase: this.title(content.purchaseId),
    })),
  );

  private title(id: AccountId | null): string {
    if (id === null) return '';
    const standing = standsFor(this.reader.chart(), id);
    return standing === null ? $localize`an account that is gone` : this.reader.titleOf(standing);
  }

  protected begin(id: string = crypto.randomUUID(), party: Party = NEW): void {
    this.open.set({ id, party });
  }

  protected change(more: Partial<Party>): void {
    this.open.update((open) => open && { ...open, party: { ...open.party, ...more } });
  }

  protected async keep(): Promise<void> {
    const open = this.open();
    if (open === null || !this.ready()) return;
    const kept = { ...open.party, name: open.party.name.trim() };
    if (await this.client.keep(kept, open.id)) this.open.set(null);
  }
}
