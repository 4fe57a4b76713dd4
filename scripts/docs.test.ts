import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { settings } from '@/server/env';

const PAGES = [
  'README.md',
  'CONTRIBUTING.md',
  ...readdirSync('docs', { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.md'))
    .map((name) => join('docs', name)),
];
const read = (page: string) => readFileSync(page, 'utf8');

/** The second of each match, over all of a text. */
const named = (text: string, pattern: RegExp) => [...text.matchAll(pattern)].map(([, name]) => name!);

/** A heading as links name it. */
const anchorOf = (heading: string) =>
  heading
    .toLowerCase()
    .replace(/[^\p{L}\p{N} _-]/gu, '')
    .replaceAll(' ', '-');

describe('what is written for readers', () => {
  it.each(PAGES)('%s leads only where something is', (page) => {
    for (const target of named(read(page), /\]\(([^)\s]+)\)/g)) {
      if (/^(https?|mailto):/.test(target)) continue;
      const [path, anchor] = target.split('#') as [string, string | undefined];
      const file = path === '' ? page : join(dirname(page), path);
      expect(existsSync(file), `${target} is not there`).toBe(true);
      if (anchor && file.endsWith('.md'))
        expect(named(read(file), /^#+ (.+)$/gm).map(anchorOf), `${target} has no such heading`).toContain(
          anchor,
        );
    }
  });

  it.each(PAGES)('%s names scripts and files that exist', (page) => {
    const { scripts } = JSON.parse(read('package.json')) as { scripts: Record<string, string> };
    for (const script of named(read(page), /npm run (?:-s )?([a-z][a-z:-]*)/g))
      expect(Object.keys(scripts), `npm run ${script}`).toContain(script);
    for (const path of named(read(page), /`((?:src|tests|scripts|docs)\/[\w./[\]()-]+)`/g))
      expect(existsSync(path), `${path} is not there`).toBe(true);
  });

  it('the README shows every picture that is kept, under twenty of them', () => {
    const kept = readdirSync('docs/screenshots').sort();
    expect(kept.length).toBeLessThan(20);
    expect([...new Set(named(read('README.md'), /docs\/screenshots\/([\w-]+\.png)/g))].sort()).toEqual(kept);
  });
});

describe('settings', () => {
  const rows = read('docs/running.md')
    .split('\n')
    .filter((line) => line.startsWith('| `'))
    .map((line) => line.split('|').map((cell) => cell.trim()));
  const table = rows.flatMap(([, names, , usual]) => {
    const values = usual!.split(', ');
    return named(names!, /`(\w+)`/g).map((name, i) => ({ name, usual: values[i] ?? values[0]! }));
  });
  // What the runtime itself goes by is no choice of whoever runs it.
  const CHOSEN = Object.keys(settings.shape).filter((name) => name !== 'NODE_ENV');

  it('are all in docs/running.md, and no others', () => {
    expect(table.map(({ name }) => name).sort()).toEqual([...CHOSEN].sort());
  });

  it('stand there as they are where nothing is set', () => {
    const usual: Record<string, unknown> = settings.parse({});
    for (const { name, usual: written } of table) {
      const value = usual[name];
      if (value === '') expect(written, name).toBe('none');
      // Left out is neither on nor off: it is said in words what then counts.
      else if (value !== null) expect(written.replaceAll('`', ''), name).toBe(String(value));
    }
  });

  it('of what is deployed are settings, and are taken', () => {
    const files = ['Dockerfile', 'keen-spiral.service', 'compose.yaml'] as const;
    const [docker, service, compose] = files.map((file) => read(join('deploy', file)));
    const given = [
      docker!.slice(docker!.indexOf('ENV'), docker!.indexOf('WORKDIR', docker!.indexOf('ENV'))),
      service!.replaceAll('Environment=', ''),
    ].map((text) =>
      Object.fromEntries(
        [...text.matchAll(/^\W*(?:ENV )?([A-Z][A-Z_]+)=(\S+)/gm)].map(([, ...pair]) => pair),
      ),
    );
    for (const values of given) {
      const { NEXT_TELEMETRY_DISABLED, NODE_ENV, ...own } = values as Record<string, string>;
      expect([NEXT_TELEMETRY_DISABLED, NODE_ENV]).toEqual(['1', 'production']);
      expect(Object.keys(own).length).toBeGreaterThan(0);
      for (const name of Object.keys(own)) expect(CHOSEN).toContain(name);
      expect(settings.safeParse(own).success).toBe(true);
    }
    const app = compose!.slice(compose!.indexOf('  app:'), compose!.indexOf('  proxy:'));
    for (const name of named(app, /^ {6}([A-Z_]+):/gm)) expect(CHOSEN).toContain(name);
  });

  it('say what is wrong with them', () => {
    const said = (given: Record<string, string>) =>
      settings.safeParse(given).error?.issues.map(({ path, message }) => `${path.join('.')}: ${message}`) ??
      [];
    expect(said({ HOST: '0.0.0.0' }).join()).toMatch(/^HOST: beyond this computer .*LAN=on.*BEHIND_PROXY=on/);
    expect(said({ HOST: '0.0.0.0', BEHIND_PROXY: 'on' })).toEqual([]);
    expect(said({ PORT: '70000' })[0]).toMatch(/^PORT: .*65535/);
    expect(said({ LAN: 'yes' })[0]).toMatch(/^LAN: .*"on"\|"off"/);
    expect(said({ COPY_EVERY_MIN: '-1' })).toHaveLength(1);
  });
});
