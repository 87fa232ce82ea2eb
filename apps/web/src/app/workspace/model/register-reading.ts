import type { RegisterAnswer, RegisterLine, RegisterRequest } from '@iunctus/contract';
import { firstValueFrom } from 'rxjs';
import type { ApiService } from '../../shared/api/api.service';

/** Where a register goes on behind a line; at its beginning behind none. */
export const placeBehind = (line: RegisterLine | null | undefined): RegisterRequest['before'] => {
  if (line == null) return null;
  const { date, sequence, lineNumber, balance, amount } = line;
  return { date, sequence, lineNumber, balance: balance - amount };
};

/** What is asked of a register that is read from its newest line on. */
export interface WholeRegister {
  readonly clientId: string;
  readonly accounts: readonly string[];
  /** First and last day, both inclusive. */
  readonly first: string | null;
  readonly last: string | null;
  /** Lines at most; the newest are read. */
  readonly most: number;
}

/** The lines of accounts, newest first, page by page until there are no more or so many; `more` says that some are left. */
export const readRegister = async (
  api: ApiService,
  { clientId, accounts, first, last, most }: WholeRegister,
): Promise<Pick<RegisterAnswer, 'lines' | 'after' | 'more'>> => {
  const asked = { accounts: [...accounts], first, last, source: null, text: '', fresh: false };
  const page = (behind: RegisterLine | undefined) => {
    const body = { ...asked, before: placeBehind(behind) };
    return firstValueFrom(api.ask('register', { clientId, body }));
  };
  let answer = await page(undefined);
  const { after } = answer;
  const lines = [...answer.lines];
  while (answer.more && lines.length < most) {
    answer = await page(lines.at(-1));
    lines.push(...answer.lines);
  }
  return { lines, after, more: answer.more };
};
