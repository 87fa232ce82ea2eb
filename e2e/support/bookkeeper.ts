import type { Browser, BrowserContext, KeyInput, Page } from 'puppeteer-core';
import type { Application } from './application';

export const MAREN = 'maren@quillrow.example';
export const TOBIAS = 'tobias@quillrow.example';
const PASSWORD = 'ledger-and-line';
/** How long anything may take to appear, in milliseconds. */
const PATIENCE = 15_000;

/** A row of the chart as it is read on the screen. */
export interface Row {
  readonly number: string;
  readonly name: string;
  readonly was: string;
  readonly kind: string;
  readonly amount: string;
  readonly level: number;
  readonly selected: boolean;
}

/** A line of the statement as it is read on the screen. */
export interface Line {
  readonly words: string;
  readonly moved: string;
  readonly amount: string;
}

/** Somebody at the keyboard. Types and reads; the mouse stays where it is. */
export class Bookkeeper {
  /** Errors and warnings of the console; none are wanted. */
  readonly complaints: string[] = [];

  private constructor(
    readonly page: Page,
    private readonly context: BrowserContext,
    private readonly application: Application,
  ) {
    page.setDefaultTimeout(PATIENCE);
    page.on('console', (message) => {
      if (['error', 'warn'].includes(message.type())) this.complaints.push(message.text());
    });
    page.on('pageerror', (error) => this.complaints.push(String(error)));
  }

  /** Opens the application in a browser session of their own. */
  static async at(browser: Browser, application: Application): Promise<Bookkeeper> {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    // Several windows are open at once; each behaves as if it were the one in front.
    await page.emulateFocusedPage(true);
    await page.goto(application.address);
    return new Bookkeeper(page, context, application);
  }

  /** Another window of the same session. */
  async anotherWindow(): Promise<Bookkeeper> {
    const page = await this.context.newPage();
    await page.emulateFocusedPage(true);
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(this.page.url());
    return new Bookkeeper(page, this.context, this.application);
  }

  /** Closes the window, waits for what happens meanwhile, and comes back to the same place. */
  async anotherVisit(meanwhile: () => Promise<void>): Promise<Bookkeeper> {
    const address = this.page.url();
    const page = await this.context.newPage();
    await this.page.close();
    await meanwhile();
    const again = new Bookkeeper(page, this.context, this.application);
    await page.emulateFocusedPage(true);
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(address);
    return again;
  }

  async close(): Promise<void> {
    await this.context.close();
  }

  async signIn(email: string, password = PASSWORD): Promise<void> {
    await this.page.waitForSelector('input[type=email]:focus');
    await this.type(email);
    await this.press('Tab');
    await this.type(password);
    await this.press('Enter');
  }

