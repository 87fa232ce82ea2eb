import type { Reading } from '@iunctus/exchange/reading';
import { TableFile } from './table-file';
import { createFileWorker } from './file-worker.factory';

jest.mock('./file-worker.factory', () => ({ createFileWorker: jest.fn() }));

class Reader extends EventTarget {
  readonly terminate = jest.fn();
  readonly postMessage = jest.fn();
  answer(data: Reading): void {
    this.dispatchEvent(Object.assign(new Event('message'), { data }));
  }
}

const sheet = (name: string, ...cells: readonly string[]) => ({
  name,
  rows: cells.map((cell, at) => ({ line: at + 1, cells: [cell] })),
});
const twoSheets = {
  ok: true,
  file: { sheets: [sheet('Paid', '1'), sheet('Open', '2', 'x')] },
} as unknown as Reading;
/** Bytes as a browser hands them over; the test's own blobs cannot be read. */
const bytes = (size = 3) =>
  ({ size, arrayBuffer: () => Promise.resolve(new ArrayBuffer(3)) }) as unknown as Blob;

describe('a file with tables', () => {
  const taken = async () => {
    const reader = new Reader();
    jest.mocked(createFileWorker).mockReturnValue(reader as unknown as Worker);
    const opened = jest.fn();
    const file = new TableFile(opened);
    await file.take('open.xlsx', bytes());
    return { reader, opened, file };
  };

  it('is read apart from the page, and opens at its first sheet', async () => {
    const { reader, opened, file } = await taken();
    expect(file.busy()).toBe(true);
    reader.answer(twoSheets);
    expect([file.busy(), file.rows()[0]?.cells, opened.mock.calls.length]).toEqual([
      false,
      ['1'],
      1,
    ]);
    expect(reader.terminate).toHaveBeenCalled();
  });

  it('keeps what was put right until another sheet is chosen', async () => {
    const { reader, file } = await taken();
    reader.answer(twoSheets);
    file.chooseSheet(1);
    file.mend(2, 0, '3');
    expect(file.rows().map(({ cells }) => cells[0])).toEqual(['2', '3']);
    file.chooseSheet(1);
    expect(file.rows().map(({ cells }) => cells[0])).toEqual(['2', 'x']);
  });

  it('says why it cannot be read, also where the reader breaks', async () => {
    const { reader, file } = await taken();
    reader.dispatchEvent(new Event('error'));
    expect([file.problem(), file.sheets()]).toEqual([{ code: 'damaged' }, null]);
  });

  it('is refused before it is read where it is too large', async () => {
    const file = new TableFile(() => undefined);
    await file.take('all.csv', bytes(1e9));
    expect([file.problem(), file.busy()]).toEqual([{ code: 'tooLarge' }, false]);
  });

  it('is forgotten when it is left, also while it is read', async () => {
    const { reader, file } = await taken();
    file.leave();
    expect([file.busy(), file.sheets()]).toEqual([false, null]);
    expect(reader.terminate).toHaveBeenCalled();
  });
});
