import type { Checked } from '../formats/field-error';
import { readBrief } from '../formats/read-brief';
import type { Layout } from '../parting/layout';
import { drawLayout, type DrawnSection } from '../parting/drawn-layout';
import { forecast } from './forecast';
import { forecastView, type ForecastView } from './forecast-view';
import { layoutFor, layoutKey } from './layout-for';

/** A forecast with its sections ready to draw. */
export interface AnsweredView {
  readonly view: ForecastView;
  readonly drawn: readonly DrawnSection[];
}

/** A layout kept from the last answer, so that changes that do not move sections need not lay them again. */
export interface KeptLayout {
  readonly key: string;
  readonly layout: Layout;
  readonly drawn: readonly DrawnSection[];
}

/**
 * From a raw brief to what the screens show; takes and gives back the layout to keep.
 *
 * @param draws heads drawn for the spread of drying; none for the quick estimate
 */
export function answerView(
  raw: unknown,
  kept: KeptLayout | null,
  draws = 0,
): Checked<AnsweredView & { kept: KeptLayout }> {
  const brief = readBrief(raw);
  if (!brief.ok) return brief;
  const key = layoutKey(brief.value);
  let current = kept;
  if (current?.key !== key) {
    const layout = layoutFor(brief.value);
    current = { key, layout, drawn: drawLayout(layout) };
  }
  const view = forecastView(forecast(brief.value, current.layout, draws));
  return { ok: true, value: { view, drawn: current.drawn, kept: current } };
}
