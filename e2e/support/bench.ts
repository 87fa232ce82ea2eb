import type { Browser } from 'puppeteer-core';
import { Application } from './application';
import { Bookkeeper, MAREN } from './bookkeeper';
import { openBrowser } from './browser';

/** Maren, signed in, in an application and a browser of her own. */
export interface AtTheBench {
  readonly maren: Bookkeeper;
  readonly application: Application;
  /** Somebody else, signed in, in a browser session of their own. */
  another(email: string): Promise<Bookkeeper>;
  leave(): Promise<void>;
}

/** Starts everything and signs Maren in, who sees the list of clients. */
export const openPractice = async (): Promise<AtTheBench> => {
  const application = await Application.start();
  const browser: Browser = await openBrowser();
  const maren = await Bookkeeper.at(browser, application);
  await maren.signIn(MAREN);
  return {
    maren,
    application,
    async another(email) {
      const other = await Bookkeeper.at(browser, application);
      await other.signIn(email);
      return other;
    },
    async leave() {
      await browser.close();
      await application.stop();
    },
  };
};

/** Starts everything and opens the client's bench. */
export const openBench = async (client: string): Promise<AtTheBench> => {
  const bench = await openPractice();
  await bench.maren.openClient(client);
  await bench.maren.hasChart();
  return bench;
};
