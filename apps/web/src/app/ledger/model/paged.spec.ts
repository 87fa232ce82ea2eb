import { of, throwError } from 'rxjs';
import { Paged } from './paged';

describe('something long that is read page by page', () => {
  it('goes on behind its last item, until there is no more', async () => {
    const asked: (number | null)[] = [];
    const list = new Paged<number>((behind) => {
      asked.push(behind);
      const from = behind ?? 0;
      return of({ items: [from + 1, from + 2], more: from < 2 });
    });
    await list.restart();
    await list.next();
    await list.next();
    expect(list.items()).toEqual([1, 2, 3, 4]);
    expect(asked).toEqual([null, 2]);
    await list.restart();
    expect(list.items()).toEqual([1, 2]);
  });

  it('keeps what is there and says why where a page cannot be had', async () => {
    let fails = false;
    const list = new Paged<number>(() =>
      fails ? throwError(() => new Error('away')) : of({ items: [1], more: true }),
    );
    await list.restart();
    fails = true;
    await list.next();
    expect(list.items()).toEqual([1]);
    expect(list.problem()).not.toBeNull();
    expect(list.loading()).toBe(false);
  });
});
