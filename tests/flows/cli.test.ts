import { spawnSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { answerBrief } from '@/core/plan/answer-brief';
import { aBrief } from '../support/briefs';

const keen = (args: string[], input = '') =>
  spawnSync('node_modules/.bin/tsx', ['src/cli/keen.ts', ...args], { input, encoding: 'utf8' });

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

  it('explains itself', () => {
    expect(keen(['--help']).stdout).toContain('keen forecast');
    expect(keen(['forecast', '--help']).stdout).toContain('--lines');
  });
});
