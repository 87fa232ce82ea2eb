import type { PersonRole } from '@iunctus/core';
import { ROLES } from '@iunctus/core/edges';
import * as v from 'valibot';
import { Id, Moment, textUpTo, wordsUpTo } from './text';

/** The shortest and longest password. Source: NIST SP 800-63B, memorized secrets of eight characters and more (from memory); we ask for ten. */
export const PASSWORD_LENGTH = { least: 10, most: 200 } as const;

const Email = v.pipe(wordsUpTo(200), v.email('is no e-mail address'));
const Wanted = v.pipe(
  textUpTo(PASSWORD_LENGTH.most),
  v.minLength(PASSWORD_LENGTH.least, `has at least ${PASSWORD_LENGTH.least} characters`),
);
/** What an invitation's address ends in. */
const Token = v.pipe(v.string(), v.regex(/^[\w-]{20,100}$/, 'is no invitation'));

export const SignInRequest = v.strictObject({
  email: wordsUpTo(200),
  password: v.pipe(textUpTo(PASSWORD_LENGTH.most), v.minLength(1)),
});
export type SignInRequest = v.InferOutput<typeof SignInRequest>;

/** Who may sign in where this is only the demo practice; `null` everywhere else. */
export const EntranceAnswer = v.strictObject({
  demo: v.nullable(
    v.strictObject({
      password: v.string(),
      people: v.array(
        v.strictObject({ name: v.string(), email: v.string(), role: v.picklist(ROLES) }),
      ),
    }),
  ),
});
export type EntranceAnswer = v.InferOutput<typeof EntranceAnswer>;

/** Who is signed in, as what, and to which practice. An onlooker sees one client. */
export const SessionAnswer = v.strictObject({
  user: v.strictObject({
    id: Id,
    name: v.string(),
    email: v.string(),
    role: v.picklist(ROLES),
    clientId: v.nullable(Id),
  }),
  practice: v.strictObject({ id: Id, name: v.string() }),
});
export type SessionAnswer = v.InferOutput<typeof SessionAnswer>;

/** The same, or `null` when nobody is: an ordinary answer to a first visit. */
export const WhoAnswer = v.nullable(SessionAnswer);
export type WhoAnswer = v.InferOutput<typeof WhoAnswer>;

/** One's own sign-ins that last; `here` is the one that asks. */
export const SessionsAnswer = v.array(
  v.strictObject({ id: Id, startedAt: Moment, usedAt: Moment, here: v.boolean() }),
);
export type SessionsAnswer = v.InferOutput<typeof SessionsAnswer>;

/** Another password for oneself; every other session ends. */
export const PasswordRequest = v.strictObject({
  current: v.pipe(textUpTo(PASSWORD_LENGTH.most), v.minLength(1)),
  wanted: Wanted,
});
export type PasswordRequest = v.InferOutput<typeof PasswordRequest>;

/** An invitation, or a reset, looked at: whom it is for. */
export const InvitationRequest = v.strictObject({ token: Token });
export type InvitationRequest = v.InferOutput<typeof InvitationRequest>;
export const InvitationAnswer = v.strictObject({
  name: v.string(),
  email: v.string(),
  practice: v.string(),
});
export type InvitationAnswer = v.InferOutput<typeof InvitationAnswer>;

/** An invitation taken up with a password. */
export const WelcomeRequest = v.strictObject({ token: Token, wanted: Wanted });
export type WelcomeRequest = v.InferOutput<typeof WelcomeRequest>;

const Standing = {
  role: v.picklist(ROLES),
  /** The one client that an onlooker sees. */
  clientId: v.nullable(Id),
};
const standsRight = ({
  role,
  clientId,
}: {
  readonly role: PersonRole;
  readonly clientId: string | null;
}): boolean => (role === 'onlooker') === (clientId !== null);
const STANDS_RIGHT = 'an onlooker sees one client, and nobody else is bound to one';

/** What somebody may do from now on. */
export const StandingRequest = v.pipe(
  v.strictObject(Standing),
  v.check((standing) => standsRight(standing), STANDS_RIGHT),
);
export type StandingRequest = v.InferOutput<typeof StandingRequest>;

/** Somebody who is to come into the practice. */
export const NewPersonRequest = v.pipe(
  v.strictObject({ name: wordsUpTo(80), email: Email, ...Standing }),
  v.check((standing) => standsRight(standing), STANDS_RIGHT),
);
export type NewPersonRequest = v.InferOutput<typeof NewPersonRequest>;

/** Where the person sets a password: the end of the address of the welcome page, told once, and until when. */
export const InvitedAnswer = v.strictObject({ id: Id, token: v.string(), until: Moment });
export type InvitedAnswer = v.InferOutput<typeof InvitedAnswer>;

/** Everybody of the practice, as the administrator sees them. */
export const StaffAnswer = v.array(
  v.strictObject({
    id: Id,
    name: v.string(),
    email: v.string(),
    ...Standing,
    /** Whether a password was ever set. */
    joined: v.boolean(),
    /** Whether an invitation or a reset is open. */
    invited: v.boolean(),
    sessions: v.number(),
    usedAt: v.nullable(Moment),
  }),
);
export type StaffAnswer = v.InferOutput<typeof StaffAnswer>;

/** Whether a backup is to bear what passwords are checked by; without, people set theirs anew after it is restored. */
export const BackupQuery = v.strictObject({ passwords: v.optional(v.picklist(['yes', 'no'])) });
export type BackupQuery = v.InferOutput<typeof BackupQuery>;
