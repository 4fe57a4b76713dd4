import { describe, expect, it } from 'vitest';
import { deskView, FIRST_VIEW, type DeskAct } from './desk-view';

const after = (...acts: DeskAct[]) => acts.reduce(deskView, FIRST_VIEW);

describe('how the plan desk is looked at', () => {
  it('opens one sheet at a time and closes it', () => {
    expect(after({ kind: 'open', sheet: 'fit' }, { kind: 'open', sheet: 'print' }).sheet).toBe('print');
    expect(after({ kind: 'open', sheet: 'fit' }, { kind: 'close' }).sheet).toBeNull();
  });

  it('turns the map there and back, whatever lies over it', () => {
    expect(after({ kind: 'turn' }, { kind: 'open', sheet: 'fit' }).isTurned).toBe(true);
    expect(after({ kind: 'turn' }, { kind: 'turn' }).isTurned).toBe(false);
  });

  it('draws only while it is parted by hand', () => {
    expect(after({ kind: 'draw', isDrawing: true }).isDrawing).toBe(false);
    const drawing = after({ kind: 'by-hand' }, { kind: 'draw', isDrawing: true });
    expect(drawing.isDrawing).toBe(true);
    expect(deskView(drawing, { kind: 'by-hand' })).toMatchObject({ isByHand: false, isDrawing: false });
  });
});
