import type { Checked } from '../formats/field-error';
import { readBrief } from '../formats/read-brief';
import type { Layout } from '../parting/brick-layout';
import { drawLayout, type DrawnSection } from '../parting/drawn-layout';
import { forecast } from './forecast';
import { forecastView, type ForecastView } from './forecast-view';
import { layoutFor } from './layout-for';

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

/** From a raw brief to what the screens show; takes and gives back the layout to keep. */
export function answerView(
  raw: unknown,
  kept: KeptLayout | null,
): Checked<AnsweredView & { kept: KeptLayout }> {
  const brief = readBrief(raw);
  if (!brief.ok) return brief;
  const { technique, sections } = brief.value.set;
  const key = `${technique}/${sections}`;
  let current = kept;
  if (current?.key !== key) {
    const layout = layoutFor(technique, sections);
    current = { key, layout, drawn: drawLayout(layout) };
  }
  const view = forecastView(forecast(brief.value, current.layout));
  return { ok: true, value: { view, drawn: current.drawn, kept: current } };
}
