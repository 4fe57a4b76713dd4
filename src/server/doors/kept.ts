import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { issue, makeAuthority, nameOf, stillServes, type Pair } from './certificates';

/** What is kept of the network from one start to the next. */
const keptNetwork = z.object({
  isOn: z.boolean(),
  addresses: z.array(z.string()),
  movedAtMs: z.number().nullable(),
});
export type KeptNetwork = z.output<typeof keptNetwork>;

const NETWORK = 'network.json';
const AUTHORITY = 'authority';
const SERVER = 'server';

/** Writes a file whole or not at all, for its owner's eyes only. */
function write(path: string, text: string): void {
  writeFileSync(`${path}.half`, text, { mode: 0o600 });
  chmodSync(`${path}.half`, 0o600);
  renameSync(`${path}.half`, path);
}

function readPair(folder: string, name: string): Pair | null {
  const [certificate, key] = [join(folder, `${name}.pem`), join(folder, `${name}-key.pem`)];
  return existsSync(certificate) && existsSync(key)
    ? { certificatePem: readFileSync(certificate, 'utf8'), keyPem: readFileSync(key, 'utf8') }
    : null;
}

function writePair(folder: string, name: string, { certificatePem, keyPem }: Pair): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  write(join(folder, `${name}-key.pem`), keyPem);
  write(join(folder, `${name}.pem`), certificatePem);
}

/** What is kept in a folder; nothing known where there is none, or somebody spoilt it. */
export function readNetwork(folder: string): KeptNetwork {
  try {
    return keptNetwork.parse(JSON.parse(readFileSync(join(folder, NETWORK), 'utf8')));
  } catch {
    return { isOn: false, addresses: [], movedAtMs: null };
  }
}

export function keepNetwork(folder: string, network: KeptNetwork): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  write(join(folder, NETWORK), `${JSON.stringify(network, null, 2)}\n`);
}

/** The authority of a folder, or null. */
export const keptAuthority = (folder: string): Pair | null => readPair(folder, AUTHORITY);

/** Makes an authority for a name and keeps it in the place of any other. */
export async function renewAuthority(folder: string, name: string, nowMs: number): Promise<Pair> {
  const authority = await makeAuthority(name, nowMs);
  writePair(folder, AUTHORITY, authority);
  return authority;
}

/** The authority of a folder, made once; and a certificate of this server that fits its addresses, made when none does. */
export async function certified(
  folder: string,
  name: string,
  addresses: readonly string[],
  nowMs: number,
): Promise<{ authority: Pair; server: Pair }> {
  const authority = keptAuthority(folder) ?? (await renewAuthority(folder, name, nowMs));
  const names = [nameOf(authority.certificatePem), 'localhost'];
  const kept = readPair(folder, SERVER);
  if (kept?.certificatePem.endsWith(authority.certificatePem) && stillServes(kept, names, addresses, nowMs))
    return { authority, server: kept };
  const server = await issue(authority, names, ['127.0.0.1', ...addresses], nowMs);
  writePair(folder, SERVER, server);
  return { authority, server };
}
