import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { OwnLayout } from '@iunctus/core';
import { Unsaved } from '../../shared/keeping/unsaved.service';
import { ClientLayouts } from './client-layouts';
import { LayoutDesk } from './layout-desk';

const ID = '7a1c2f6e-59f3-4a4f-8d5e-0c1be14a0001';
const layout = (name: string): OwnLayout => ({
  name,
  statement: 'profitAndLoss',
  columns: 'plain',
  complete: false,
  rows: [],
});

/** The desk over a server that keeps what it is given, or answers with what it is told to. */
const desk = async (partly = false) => {
  const all = signal([{ id: ID, version: 4, layout: layout('Short form'), partly }]);
  const put = jest.fn((_id: string, { version }: { version: number; layout: OwnLayout }) =>
    Promise.resolve(version + 1),
  );
  const note = jest.fn();
  const read = { value: signal<object | null>([]), again: jest.fn() };
  TestBed.configureTestingModule({
    providers: [
      LayoutDesk,
      { provide: ClientLayouts, useValue: { all, put, read } },
      { provide: Unsaved, useValue: { note } },
    ],
  });
  const at = TestBed.inject(LayoutDesk);
  at.open(ID);
  TestBed.tick();
  await Promise.resolve();
  return { at, all, put, note, read };
};
/** Everything that is being kept is kept, or refused. */
const settled = () => new Promise((resolve) => setTimeout(resolve));
const nameOf = ({ layout: shown }: LayoutDesk): string | undefined => shown()?.name;

describe('a layout that is edited', () => {
  it('is shown at once as it was changed, and kept under the version that it was read with', async () => {
    const { at, put } = await desk();
    at.set({ name: 'For the bank' });
    expect(nameOf(at)).toBe('For the bank');
    await settled();
    expect(put.mock.calls.map(([, { version }]) => version)).toEqual([4]);
  });

  it('is kept once more where it changed while it was being kept', async () => {
    const { at, put } = await desk();
    at.set({ name: 'One' });
    at.set({ name: 'Two' });
    await settled();
    expect(put.mock.calls.map(([, asked]) => [asked.version, asked.layout.name])).toEqual([
      [4, 'One'],
      [5, 'Two'],
    ]);
  });

  it('goes back and forth, step by step', async () => {
    const { at } = await desk();
    at.set({ name: 'One' });
    at.set({ name: 'Two' });
    at.undo();
    expect(nameOf(at)).toBe('One');
    at.undo();
    at.undo();
    expect(nameOf(at)).toBe('Short form');
    at.redo();
    expect(nameOf(at)).toBe('One');
    at.set({ name: 'Three' });
    at.redo();
    expect(nameOf(at)).toBe('Three');
  });

  it('is no longer complete once a row changes, and nothing comes of a gesture that does nothing', async () => {
    const { at } = await desk();
    at.set({ complete: true });
    expect(at.edit({ does: 'remove', id: 'gone' })).toBe(false);
    expect(at.layout()?.complete).toBe(true);
  });

  it('stays on the page where it could not be kept, and says so', async () => {
    const { at, put, note } = await desk();
    put.mockRejectedValueOnce(new Error('away'));
    at.set({ name: 'For the bank' });
    await settled();
    expect([nameOf(at), at.problem() !== null]).toEqual(['For the bank', true]);
    expect(note).toHaveBeenLastCalledWith('layout', 'pageOnly');
    await at.keep();
    expect(at.problem()).toBeNull();
    expect(note).toHaveBeenLastCalledWith('layout', null);
  });

  it('takes over what a colleague made of it, unless something waits to be kept', async () => {
    const { at, all, put } = await desk();
    all.set([{ id: ID, version: 5, layout: layout('A colleague’s'), partly: false }]);
    TestBed.tick();
    expect(nameOf(at)).toBe('A colleague’s');
    put.mockRejectedValueOnce(new Error('away'));
    at.set({ name: 'Mine' });
    await settled();
    all.set([{ id: ID, version: 6, layout: layout('Theirs again'), partly: false }]);
    TestBed.tick();
    expect(nameOf(at)).toBe('Mine');
  });

  it('is not changed by somebody who does not see all its accounts', async () => {
    const { at, put } = await desk(true);
    at.set({ name: 'For the bank' });
    await settled();
    expect([nameOf(at), put.mock.calls.length]).toEqual(['Short form', 0]);
  });

  it('is gone once nobody has it any more', async () => {
    const { at, all } = await desk();
    expect(at.isGone()).toBe(false);
    all.set([]);
    expect(at.isGone()).toBe(true);
  });
});
