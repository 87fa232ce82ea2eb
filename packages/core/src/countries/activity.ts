/** What a trade does, as far as tax offices have rules or forms of their own for it. */
export type Activity = 'letting' | 'farming' | 'health' | 'education';

/** Activities by the codes of the trades that starting charts are made for. */
const ACTIVITIES: Readonly<Partial<Record<string, Activity>>> = {
  landlord: 'letting',
  farm: 'farming',
  clinic: 'health',
  dentist: 'health',
  school: 'education',
};

/** The activity of a trade; `null` for one that is like any other, or none. */
export const activityOf = (industry: string | null | undefined): Activity | null =>
  (industry == null ? undefined : ACTIVITIES[industry]) ?? null;

/** The codes of all trades that have an activity. */
export const ACTIVE_TRADES: readonly string[] = Object.keys(ACTIVITIES);
