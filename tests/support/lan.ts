import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import type { Database } from '@/server/db/client';
import { networkName } from '@/server/doors/addresses';
import { launchBrowser } from './browser';
import { aDatabase, freePort, serve, type Filling } from './server';

/** A server that lets the network in, with all its doors on this machine. */
export interface LanServer {
  /** The door of this computer. */
  readonly near: string;
  /** The door of the network, by name. */
  readonly origin: string;
  readonly offer: string;
  readonly name: string;
  readonly database: Database;
  readonly url: string;
  /** Where the authority is kept. */
  readonly folder: string;
  /** A browser that trusts the authority, as a phone does that installed it, in a profile that is thrown away. */
  readonly phone: () => Promise<Browser>;
  readonly end: (signal: 'SIGTERM' | 'SIGKILL') => Promise<void>;
  /** Starts it again at the same doors. */
  readonly again: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** A home folder whose browsers trust one authority. */
function trusting(authority: string): string {
  const home = mkdtempSync(join(tmpdir(), 'keen-phone-'));
  const store = join(home, '.pki', 'nssdb');
  mkdirSync(store, { recursive: true });
  const run = (...args: string[]) => execFileSync('certutil', ['-d', `sql:${store}`, ...args]);
  run('-N', '--empty-password');
  run('-A', '-t', 'C,,', '-n', 'studio', '-i', authority);
  return home;
}

/** Starts the built app with the studio's network let in. */
export async function startLan(data: Filling, nowMs = Date.now()): Promise<LanServer> {
  const { folder, url, database } = await aDatabase(data, nowMs);
  const [port, httpsPort, offerPort] = [await freePort(), await freePort(), await freePort()];
  const settings = { LAN: 'on', HTTPS_PORT: String(httpsPort), OFFER_PORT: String(offerPort) };
  const name = networkName(hostname());
  let served = await serve(url, port, '.', settings);
  const homes: string[] = [];
  return {
    near: served.origin,
    origin: `https://${name}:${httpsPort}`,
    offer: `http://127.0.0.1:${offerPort}`,
    name,
    database,
    url,
    folder: join(folder, 'network'),
    phone: () => {
      const home = trusting(join(folder, 'network', 'authority.pem'));
      homes.push(home);
      return launchBrowser({
        env: { ...process.env, HOME: home },
        // The name is this machine, as the studio's network would say.
        args: [`--host-resolver-rules=MAP ${name} 127.0.0.1`],
      });
    },
    end: (signal) => served.end(signal),
    again: async () => {
      served = await serve(url, port, '.', settings);
    },
    stop: async () => {
      await served.end('SIGTERM');
      database.close();
      for (const made of [folder, ...homes]) rmSync(made, { recursive: true, force: true });
    },
  };
}
