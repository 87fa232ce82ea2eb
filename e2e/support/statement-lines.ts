import type { Bookkeeper } from './bookkeeper';

/** The lines of a statement in its grid, as they are read and reached by keyboard. */
export class StatementLines {
  constructor(private readonly reader: Bookkeeper) {}

  /** The lines as they are read: words, then each cell. */
  all(): Promise<string[][]> {
    return this.reader.page.$$eval('[role=grid] [role=row]', (rows) =>
      rows.map((row) =>
        [...row.querySelectorAll<HTMLElement>('[role=gridcell]')].map((cell) =>
          cell.innerText.replace(/\s+/g, ' ').trim(),
        ),
      ),
    );
  }

  /** Waits for a line that begins with some words and has some cells. */
  async shows(words: string, ...cells: readonly string[]): Promise<void> {
    await this.reader.page.waitForFunction(
      (wanted) =>
        [...document.querySelectorAll('[role=grid] [role=row]')].some((row) => {
          const [name = '', ...others] = [...row.querySelectorAll('[role=gridcell]')].map((cell) =>
            (cell as HTMLElement).innerText.replace(/\s+/g, ' ').trim(),
          );
          return (
            name.startsWith(wanted[0] ?? '') &&
            wanted.slice(1).every((cell, at) => others[at] === cell)
          );
        }),
      {},
      [words, ...cells],
    );
  }

  /** Puts the cursor on a line. */
  async goTo(words: string): Promise<void> {
    const { page } = this.reader;
    await page.waitForSelector('[role=grid] [role=row]');
    await page.focus('[role=grid]');
    await this.reader.press('Home');
    for (let count = 0; count < 80; count += 1) {
      const at = await page.$eval('[role=row].picked', (row) => row.textContent?.trim() ?? '');
      if (at.startsWith(words)) return;
      await this.reader.press('ArrowDown');
    }
    throw new Error(`no line is called “${words}”`);
  }
}

/** A file behind a link of the page, as bytes. */
export const fileBehind = async (reader: Bookkeeper, link: string): Promise<Buffer> => {
  const address = await reader.page.$eval(link, (found) => found.getAttribute('href') ?? '');
  const bytes = await reader.page.evaluate(async (from) => {
    const answer = await fetch(from);
    return [...new Uint8Array(await answer.arrayBuffer())];
  }, address);
  return Buffer.from(bytes);
};
