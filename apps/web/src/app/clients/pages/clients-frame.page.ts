import { ChangeDetectionStrategy, Component } from '@angular/core';
import { UserMenuComponent } from '../../session/pages/user-menu.component';
import { ClientsPage } from './clients.page';

/** The clients below a head with the user's menu. */
@Component({
  selector: 'iu-clients-frame-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ClientsPage, UserMenuComponent],
  template: `
    <div class="page-head"><iu-user-menu /></div>
    <iu-clients-page />
  `,
})
export class ClientsFramePage {}
