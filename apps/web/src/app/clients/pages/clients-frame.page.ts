import { ChangeDetectionStrategy, Component } from '@angular/core';
import { UserMenuComponent } from '../../session/pages/user-menu.component';
import { ClientsPage } from './clients.page';

/** The clients below a head with the user's menu. */
@Component({
  selector: 'iu-clients-frame-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ClientsPage, UserMenuComponent],
  template: `
    <div class="head"><iu-user-menu /></div>
    <iu-clients-page />
  `,
  styles: `
    .head {
      display: flex;
      align-items: center;
      justify-content: flex-end;
      height: 52px;
      padding: 0 18px;
      border-bottom: 1px solid var(--rule);
      background: var(--sheet);
    }
  `,
})
export class ClientsFramePage {}
