import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll } from 'vitest';
import type { Database } from '@/server/db/client';
import { launchBrowser, openPage } from './browser';
import { startServer, type Filling, type TestServer } from './server';

/** The running app, a browser, and a desk-sized page of it that collects what goes wrong. */
export interface Scene {
  readonly origin: string;
  readonly database: Database;
  readonly browser: Browser;
  readonly page: Page;
  readonly problems: string[];
}

/** Sets the scene before the checks of a file and clears it after them; not to be read before. */
export function setScene(data: Filling): Scene {
  let server: TestServer | undefined;
  let browser: Browser | undefined;
  let opened: { page: Page; problems: string[] } | undefined;
  beforeAll(async () => {
    server = await startServer(data);
    browser = await launchBrowser();
    opened = await openPage(browser);
  });
  afterAll(async () => {
    await browser?.close();
    await server?.stop();
  });
  return {
    get origin() {
      return server!.origin;
    },
    get database() {
      return server!.database;
    },
    get browser() {
      return browser!;
    },
    get page() {
      return opened!.page;
    },
    get problems() {
      return opened!.problems;
    },
  };
}