  /**
   * Presses keys one after the other; `Shift+N` and the like are chords. Nobody types blindly: the
   * page has drawn what a key does before the next one is pressed.
   */
  async press(...keys: readonly string[]): Promise<void> {
    for (const chord of keys) {
      const parts = chord.split('+') as KeyInput[];
      const last = parts.pop();
      for (const held of parts) await this.page.keyboard.down(held);
      if (last !== undefined) await this.page.keyboard.press(last);
      for (const held of parts.reverse()) await this.page.keyboard.up(held);
      await this.isDrawn();
    }
  }

  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    await this.isDrawn();
  }

  /** Waits until the page has drawn what the last key changed by itself, without the server. */
  private async isDrawn(): Promise<void> {
    await this.page.evaluate(
      () =>
        new Promise<void>((resolve) =>
          requestAnimationFrame(() => setTimeout(() => requestAnimationFrame(() => resolve()))),
        ),
    );
  }

  /** Presses Tab until the element in focus has the words as text or label. */
  async tabTo(words: string): Promise<void> {
    for (let count = 0; count < 120; count += 1) {
      const reached = await this.page.evaluate((wanted) => {
        const active = document.activeElement;
        const written =
          active instanceof HTMLInputElement || active instanceof HTMLTextAreaElement
            ? (active.labels?.[0]?.textContent ?? '')
            : (active?.textContent ?? '');
        return (active?.getAttribute('aria-label') ?? written).trim().startsWith(wanted);
      }, words);
      if (reached) return;
      await this.press('Tab');
    }
    throw new Error(`nothing in reach of the Tab key is called “${words}”`);
  }

  /** Does what the command field finds first for some words. */
  async command(words: string): Promise<void> {
    await this.press('Control+k');
    await this.page.waitForSelector('#command-field:focus');
    await this.type(words);
    await this.press('Enter');
    await this.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('#command-field')?.value === '',
    );
  }

  /** Reaches something by Tab and does it. */
  async does(words: string): Promise<void> {
    await this.tabTo(words);
    await this.press('Enter');
  }

  /** Opens a client from the list by Tab and Enter, and waits for what it shows. */
  async openClient(name: string): Promise<void> {
    await this.sees(name);
    await this.tabTo(name);
    await this.press('Enter');
  }

  /** Waits until the text stands somewhere on the page. */
  async sees(text: string): Promise<void> {
    await this.page
      .waitForFunction((wanted) => document.body.innerText.includes(wanted), {}, text)
      .catch(async () => {
        const shown = await this.page.evaluate(() => document.body.innerText);
        throw new Error(`“${text}” is not to be seen; this is:\n${shown}`);
      });
  }

  /** Waits until the text stands nowhere on the page. */
  async seesNoMore(text: string): Promise<void> {
    await this.page.waitForFunction(
      (unwanted) => !document.body.innerText.includes(unwanted),
      {},
      text,
    );
  }

  /** Waits until the chart is there and has the keyboard. */
  async hasChart(): Promise<void> {
    await this.page.waitForSelector('[role=treegrid]:focus');
    await this.page.waitForSelector('[role=row] .number');
  }

  /** Waits until the proposal is kept on the server. */
  async isKept(): Promise<void> {
    await this.page.waitForFunction(
      () => document.querySelector('iu-foot-bar .saving')?.textContent?.trim() === 'Kept',
    );
  }

  /** Puts the cursor on an account by filtering for its number or name. */
  async goTo(text: string): Promise<void> {
    await this.press('/');
    await this.page.waitForSelector('.filter input:focus');
    await this.type(text);
    await this.press('Enter');
    await this.page.waitForSelector('[role=treegrid]:focus');
    await this.press('/');
    await this.page.waitForSelector('.filter input:focus');
    await this.press('Escape');
    await this.page.waitForSelector('[role=treegrid]:focus');
    await this.cursorIsInSight();
  }

  /** Waits until the row at the cursor has been brought into sight. */
  private async cursorIsInSight(): Promise<void> {
    await this.page.waitForFunction(() => {
      const row = document.querySelector('.row.selected')?.getBoundingClientRect();
      const list = document.querySelector('[role=treegrid]')?.getBoundingClientRect();
      return (
        row !== undefined && list !== undefined && row.top >= list.top && row.bottom <= list.bottom
      );
    });
  }

  /** Drags one row of the chart onto another, or onto its upper edge; both must be in sight. Gives whether it was seen on top. */
  async drag(from: string, to: string, where: 'before' | 'inside'): Promise<boolean> {
    const [start, end] = [await this.middleOf(from), await this.middleOf(to)];
    const y = where === 'before' ? end.y - 10 : end.y;
    await this.page.mouse.move(start.x, start.y);
    await this.page.mouse.down();
    await this.page.mouse.move(start.x + 4, start.y - 8, { steps: 4 });
    await this.page.mouse.move(end.x, y, { steps: 8 });
    const isOnTop = await this.page.evaluate(
      (point) => document.elementFromPoint(point.x, point.y)?.closest('.cdk-drag-dragging') != null,
      { x: end.x, y },
    );
    await this.page.mouse.up();
    return isOnTop;
  }

  private async middleOf(number: string): Promise<{ x: number; y: number }> {
    const place = await this.page.waitForFunction(
      (wanted) => {
        const list = document.querySelector('[role=treegrid]')?.getBoundingClientRect();
        const row = [...document.querySelectorAll('.row[aria-level]')]
          .find((one) => one.querySelector('.number')?.textContent?.trim() === wanted)
          ?.getBoundingClientRect();
        if (row === undefined || list === undefined) return null;
        const inSight = row.top >= list.top && row.bottom <= list.bottom;
        return inSight ? { x: row.x + 300, y: row.y + row.height / 2 } : null;
      },
      {},
      number,
    );
    return place.jsonValue() as Promise<{ x: number; y: number }>;
  }

  /** The rows of the chart that are drawn. */
  rows(): Promise<Row[]> {
    return this.page.$$eval('.row[aria-level]', (elements) =>
      elements.map((element) => {
        const read = (selector: string) =>
          element.querySelector(selector)?.textContent?.trim() ?? '';
        return {
          number: read('.number'),
          name: read('.name .text'),
          was: read('.was'),
          kind: read('.kind'),
          amount: read('.amount'),
          level: Number(element.getAttribute('aria-level')),
          selected: element.getAttribute('aria-selected') === 'true',
        };
      }),
    );
  }

  /** Waits until the row at the cursor reads so. */
  async cursorShows(expected: Partial<Row>): Promise<void> {
    await this.becomes(async () => (await this.rows()).find(({ selected }) => selected), expected);
  }

  /** Waits until the row of that number reads so. */
  async rowShows(number: string, expected: Partial<Row>): Promise<void> {
    await this.becomes(
      async () => (await this.rows()).find((row) => row.number === number),
      expected,
    );
  }

  /** Waits until the statement has a line of those words that reads so. */
  async lineShows(words: string, expected: Partial<Line> = {}): Promise<void> {
    await this.becomes(
      async () => (await this.lines()).find((line) => line.words === words),
      expected,
    );
  }

  /** The lines of the statement that are drawn. */
  lines(): Promise<Line[]> {
    return this.page.$$eval('iu-statement-sheet .line', (elements) =>
      elements.map((element) => {
        const read = (selector: string) =>
          element.querySelector(selector)?.textContent?.trim() ?? '';
        return { words: read('.words'), moved: read('.moved'), amount: read('.amount') };
      }),
    );
  }

  /** Looks again and again until what is read matches; fails when patience ends. */
  private async becomes<T extends object>(
    read: () => Promise<T | undefined>,
    expected: Partial<T>,
  ): Promise<void> {
    const until = Date.now() + PATIENCE;
    let last = await read();
    const fits = (): boolean =>
      last !== undefined &&
      Object.entries(expected).every(([key, value]) => last?.[key as keyof T] === value);
    while (!fits() && Date.now() < until) {
      await new Promise((resolve) => setTimeout(resolve, 30));
      last = await read();
    }
    if (!fits())
      throw new Error(`wanted ${JSON.stringify(expected)}, found ${JSON.stringify(last)}`);
  }
}
