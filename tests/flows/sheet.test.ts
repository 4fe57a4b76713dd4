import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { arrive, forecastSettles, press, see } from '../support/hands';
import { setScene } from '../support/scene';

const scene = setScene('demo');
const booked = async () =>
  String((await scene.database.client.execute(`select id from plans where status = 'chosen'`)).rows[0]?.id);
const fetched = async (file: string) => fetch(`${scene.origin}/plan/${await booked()}/sheet/${file}`);

describe('the plan sheet', () => {
  it('is opened from the plan, shown as it prints, and read back from its PDF', async () => {
    await scene.page.goto(`${scene.origin}/plan/${await booked()}`, { waitUntil: 'networkidle2' });
    await forecastSettles(scene.page);
    await press(scene.page, 'Sheet');
    await scene.page.waitForFunction(() => {
      const shown = document.querySelector<HTMLImageElement>('img[alt="The sheet as it prints"]');
      return shown?.complete && shown.naturalWidth > 0;
    });
    const href = await scene.page.$eval('[role="dialog"] a[href*=".pdf"]', (own) => own.getAttribute('href'));
    const answer = await fetch(scene.origin + href!);
    expect(answer.headers.get('content-type')).toBe('application/pdf');
    const task = getDocument({ data: new Uint8Array(await answer.arrayBuffer()), verbosity: 0 });
    const pdf = await task.promise;
    expect(pdf.numPages).toBe(1);
    const { items } = await (await pdf.getPage(1)).getTextContent();
    const text = items.map((item) => ('str' in item ? item.str : '')).join(' ');
    await task.destroy();
    for (const words of [
      'Amara',
      'Stillpond gel',
      'Set 18 twists',
      'Order of work',
      'At night',
      // How it will look, twice.
      'In the set',
      'First day',
      '5 cm',
      'does not replace a licence',
    ])
      expect(text, words).toContain(words);
    expect(text).not.toMatch(/NaN|undefined/);
    expect(scene.problems).toEqual([]);
  });

  it('takes inches and ounces where the studio does', async () => {
    const shown = (display: object) =>
      scene.database.client.execute({
        sql: 'update studios set display = ?',
        args: [JSON.stringify(display)],
      });
    await shown({ length: 'in', mass: 'oz', temperature: 'F' });
    const svg = await (await fetched('letter.svg')).text();
    await shown({});
    expect(svg).toContain('sq in');
    expect(svg).toContain('oz');
    expect(svg).toContain('2 in');
    expect(svg).not.toContain('cm²');
  });

  it('its code leads to the plan, and to the set once it is begun', async () => {
    const at = async () => (await fetch(`${scene.origin}/open/${await booked()}`)).url;
    expect(await at()).toContain(`/plan/${await booked()}`);
    expect((await fetch(`${scene.origin}/open/nothing`)).status).toBe(404);
  });

  it('a missing plan or form is a plain answer, not a stack', async () => {
    for (const path of ['/plan/nothing/sheet/a4.pdf', `/plan/${await booked()}/sheet/a5.pdf`]) {
      const answer = await fetch(scene.origin + path);
      expect(answer.status).toBe(404);
      expect(answer.headers.get('content-type')).toContain('problem+json');
    }
  });

  it('a plan goes out as a file and comes in again for another head', async () => {
    const plan = (await (await fetched('plan.json')).json()) as {
      format: string;
      brief: { set: { sections: number } };
    };
    expect(plan.format).toBe('keen-spiral/plan');
    await scene.page.goto(`${scene.origin}/plan`, { waitUntil: 'networkidle2' });
    const give = (name: string, text: string) =>
      scene.page.$eval(
        'input[type="file"]',
        (input, called, body) => {
          const carried = new DataTransfer();
          carried.items.add(new File([body], called, { type: 'application/json' }));
          (input as HTMLInputElement).files = carried.files;
          input.dispatchEvent(new Event('change', { bubbles: true }));
        },
        name,
        text,
      );
    await give('broken.json', '{"format":');
    await see(scene.page, 'not JSON');
    await give('old-plan.json', JSON.stringify({ ...plan, brief: undefined }));
    await see(scene.page, 'does not carry its brief');
    await give('carried-plan.json', JSON.stringify(plan));
    await arrive(scene.page, /\/plan\/[^/]+$/);
    await see(scene.page, `${plan.brief.set.sections} twists`);
    expect(
      await scene.page.$eval(
        'input[aria-label="Name of the plan"]',
        (own) => (own as HTMLInputElement).value,
      ),
    ).toBe('carried');
  });
});
