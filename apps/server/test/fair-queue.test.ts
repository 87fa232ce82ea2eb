import { FairQueue } from '../src/lanes/fair-queue';

/** Work that ends when it is told to, and notes when it began. */
const work = (name: string, began: string[]) => {
  let end = (): void => undefined;
  const ended = new Promise<void>((resolve) => {
    end = resolve;
  });
  const run = async (): Promise<string> => {
    began.push(name);
    await ended;
    return name;
  };
  return { run, end: () => end() };
};
const settled = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

describe('work that waits for its turn', () => {
  const owned = (owner: string, exclusive: string | null = null) => ({ owner, exclusive });

  it('runs so much at once and no more', async () => {
    const [queue, began] = [new FairQueue({ atOnce: 2, waiting: 9 }), [] as string[]];
    const all = ['a', 'b', 'c'].map((name) => ({ name, ...work(name, began) }));
    const running = all.map(({ name, run }) => queue.run(owned(name), run));
    await settled();
    expect(began).toEqual(['a', 'b']);
    all[0]?.end();
    await running[0];
    await settled();
    expect(began).toEqual(['a', 'b', 'c']);
    for (const { end } of all) end();
    expect(await Promise.all(running)).toEqual(['a', 'b', 'c']);
  });

  it('goes to people in turn, however much one of them asks for', async () => {
    const [queue, began] = [new FairQueue({ atOnce: 1, waiting: 9 }), [] as string[]];
    const asked = [
      ['Maren', '1'],
      ['Maren', '2'],
      ['Maren', '3'],
      ['Tobias', '4'],
    ] as const;
    const all = asked.map(([owner, name]) => ({ owner, ...work(name, began) }));
    const running = all.map(({ owner, run }) => queue.run(owned(owner), run));
    for (const { end } of all) end();
    await Promise.all(running);
    expect(began).toEqual(['1', '2', '4', '3']);
  });

  it('on one thing runs one after the other, and lets other work pass', async () => {
    const [queue, began] = [new FairQueue({ atOnce: 3, waiting: 9 }), [] as string[]];
    const all = [
      ['x', 'chart'],
      ['y', 'chart'],
      ['z', 'other'],
    ].map(([name = '', chart = '']) => ({ chart, ...work(name, began) }));
    const running = all.map(({ chart, run }) => queue.run(owned('Maren', chart), run));
    await settled();
    expect(began).toEqual(['x', 'z']);
    for (const { end } of all) end();
    await Promise.all(running);
    expect(began).toEqual(['x', 'z', 'y']);
  });

  it('gives its place free when it fails', async () => {
    const queue = new FairQueue({ atOnce: 1, waiting: 9 });
    const failed = queue.run(owned('Maren', 'chart'), () => Promise.reject(new Error('no')));
    await expect(failed).rejects.toThrow('no');
    expect(await queue.run(owned('Maren', 'chart'), () => Promise.resolve(1))).toBe(1);
  });

  it('is refused as busy where too much of one person waits already', async () => {
    const [queue, began] = [new FairQueue({ atOnce: 1, waiting: 1 }), [] as string[]];
    const first = work('a', began);
    const running = [queue.run(owned('Maren'), first.run), queue.run(owned('Maren'), first.run)];
    await expect(queue.run(owned('Maren'), first.run)).rejects.toMatchObject({
      problem: { code: 'busy' },
    });
    first.end();
    await Promise.all(running);
  });
});
