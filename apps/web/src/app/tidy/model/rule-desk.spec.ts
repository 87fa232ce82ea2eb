import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { FindingRulesAnswer } from '@iunctus/contract';
import {
  FINDING_CODES,
  NO_WISHES,
  USUAL_LIMITS,
  type Finding,
  type RuleWishes,
} from '@iunctus/core';
import { of, throwError } from 'rxjs';
import { aClient } from '../../../testing/a-client';
import { ApiService } from '../../shared/api/api.service';
import { FindingsEngine } from '../../workspace/model/findings-engine';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { RuleDesk } from './rule-desk';

const wishes = (more: Partial<RuleWishes>): RuleWishes => ({ ...NO_WISHES, ...more });

const desk = (read: Partial<FindingRulesAnswer> = {}, found: readonly Finding['code'][] = []) => {
  const none = { version: 0, wishes: NO_WISHES };
  const rules = signal<FindingRulesAnswer>({ practice: none, client: none, ...read });
  const again = jest.fn();
  const ask = jest.fn((..._asked: readonly unknown[]) => of({ version: 1 }) as unknown);
  const open = found.map((code) => ({ code }) as Finding);
  TestBed.configureTestingModule({
    providers: [
      RuleDesk,
      {
        provide: FindingsEngine,
        useValue: { rules: { value: rules, again }, sorted: signal({ open, noted: [] }) },
      },
      { provide: ProposedChart, useValue: { client: signal(aClient()) } },
      { provide: ApiService, useValue: { ask } },
    ],
  });
  return { desk: TestBed.inject(RuleDesk), ask, again, clientId: aClient().id };
};
const row = (of_: RuleDesk, code: Finding['code']) => of_.rows().find((one) => one.code === code);

describe('what the client and the practice want of the rules', () => {
  it('is as usual at first, with how many there are of each', () => {
    const { desk: at } = desk({}, ['tooDeep', 'tooDeep', 'catchAll']);
    expect(row(at, 'tooDeep')).toMatchObject({ matters: 'usual', otherwise: 'usual', count: 2 });
    expect(row(at, 'tooDeep')?.limits).toEqual([
      { name: 'levels', value: USUAL_LIMITS.levels, isOwn: false },
    ]);
    expect(at.counts()).toEqual({ client: 0, practice: 0 });
  });

  it('tells every rule once, by what it is about', () => {
    const { desk: at } = desk();
    const codes = at.groups().flatMap(({ rows }) => rows.map(({ code }) => code));
    expect([...codes].sort()).toEqual([...FINDING_CODES].sort());
    expect(at.groups().map(({ words }) => words)).toContain('The same twice');
  });

  it('shows at the client what holds for all, until the client has its own', () => {
    const practice = {
      version: 4,
      wishes: wishes({ severities: { tooDeep: 'wrong' }, limits: { levels: 7 } }),
    };
    const { desk: at } = desk({ practice });
    expect(row(at, 'tooDeep')).toMatchObject({
      matters: 'usual',
      otherwise: 'wrong',
      limits: [{ value: 7, isOwn: false }],
    });
    at.of.set('practice');
    expect(row(at, 'tooDeep')).toMatchObject({
      matters: 'wrong',
      otherwise: 'usual',
      limits: [{ value: 7, isOwn: true }],
    });
  });

  it('is kept for the client under the version that was read, and read again', async () => {
    const {
      desk: at,
      ask,
      again,
      clientId,
    } = desk({ client: { version: 2, wishes: wishes({ words: ['bisque'] }) } });
    await at.matter('tooDeep', 'off');
    const body = {
      version: 2,
      wishes: wishes({ severities: { tooDeep: 'off' }, words: ['bisque'] }),
    };
    expect(ask).toHaveBeenCalledWith('keepFindingRules', { clientId, body });
    expect(again).toHaveBeenCalled();
  });

  it('is kept for all clients where that is chosen', async () => {
    const { desk: at, ask } = desk();
    at.of.set('practice');
    await at.limit('levels', 6);
    expect(ask).toHaveBeenCalledWith('keepPracticeRules', {
      body: { version: 0, wishes: wishes({ limits: { levels: 6 } }) },
    });
  });

  it('lets what is usual hold again', async () => {
    const client = {
      version: 1,
      wishes: wishes({ severities: { tooDeep: 'off' }, limits: { levels: 6 } }),
    };
    const { desk: at, ask, clientId } = desk({ client });
    await at.matter('tooDeep', 'usual');
    await at.limit('levels', null);
    expect(ask.mock.calls.map(([, asked]) => asked)).toEqual([
      { clientId, body: { version: 1, wishes: wishes({ limits: { levels: 6 } }) } },
      { clientId, body: { version: 1, wishes: wishes({ severities: { tooDeep: 'off' } }) } },
    ]);
  });

  it('keeps words small and once, and only words', async () => {
    const { desk: at, ask } = desk({
      client: { version: 1, wishes: wishes({ words: ['bisque'] }) },
    });
    await at.addWord(' Bisque ');
    expect(ask).not.toHaveBeenCalled();
    await at.addWord('Sgraffito');
    expect(ask).toHaveBeenLastCalledWith(
      'keepFindingRules',
      expect.objectContaining({
        body: { version: 1, wishes: wishes({ words: ['bisque', 'sgraffito'] }) },
      }),
    );
    expect(
      ['slip', 'slip ware', '', 'slip2', 'x'.repeat(41)].map((word) => at.isWord(word)),
    ).toEqual([true, false, false, false, false]);
  });

  it('says why it was not kept, and reads what is there now', async () => {
    const { desk: at, ask, again } = desk();
    ask.mockReturnValueOnce(throwError(() => ({ code: 'overtaken', by: 'rules' })));
    expect(await at.matter('tooDeep', 'wrong')).toBe(false);
    expect(at.doing.problem()).not.toBeNull();
    expect(again).toHaveBeenCalled();
  });
});
