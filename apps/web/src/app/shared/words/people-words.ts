import { ROLES, type PersonRole } from '@iunctus/core';

export const ROLE_WORDS: Readonly<Record<PersonRole, string>> = {
  administrator: $localize`Administrator`,
  bookkeeper: $localize`Bookkeeper`,
  reviewer: $localize`Reviewer`,
  onlooker: $localize`Onlooker`,
};

/** What somebody of a role does here, in a sentence. */
export const ROLE_SENTENCES: Readonly<Record<PersonRole, string>> = {
  administrator: $localize`does everything, keeps the people and the backups`,
  bookkeeper: $localize`adds clients, changes charts, adopts, posts and locks books`,
  reviewer: $localize`reads every client, remarks on proposals and approves them`,
  onlooker: $localize`sees one client, in plain words`,
};

/** The roles as they are chosen from. */
export const ROLE_CHOICES: readonly { readonly value: PersonRole; readonly words: string }[] =
  ROLES.map((role) => ({ value: role, words: ROLE_WORDS[role] }));
