import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { planFile, type PlanFile } from '@/core/formats/plan-file';
import { suggestionsFile } from '@/core/formats/suggestions-file';
import { answerBrief } from '@/core/plan/answer-brief';
import { migrateDatabase, openDatabase } from '@/server/db/client';
import { createStudio } from '@/server/db/rows/studios';
import { seedDemo } from '../../scripts/demo/seed';
import { aBrief } from '../support/briefs';

const keen = (args: string[], input = '', databaseUrl = 'file:./test-output/none.db') =>
  spawnSync('node_modules/.bin/tsx', ['src/cli/keen.ts', ...args], {
    input,
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: databaseUrl },
  });

describe('the command line', () => {
  it('prints the plan of a file, the same as the core', () => {
    const run = keen(['forecast', 'docs/example-brief.json', '--pretty']);
    expect(run.status).toBe(0);
    expect(run.stdout).toContain('\n  "format": "keen-spiral/plan"');
    expect(run.stderr).toBe('');
  });

  it('reads standard input, one brief a line, and answers in order', () => {
    const lines = [aBrief(), { ...aBrief(), version: 9 }, aBrief({ set: { sections: 4 } })].map((brief) =>
      JSON.stringify(brief),
    );
    const run = keen(['forecast', '-', '--lines'], `${lines.join('\n')}\n`);
    const [first, second, third] = run.stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    const own = answerBrief(aBrief());
    expect(first).toEqual(own.ok && JSON.parse(JSON.stringify(own.value)));
    expect(second).toEqual({
      errors: [{ path: 'version', message: 'this version reads briefs of version 1' }],
    });
    expect(third!.sections).toHaveLength(4);
    expect(run.status).toBe(2);
  });

  it('says what is wrong on standard error and exits with 2', () => {
    const run = keen(['forecast', '-'], JSON.stringify(aBrief({ set: { sections: 900 } })));
    expect(run.status).toBe(2);
    expect(run.stdout).toBe('');
    expect(JSON.parse(run.stderr)).toEqual({
      errors: [{ path: 'set.sections', message: 'number of sections must be 2 to 600; 900 was given' }],
    });
    expect(keen(['forecast', 'nowhere.json']).stderr).toContain('cannot be read');
    expect(keen(['forecast', '-', '--loud']).stderr).toContain('--loud');
    expect(keen(['conjure']).stderr).toContain('conjure');
  });

  it('answers the brief of the format’s own page, every field of it', () => {
    const brief = readFileSync('docs/example-brief.json', 'utf8');
    const run = keen(['forecast', '-'], brief);
    expect(run.status).toBe(0);
    const plan = JSON.parse(run.stdout) as PlanFile;
    expect(planFile.safeParse(plan).success).toBe(true);
    expect(plan.sections.filter((section) => section.zone === 'nape')).toHaveLength(6);
    expect(plan.sections.find((section) => section.zone === 'nape')!.technique).toBe('comb-coil');
    expect(plan.drying.draws).toBe(400);
  });

  it('suggests what to do on a head, and says what is wrong with a wish', () => {
    const wish = {
      format: 'keen-spiral/wish',
      version: 1,
      head: { stretchedLengthCm: 22, strandDiameterUm: 55 },
      wants: ['lasts', 'soft'],
      wearBy: '2027-03-13T09:00:00-06:00',
    };
    const run = keen(['suggest', '-'], JSON.stringify(wish));
    expect(run.status).toBe(0);
    const answer = suggestionsFile.parse(JSON.parse(run.stdout));
    expect(answer.options.length).toBeGreaterThan(1);
    expect(answer.options[0]!.reasons.length).toBeGreaterThan(5);
    expect(answer.mostUsefulToMeasure).not.toBeNull();
    // What is suggested is a brief: it can be forecast as it is, and says the same.
    const plan = keen(['forecast', '-'], JSON.stringify({ ...answer.options[0]!.brief, draws: 0 }));
    expect(plan.status).toBe(0);
    expect((JSON.parse(plan.stdout) as PlanFile).daysPresentable.p50).toBeCloseTo(
      answer.options[0]!.figures.daysPresentable,
      9,
    );
    const wrong = keen(['suggest', '-', '--lines'], `${JSON.stringify({ ...wish, wants: ['fast'] })}\n`);
    expect(wrong.status).toBe(2);
    expect(JSON.parse(wrong.stdout)).toMatchObject({ errors: [{ path: 'wants.0' }] });
    expect(keen(['suggest', '--help']).stdout).toContain('WISH.json');
  });

  it('tells how long styles last, and what is wrong with a row', () => {
    const rows = 'group,days,given_up\nfoam,2,1\nfoam,3,1\nfoam,4,0\ngel,4,1\ngel,6,1\ngel,7,0\n';
    const run = keen(['days-lasted', '-'], rows);
    expect(run.status).toBe(0);
    const answer = JSON.parse(run.stdout) as {
      groups: {
        group: string;
        medianDays: number | null;
        table: { days: number; atRisk: number; survival: number }[];
      }[];
      logRank: { df: number; p: number };
    };
    expect(answer.groups.map(({ group, medianDays }) => [group, medianDays])).toEqual([
      ['foam', 3],
      ['gel', 6],
    ]);
    expect(answer.groups[0]!.table[0]).toMatchObject({ days: 2, atRisk: 3 });
    expect(answer.groups[0]!.table[0]!.survival).toBeCloseTo(2 / 3, 12);
    expect(answer.logRank.df).toBe(1);
    const wrong = keen(['days-lasted', '-'], 'group,days,given_up\nfoam,two,1\n');
    expect(wrong.status).toBe(2);
    expect(wrong.stderr).toContain('row 2.days');
    expect(keen(['days-lasted', '-'], 'group,days\nfoam,2\n').stderr).toContain('given_up is missing');
  });

  it('backs the whole database up and puts it back, keeping what was there', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'keen-cli-'));
    const url = `file:${join(folder, 'own.db')}`;
    const database = openDatabase(url);
    await migrateDatabase(database, url, 0);
    await database.write((tx) => createStudio(tx, { name: 'First', timeZone: 'UTC' }, 1));
    const copy = join(folder, 'copy.db');
    expect(keen(['backup', copy], '', url).status).toBe(0);
    expect(keen(['backup', copy], '', url).stderr).toContain('there already');
    await database.client.execute("update studios set name = 'Changed'");
    database.close();
    const back = keen(['restore', copy], '', url);
    expect(back.status).toBe(0);
    const { before } = JSON.parse(back.stdout) as { before: string };
    const nameIn = async (file: string) => {
      const own = openDatabase(`file:${file}`);
      const name = (await own.client.execute('select name from studios')).rows[0]?.name;
      own.close();
      return name;
    };
    expect(await nameIn(join(folder, 'own.db'))).toBe('First');
    expect(await nameIn(before)).toBe('Changed');
    expect(keen(['restore', 'package.json'], '', url).stderr).toContain('cannot be read as a database');
    rmSync(folder, { recursive: true, force: true });
  });

  it('exports a studio and takes it into a new database, once', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'keen-cli-'));
    const url = `file:${join(folder, 'own.db')}`;
    const database = openDatabase(url);
    await migrateDatabase(database, url, 0);
    await seedDemo(database, Date.UTC(2027, 2, 13));
    database.close();
    expect(keen(['export', join(folder, 'out')], '', url).status).toBe(0);
    const fresh = `file:${join(folder, 'fresh.db')}`;
    const archive = join(folder, 'out', 'studio.json');
    expect(keen(['import', archive], '', fresh).stdout).toContain('"of":"heads"');
    expect(keen(['import', archive], '', fresh).stderr).toContain('has heads already');
    expect(keen(['import', 'package.json'], '', fresh).stderr).toContain('keen-spiral/studio');
    rmSync(folder, { recursive: true, force: true });
  });

  it('writes what the log says, each finding with the sets it rests on', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'keen-spiral-'));
    const url = `file:${join(folder, 'log.db')}`;
    const database = openDatabase(url);
    await migrateDatabase(database, url, 0);
    await seedDemo(database, Date.UTC(2027, 2, 13));
    database.close();
    const run = keen(['findings', '--json'], '', url);
    expect(run.status).toBe(0);
    const found = JSON.parse(run.stdout) as {
      setIds: string[];
      lasting: { grouping: string; groups: { setIds: string[]; values: unknown[] }[] }[];
      bands: { kind: string; sets: { setId: string }[] }[];
      differences: { outcome: string; findings: { status: string }[] }[];
    };
    expect(found.setIds).toHaveLength(7);
    const [technique] = found.lasting;
    expect(technique!.groups.flatMap(({ setIds }) => setIds).sort()).toEqual([...found.setIds].sort());
    for (const { setId } of found.bands.flatMap(({ sets }) => sets)) expect(found.setIds).toContain(setId);
    // Seven sets are too few for any claim.
    expect(
      found.differences.flatMap(({ findings }) => findings).some(({ status }) => status === 'claimed'),
    ).toBe(false);
    expect(keen(['findings'], '', url).stderr).toContain('--json');
    rmSync(folder, { recursive: true, force: true });
  });

  it('explains itself', () => {
    expect(keen(['--help']).stdout).toContain('keen forecast');
    expect(keen(['forecast', '--help']).stdout).toContain('--lines');
  });
});
