import { expose } from 'comlink';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { startForecaster, type Forecaster } from './client';
import type { Refinement } from './forecast.worker';

/** A worker that answers when it is told to, at the other end of a channel. */
let asked: { brief: unknown; answer: (value: unknown) => void }[];
let draw: ((drawn: number) => unknown) | null;
let stops: number;

class StubWorker {
  private readonly channel = new MessageChannel();
  constructor() {
    expose(
      {
        forecast: (brief: unknown) => new Promise((answer) => asked.push({ brief, answer })),
        refine: (hear: (refinement: Refinement) => void) => {
          draw = (drawn) => hear({ answer: null, drawn, wanted: 1000 });
        },
        stop: () => void stops++,
        takeHelper: () => undefined,
        serve: () => undefined,
      },
      this.channel.port2,
    );
    this.channel.port1.start();
  }
  postMessage = (message: unknown, transfer: Transferable[]) =>
    this.channel.port1.postMessage(message, transfer);
  addEventListener = (type: string, listener: EventListener) =>
    this.channel.port1.addEventListener(type, listener);
  removeEventListener = (type: string, listener: EventListener) =>
    this.channel.port1.removeEventListener(type, listener);
  terminate = () => {
    this.channel.port1.close();
    this.channel.port2.close();
  };
}

let forecaster: Forecaster;
beforeEach(() => {
  [asked, draw, stops] = [[], null, 0];
  vi.stubGlobal('Worker', StubWorker);
  vi.stubGlobal('navigator', { hardwareConcurrency: 2 });
  forecaster = startForecaster();
});
afterEach(() => {
  forecaster.end();
  vi.unstubAllGlobals();
});

const settle = () => new Promise((done) => setTimeout(done, 20));

describe('the forecaster beside the page', () => {
  it('answers the newest question only, and never asks the ones between', async () => {
    const first = forecaster.ask('a');
    await vi.waitFor(() => expect(asked).toHaveLength(1));
    const later = ['b', 'c'].map((brief) => forecaster.ask(brief));
    asked[0]!.answer({ ok: true, value: 'first' });
    await vi.waitFor(() => expect(asked).toHaveLength(2));
    asked[1]!.answer({ ok: true, value: 'last' });
    expect(await Promise.all([first, ...later])).toEqual([null, null, { ok: true, value: 'last' }]);
    expect(asked.map(({ brief }) => brief)).toEqual(['a', 'c']);
  });

  it('hears of drawn heads until it is told to stop, and nothing that was on its way', async () => {
    const heard: number[] = [];
    await forecaster.refine(({ drawn }) => heard.push(drawn));
    void draw!(25);
    await vi.waitFor(() => expect(heard).toEqual([25]));
    void draw!(50);
    forecaster.rest();
    await vi.waitFor(() => expect(stops).toBe(1));
    await settle();
    expect(heard).toEqual([25]);
  });

  it('hears nothing of the heads of an older question', async () => {
    const heard: number[] = [];
    await forecaster.refine(({ drawn }) => heard.push(drawn));
    void forecaster.ask('newer');
    void draw!(200);
    await settle();
    expect(heard).toEqual([]);
  });
});
