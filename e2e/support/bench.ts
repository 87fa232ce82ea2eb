import type { Browser } from 'puppeteer-core';
import { Application } from './application';
import { Bookkeeper, MAREN } from './bookkeeper';
import { openBrowser } from './browser';

/** Maren, signed in at a client's bench, in an application and a browser of her own. */
export interface AtTheBench {
  readonly maren: Bookkeeper;
  leave(): Promise<void>;
}

/** Starts everything and opens the client's bench. */
export const openBench = async (client: string): Promise<AtTheBench> => {
  const application = await Application.start();
  const browser: Browser = await openBrowser();
  const maren = await Bookkeeper.at(browser, application);
  await maren.signIn(MAREN);
  await maren.openClient(client);
  await maren.hasChart();
  return {
    maren,
    async leave() {
      await browser.close();
      await application.stop();
    },
  };
};
