/** What people of a practice may be. An onlooker sees one client, in plain words. */
export const ROLES = ['administrator', 'bookkeeper', 'reviewer', 'onlooker'] as const;
export type PersonRole = (typeof ROLES)[number];

/** Who may do it: by role. The one table of what people of a practice may do. */
export const PERMISSIONS = {
  /** See and end one's own sessions, change one's own password. */
  keepOwnAccess: ROLES,
  /** See the clients that are open to one, and one client's chart and amounts in plain words. */
  lookOn: ROLES,
  /** See charts, proposals, history and files of every client, and who works in the practice. */
  readAll: ['administrator', 'bookkeeper', 'reviewer'],
  /** Remark on a colleague's proposal, approve it or send it back. */
  review: ['administrator', 'bookkeeper', 'reviewer'],
  /** Propose, hand over and adopt changes of charts, and post what comes along with them. */
  change: ['administrator', 'bookkeeper'],
  /** Post entries, take them back, and keep those that come again and again. */
  post: ['administrator', 'bookkeeper'],
  /** Lock the books through a day, and open them again. */
  lockBooks: ['administrator', 'bookkeeper'],
  /** Add clients, and say anew what they are. */
  keepClients: ['administrator', 'bookkeeper'],
  /** Keep charts to begin others from. */
  keepCharts: ['administrator', 'bookkeeper'],
  /** Rename or remove what others made. */
  removeOthers: ['administrator'],
  /** Invite and remove people, change what they may, end their sessions. */
  keepPeople: ['administrator'],
  /** Take everything of the practice, or of one client, away in a file. */
  backUp: ['administrator'],
} as const satisfies Readonly<Record<string, readonly PersonRole[]>>;
export type Permission = keyof typeof PERMISSIONS;

/** Whether somebody of that role may do it. */
export const may = (role: PersonRole, permission: Permission): boolean =>
  (PERMISSIONS[permission] as readonly PersonRole[]).includes(role);
