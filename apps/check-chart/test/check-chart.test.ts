import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { CheckedList } from '../src/check-list';

const COMMAND = join(__dirname, '../../../bin/check-chart');
const LIST = [
  'Number,Name,Type',
  '1000,Checking account,Bank',
  '1500,Kiln,Fixed Asset',
  '5000,Telephone,Expense',
  '5100,RENT OF STUDIO,Expense',
  '5200,Owner’s drawings,Expense',
  '5300,Sundry,Expense',
  '5400,Phones,Expense',
].join('\n');

describe('checking a chart in a file', () => {
  const folder = mkdtempSync(join(tmpdir(), 'check-chart-'));
  afterAll(() => rmSync(folder, { recursive: true }));
  const check = (text: string, ...options: readonly string[]) => {
    const file = join(folder, 'chart.csv');
    writeFileSync(file, text);
    const { status, stdout, stderr } = spawnSync(COMMAND, [file, ...options], { encoding: 'utf8' });
    return { status, stdout, stderr };
  };

  it('prints what is found, the line, why it matters, and what would mend it', () => {
    const { stdout } = check(LIST);
    expect(stdout).toContain('7 accounts');
    expect(stdout).toMatch(/lines 8, 4: “5400 Phones” says the same as “5000 Telephone”/);
    expect(stdout).toContain('line 5: “5100 RENT OF STUDIO” would read better as “Rent of studio”');
    expect(stdout).toContain('→ Call it “Rent of studio”');
  });

  it('spells by the dictionary of the country', () => {
    const labour = 'Number,Name,Type\n5000,Labour,Expense\n5100,Insurrance,Expense';
    expect(check(labour, '--country', 'US').stdout).toContain('→ Call it “Labor”');
    const there = check(labour, '--country', 'GB').stdout;
    expect(there).not.toContain('Labor”');
    expect(there).toContain(
      '“Insurrance” in “5100 Insurrance” is in no dictionary; “Insurance” is.',
    );
  });

  it('gives the same as JSON for other programs', () => {
    const list = JSON.parse(check(LIST, '--json').stdout) as CheckedList;
    const rules = list.findings.map(({ rule }) => rule);
    expect(list.accounts).toBe(7);
    expect(rules).toEqual(expect.arrayContaining(['duplicate', 'nameCapitals', 'noGuidance']));
    // Drawings among the expenses: by its number, or by its kind, whichever the list as a whole speaks for.
    expect(list.findings.filter(({ lines }) => lines.includes(6)).map(({ rule }) => rule)).toEqual([
      expect.stringMatching(/^(?:numberMisfit|kindDoubt)$/),
      'noGuidance',
    ]);
    expect(list.findings.find(({ rule }) => rule === 'duplicate')?.lines).toEqual([8, 4]);
  });

  it('spells as the country does', () => {
    const list = 'Number,Name\n1000,Bank\n6000,Amort of trademark';
    expect(check(list, '--country', 'US').stdout).toContain('“Amortization of trademark”');
    expect(check(list, '--country', 'GB').stdout).toContain('“Amortisation of trademark”');
  });

  it('names lines that cannot become accounts', () => {
    const { stdout } = check('Number,Name,Type\n1000,Bank,Bank\n1000,Till,Bank');
    expect(stdout).toMatch(/Left out \(\d\)\n {2}line \d.*“(Bank|Till)” cannot become an account/);
  });

  it.each([
    [['--country', 'XX'], '--country: one of US'],
    [['--form', 'guild'], '--form: one of soleOwner'],
    [['--sheet', '3'], '--sheet: it has 1 sheets'],
    [['--nonsense'], 'bin/check-chart FILE'],
  ])('says what is wrong with %j', (options, words) => {
    const { status, stderr } = check(LIST, ...options);
    expect(status).toBe(2);
    expect(stderr).toContain(words);
  });

  it('says that a file is not there, and that one cannot be read', () => {
    const { status, stderr } = spawnSync(COMMAND, [join(folder, 'no.csv')], { encoding: 'utf8' });
    expect([status, stderr]).toEqual([2, expect.stringContaining('no such file')]);
    expect(check('')).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('there is nothing in it'),
    });
  });
});
