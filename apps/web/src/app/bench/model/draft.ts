import {
  accountOf,
  cleanName,
  cleanNumber,
  DOUBTFUL,
  KINDS,
  makeRoom,
  numbersOf,
  parentIdOf,
  plainAccount,
  planMoveUnder,
  type Account,
  type AccountId,
  type AddPlan,
  type Chart,
  type Guess,
  type KindCode,
  type Operation,
  type Reason,
  type Room,
  type Suggestion,
} from '@iunctus/core';

/** The row that is being edited or added; what the fields hold, as typed. */
export interface Draft {
  /** The account's id, also before it exists. */
  readonly id: AccountId;
  readonly adding: { readonly afterId: AccountId | null; readonly number: Suggestion } | null;
  readonly number: string;
  readonly name: string;
  readonly kind: KindCode;
  readonly parentId: AccountId | null;
  /** The accounts that a new heading is to stand above; none for any other account. */
  readonly above: readonly AccountId[];
  /** From what the kind was inferred; `null` where it was chosen, or comes from the neighbours. */
  readonly inferred: Reason | null;
  /** What else the kind may be, where it is in doubt. */
  readonly others: readonly KindCode[];
}

/** A draft of an account that is there. */
export const draftOf = (chart: Chart, id: AccountId): Draft | null => {
  const account = accountOf(chart, id);
  if (account === undefined) return null;
  const { number, name, kind } = account;
  return {
    id,
    adding: null,
    number: number ?? '',
    name,
    kind,
    parentId: parentIdOf(chart, id),
    above: [],
    inferred: null,
    others: [],
  };
};

/** A draft of a new account. */
export const newDraft = (plan: AddPlan, id: AccountId): Draft => ({
  id,
  adding: { afterId: plan.afterId, number: plan.number },
  number: plan.number.ok ? plan.number.number : '',
  name: '',
  kind: plan.kind,
  parentId: plan.parentId,
  above: [],
  inferred: null,
  others: [],
});

/** How sure a guess must be to take the place of the neighbours' kind. */
const SURE = 0.5;

/** A new account's kind as it is judged; the neighbours' where little speaks for another. In doubt the others stay offered. */
export const withInferredKind = (
  draft: Draft,
  usual: KindCode,
  guesses: readonly Guess[],
): Draft => {
  if (draft.name.trim() === '') return { ...draft, kind: usual, inferred: null, others: [] };
  const [guess] = guesses;
  const clear = guess !== undefined && guess.confidence >= SURE && guess.kind !== usual;
  const kind = clear ? guess.kind : usual;
  const doubted = guess !== undefined && guess.confidence < DOUBTFUL;
  const others = doubted ? guesses.map((one) => one.kind).filter((one) => one !== kind) : [];
  return { ...draft, kind, inferred: clear ? guess.reason : null, others };
};

const accountFrom = ({ id, number, name, kind, above }: Draft): Account =>
  plainAccount(
    {
      id,
      number: cleanNumber(number) === '' ? null : cleanNumber(number),
      name: cleanName(name),
      kind,
    },
    above.length === 0 ? {} : { role: 'heading' },
  );

/** The last move alone: kind and number are the draft's own. */
const moveOperations = (chart: Chart, draft: Draft): readonly Operation[] =>
  planMoveUnder(chart, draft.id, { parentId: draft.parentId })
    .filter(({ type }) => type === 'moveNode')
    .slice(-1);

/** Changing the kind first lets an account follow its new kind under a parent of another element. */
const placeAndKind = (chart: Chart, draft: Draft, was: Account): readonly Operation[] => {
  const kind: readonly Operation[] =
    draft.kind === was.kind ? [] : [{ type: 'changeKind', id: draft.id, kind: draft.kind }];
  if (draft.parentId === parentIdOf(chart, draft.id)) return kind;
  const crosses = KINDS[draft.kind].element !== KINDS[was.kind].element;
  if (!crosses) return [...moveOperations(chart, draft), ...kind];
  const out: Operation = {
    type: 'moveNode',
    id: draft.id,
    parentId: null,
    afterId: chart.roots.findLast(({ account }) => account.id !== draft.id)?.account.id ?? null,
  };
  const leaves = parentIdOf(chart, draft.id) === null ? [] : [out];
  return [...leaves, ...kind, ...moveOperations(chart, draft)];
};

/** What must give way for a new account whose number was left to us where none is free; `null` when nothing must or can. */
export const roomFor = (chart: Chart, draft: Draft): Room | null => {
  const { adding, parentId } = draft;
  if (adding === null || adding.number.ok || adding.number.reason !== 'noRoom') return null;
  if (cleanNumber(draft.number) !== '' || !chart.settings.numbered) return null;
  return makeRoom(chart, accountFrom(draft), { parentId, afterId: adding.afterId });
};

const addOperations = (chart: Chart, draft: Draft, account: Account): readonly Operation[] => {
  const place = { parentId: draft.parentId, afterId: draft.adding?.afterId ?? null };
  const room = roomFor(chart, draft);
  if (room === null) return [{ type: 'addAccount', account, ...place }];
  const { number, rows } = room;
  return [
    { type: 'renumberMany', numbers: numbersOf(rows) },
    { type: 'addAccount', account: { ...account, number }, ...place },
  ];
};

/** What a new heading is to stand above goes under it, in the order that it has. */
const movesUnder = ({ id, above }: Draft): readonly Operation[] =>
  above.map((one, at) => ({
    type: 'moveNode',
    id: one,
    parentId: id,
    afterId: above[at - 1] ?? null,
  }));

/** The operations that turn the account into what the draft says; none when nothing differs. */
export const draftOperations = (chart: Chart, draft: Draft): readonly Operation[] => {
  const after = accountFrom(draft);
  if (draft.adding !== null) return [...addOperations(chart, draft, after), ...movesUnder(draft)];
  const was = accountOf(chart, draft.id);
  if (was === undefined) return [];
  const { id } = draft;
  return [
    ...placeAndKind(chart, draft, was),
    ...(after.number === was.number
      ? []
      : [{ type: 'renumber', id, number: after.number } satisfies Operation]),
    ...(after.name === was.name
      ? []
      : [{ type: 'editField', id, field: 'name', value: after.name } satisfies Operation]),
  ];
};
