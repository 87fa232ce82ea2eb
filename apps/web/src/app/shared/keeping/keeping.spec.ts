import 'fake-indexeddb/auto';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { clear } from 'idb-keyval';
import * as v from 'valibot';
import { Keepsakes } from './keepsakes.service';
import { KEEPER, KeptByWindow } from './kept-by-window';
import { OpenWindows } from './open-windows.service';
import { Unsaved } from './unsaved.service';

const Text = v.strictObject({ text: v.string() });
const LONG = 'x'.repeat(300_000);

/** What the browser does with a value that it keeps; the test environment has it not. */
const cloned = (value: unknown): unknown => {
  if (value instanceof Uint8Array) return new Uint8Array(value);
  if (Array.isArray(value)) return value.map(cloned);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, cloned(part)]));
};
globalThis.structuredClone = cloned;

beforeEach(async () => {
  localStorage.clear();
  await clear();
});

describe('what this browser keeps', () => {
  const keepsakes = () => TestBed.inject(Keepsakes);

  it('is found by the beginning of its key, short or long', async () => {
    await keepsakes().put('maren/c1/outline/w1', { text: 'Assets' });
    await keepsakes().put('maren/c1/outline/w2', { text: LONG });
    await keepsakes().put('tobias/c1/outline/w3', { text: 'Income' });
    const found = await keepsakes().under('maren/c1/', Text);
    expect(found.map(({ key, value }) => [key, value.text.length])).toEqual([
      ['maren/c1/outline/w1', 6],
      ['maren/c1/outline/w2', LONG.length],
    ]);
    expect(await keepsakes().keys('tobias/')).toEqual(['tobias/c1/outline/w3']);
  });

  it('is there at once when it is short, so that a page that closes loses nothing', () => {
    void keepsakes().put('maren/c1/row/w1', { text: 'Half a na' });
    expect(localStorage.getItem('iunctus:maren/c1/row/w1')).toContain('Half a na');
  });

  it('is the newest, once, whether it grew long or became short again', async () => {
    for (const text of ['short', LONG, 'short again']) await keepsakes().put('m/c/o/w', { text });
    const found = await keepsakes().under('m/', Text);
    expect(found.map(({ value }) => value.text)).toEqual(['short again']);
  });

  it('holds the bytes of a file', async () => {
    const File = v.strictObject({ bytes: v.instance(Uint8Array) });
    await keepsakes().put('m/c/list/w', { bytes: new Uint8Array([1, 2, 3]) });
    const [kept] = await keepsakes().under('m/', File);
    expect([...(kept?.value.bytes ?? [])]).toEqual([1, 2, 3]);
  });

  it('is left alone where it was written by another version, and gone once removed', async () => {
    await keepsakes().put('m/c/o/w', { words: 'of old' });
    expect(await keepsakes().under('m/', Text)).toEqual([]);
    await keepsakes().remove('m/c/o/w');
    expect(await keepsakes().keys('m/')).toEqual([]);
  });
});

describe('what a window keeps', () => {
  const open = new Set<string>();
  const windowCalled = (name: string): KeptByWindow<v.InferOutput<typeof Text>> => {
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({
      providers: [
        { provide: KEEPER, useValue: signal('maren') },
        {
          provide: OpenWindows,
          useValue: { own: Promise.resolve(name), others: () => Promise.resolve(open) },
        },
      ],
    });
    return TestBed.runInInjectionContext(() => new KeptByWindow('outline', Text));
  };
  const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 20));
  beforeEach(() => open.clear());

  it('comes back to the same window, its own first', async () => {
    windowCalled('w1').keep('c1', { text: 'mine' });
    await settled();
    windowCalled('w0').keep('c1', { text: 'left behind' });
    await settled();
    const texts = (await windowCalled('w1').of('c1')).map(({ text }) => text);
    expect(texts).toEqual(['mine', 'left behind']);
  });

  it('is not taken from a window that is open', async () => {
    windowCalled('w1').keep('c1', { text: 'being typed' });
    await settled();
    open.add('w1');
    expect(await windowCalled('w2').of('c1')).toEqual([]);
    open.clear();
    expect(await windowCalled('w2').of('c1')).toEqual([{ text: 'being typed' }]);
  });

  it('that was taken over is forgotten with the taker’s own', async () => {
    windowCalled('w1').keep('c1', { text: 'left behind' });
    await settled();
    const taker = windowCalled('w2');
    await taker.of('c1');
    taker.forget('c1');
    await settled();
    expect(await windowCalled('w3').of('c1')).toEqual([]);
  });

  it('is said to wait until it is forgotten', async () => {
    const kept = windowCalled('w1');
    kept.keep('c1', { text: 'waiting' });
    expect(TestBed.inject(Unsaved).any()).toBe(true);
    kept.forget('c1');
    expect(TestBed.inject(Unsaved).any()).toBe(false);
    await settled();
  });
});
