import type { PersonRole } from '@iunctus/core';

/** The user who asks, whose data may be seen, and as what. */
export interface Viewer {
  readonly userId: string;
  readonly practiceId: string;
  readonly role: PersonRole;
  /** The one client that an onlooker sees. */
  readonly clientId: string | null;
}
