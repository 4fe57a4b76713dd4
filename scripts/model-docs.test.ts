import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { PARAMETER_TABLES } from '@/core/explain/parameter-tables';
import { TOPIC_IDS, topicOf } from '@/core/explain/topics';
import { parametersPage } from './model-docs';

describe('what the program says of its own numbers', () => {
  it('the parameters page is that of this code', () => {
    expect(readFileSync('docs/model/parameters.md', 'utf8'), 'run npm run schemas').toBe(parametersPage());
  });

  it.each(TOPIC_IDS)(
    '%s names figures that exist, what it was checked against and where it is weak',
    (id) => {
      const topic = topicOf(id);
      expect(topic.how.length * topic.checkedAgainst.length * topic.weak.length).toBeGreaterThan(0);
      for (const { table, keys } of topic.parameters) {
        for (const key of keys) expect(Object.keys(PARAMETER_TABLES[table].records)).toContain(key);
      }
      expect(readFileSync(`docs/model/${topic.page}.md`, 'utf8').length).toBeGreaterThan(1000);
    },
  );
});
