import { computed, inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Permission } from '@iunctus/core';
import { may } from '@iunctus/core/edges';
import { sessionFeature } from './session.feature';

/** What whoever is signed in may do. The server holds to the same table; here it spares people what would be refused. */
@Injectable({ providedIn: 'root' })
export class Rights {
  private readonly session = inject(Store).selectSignal(sessionFeature.selectSession);
  private readonly role = computed(() => this.session()?.user.role ?? null);

  may(permission: Permission): boolean {
    const role = this.role();
    return role !== null && may(role, permission);
  }
}
