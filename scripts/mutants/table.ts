/**
 * One fault to plant: in a file, some text that stands there once, and what it becomes. Each is the slip that a tired
 * hand could make, in a place where it would mislead somebody; a test should notice.
 */
export type Mutant = readonly [file: string, from: string, to: string];

const drying: readonly Mutant[] = [
  ['src/core/drying/air.ts', '0.621945 * vapourPa', '0.66 * vapourPa'],
  ['src/core/drying/air.ts', 'if (balance > ratio) high = wet;', 'if (balance < ratio) high = wet;'],
  ['src/core/drying/air.ts', '610.94 * Math.exp', '600 * Math.exp'],
  ['src/core/drying/air.ts', '- 1 / kelvin(temperatureC)', '+ 1 / kelvin(temperatureC)'],
  ['src/core/drying/air.ts', '** 1.81', '** 1.5'],
  [
    'src/core/drying/air-at-hair.ts',
    'Math.max(method.airC + supply.hotAirK, room.temperatureC)',
    'method.airC + supply.hotAirK',
  ],
  ['src/core/drying/air-at-hair.ts', 'room.temperatureC - c.scalpRoomC', 'c.scalpRoomC - room.temperatureC'],
  ['src/core/drying/air-at-hair.ts', '1 - method.cover.share / 2', '1 - method.cover.share'],
  ['src/core/drying/air-at-hair.ts', 'const envelope = 1 + c.envelopePerM * lengthM', 'const envelope = 1'],
  ['src/core/drying/air-at-hair.ts', 'c.rootShapeM / lengthM', 'lengthM / c.rootShapeM'],
  [
    'src/core/drying/air-at-hair.ts',
    '(1 - method.duty) * openAir.exchangeMmS[index]',
    'openAir.exchangeMmS[index]',
  ],
  [
    'src/core/drying/air-at-hair.ts',
    'isHidden ? airAtHair.value.hiddenRadiation : airAtHair.value.openRadiation',
    'isHidden ? airAtHair.value.openRadiation : airAtHair.value.hiddenRadiation',
  ],
  ['src/core/drying/knot-core.ts', 'c.lag + c.lagFromWet * clamp', 'c.lag + 2 * c.lagFromWet * clamp'],
  ['src/core/drying/knot-core.ts', 'mean - (core - mean)', 'mean + (core - mean)'],
  ['src/core/drying/knot-core.ts', 'c.soaked * porosityFactor, start', 'c.soaked * porosityFactor, 1'],
  ['src/core/drying/sorption.ts', '(1 - u) * (1 + (GAB_C - 1) * u)', '(1 - u) * (1 + GAB_C * u)'],
  ['src/core/drying/sorption.ts', 'if (regain <= 0) return 0;', 'if (regain <= 0.05) return 0;'],
  ['src/core/drying/sorption.ts', 'return Math.min(1, u / GAB_K);', 'return Math.min(1, u);'],
  ['src/core/drying/start-moisture.ts', 'moisture.regain * pickUp;\n    case', 'moisture.regain;\n    case'],
  [
    'src/core/drying/start-moisture.ts',
    'inRoom + moisture.share * pickUp * (dripping - inRoom)',
    'moisture.share * pickUp * dripping',
  ],
  [
    'src/core/drying/start-moisture.ts',
    '(1 - waterShareOf(layer)) * productRoles',
    'waterShareOf(layer) * productRoles',
  ],
  [
    'src/core/drying/start-moisture.ts',
    '(layer.grams / dryMassG) * waterShareOf(layer), 0',
    'layer.grams / dryMassG, 0',
  ],
  ['src/core/drying/section-classes.ts', 'if (count <= 1) return 1;', 'if (count <= 2) return 1;'],
  ['src/core/drying/section-classes.ts', 'quantile ** (1 / count)', 'quantile'],
  ['src/core/drying/section-classes.ts', '(areaCm2 * (count - largest)) / (count - 1)', 'areaCm2'],
  [
    'src/core/drying/rate-belief.ts',
    'belief.weights.map((weight, i) => weight * likelihood',
    'belief.weights.map((_, i) => likelihood',
  ],
  ['src/core/drying/rate-belief.ts', '0.9 * sd * drawn.length ** -0.2', '0.3 * sd * drawn.length ** -0.2'],
  [
    'src/core/drying/rate-belief.ts',
    'chanceBy(belief.weights, lnHours, middle) < chance',
    'chanceBy(belief.weights, lnHours, middle) < chance - 0.03',
  ],
  ['src/core/drying/rate-table.ts', 'hours[0]! * Math.exp(lnRates[0]! - lnRate)', 'hours[0]!'],
  [
    'src/core/drying/rate-table.ts',
    'return slow * (quick / slow) ** share;',
    'return slow + (quick - slow) * share;',
  ],
  [
    'src/core/drying/rate-table.ts',
    'Math.max(0, ...nodes.map((node) => node.hours[i]!))',
    'Math.min(...nodes.map((node) => node.hours[i]!))',
  ],
  ['src/core/drying/dryness-checks.ts', "check.feel !== 'cool'", "check.feel !== 'damp'"],
  ['src/core/drying/dryness-checks.ts', 'check.afterH > (lastDamp ?? -1)', 'check.afterH > -1'],
  [
    'src/core/drying/dryness-checks.ts',
    "(feel === 'dry') === isDry ? 1 - wrong : wrong",
    "feel === 'dry' ? 1 - wrong : wrong",
  ],
  ['src/core/drying/dryness-checks.ts', 'saidOf(feel, i >= interval)', 'saidOf(feel, i > interval)'],
  ['src/core/drying/dryness-checks.ts', 'Math.exp(placeShift) * hoursAtRate', 'hoursAtRate'],
  [
    'src/core/coefficients/drying.ts',
    "sectionSd: [0.15, 'sd of ln h', 0.1, 0.25",
    "sectionSd: [0.24, 'sd of ln h', 0.1, 0.25",
  ],
  ['src/core/drying/ladder.ts', '(rootMiddle * rootMiddle) / d0', 'rootMiddle / d0'],
  ['src/core/drying/ladder.ts', 'sources[2] + endRoom * room', 'sources[2] + room'],
  [
    'src/core/drying/draws.ts',
    'Math.exp(what.rate.lnSd * normal())',
    'Math.exp(2 * what.rate.lnSd * normal())',
  ],
  ['src/core/drying/draws.ts', 's.hairDensity * normal()', '0 * normal()'],
  ['src/core/drying/draws.ts', 'allH: Math.max(...latest)', 'allH: latest[0]'],
  ['src/core/coefficients/drying.ts', "nearlyDryShare: [0.85, '–', 0.8", "nearlyDryShare: [0.7, '–', 0.5"],
  [
    'src/core/drying/dry-run.ts',
    'const UNSETTLED = { steps: 2, passes: 3 }',
    'const UNSETTLED = { steps: 1e9, passes: 0 }',
  ],
  ['src/core/drying/zone-step.ts', 'node.activity * node.saturatedDensity;', 'node.saturatedDensity;'],
  [
    'src/core/drying/dry-run.ts',
    'i === input.steps.length - 1 ? horizonS : Math.min(horizonS, at + hours * 3600)',
    'Math.min(horizonS, at + hours * 3600)',
  ],
  [
    'src/core/drying/dry-run.ts',
    'input.steps.every(({ method }) => method.isBlown)',
    'input.steps.some(({ method }) => method.isBlown)',
  ],
  [
    'src/core/drying/dry-threshold.ts',
    'Math.max(dryAirHumidity, roomHumidity + dampRoomMargin)',
    'dryAirHumidity',
  ],
  [
    'src/core/drying/dry-threshold.ts',
    'return Math.min(firm, glassRegain, rest',
    'return Math.min(firm, rest',
  ],
  [
    'src/core/drying/dry-threshold.ts',
    'Math.max(traceRegain, keptOfWetting * (start - rest))',
    'Math.max(traceRegain, start - rest)',
  ],
  ['src/core/drying/dry-threshold.ts', 'Math.max(0, atHotStart - inRoom)', '(atHotStart - inRoom)'],
  [
    'src/core/drying/start-moisture.ts',
    'moisture - saturatedRegain(porosityFactor) - towelLeaves',
    'moisture - saturatedRegain(porosityFactor)',
  ],
  [
    'src/core/plan/drying-forecast.ts',
    'brief.set.blotted ? blotted(moisture, porosityFactor) : moisture',
    'moisture',
  ],
  ['src/core/drying/draws.ts', 'what.asSet(', '('],
  [
    'src/core/drying/running-zone.ts',
    'contactWK: section.count * scalpContactWK(node)',
    'contactWK: scalpContactWK(node)',
  ],
  ['src/core/drying/running-zone.ts', '+ depthM / dryingTable.value.dampConductivityWMK', '+ depthM'],
  ['src/core/drying/air-at-hair.ts', 'Math.max(envelope, method.cover.areaRatio)', 'envelope'],
  ['src/core/drying/nodes.ts', '(level === 2 ? 1 : (shape.openShare ?? 1))', '(shape.openShare ?? 1)'],
  ['src/core/drying/zone-step.ts', 'bound * hair.filmResistanceSM', 'bound * 0'],
  ['src/core/drying/zone-step.ts', 'sources[0] = air.sweatKgM2S * zone.areaM2;', 'sources[0] = 0;'],
  [
    'src/core/drying/dry-run.ts',
    'zone.nodes[zone.active]!.setAtS <= now + step / 2',
    'zone.nodes[zone.active]!.setAtS <= 1e9',
  ],
];

const geometry: readonly Mutant[] = [
  ['src/core/hair/dry-mass.ts', 'c.endSegmentShare * c.endSurvival', 'c.endSegmentShare'],
  ['src/core/hair/head.ts', '(circumferenceCm / 56) ** 2', 'circumferenceCm / 56'],
  ['src/core/hair/head.ts', 'hair.value.ponytailPacking * 100', 'hair.value.ponytailPacking * 90'],
  [
    'src/core/hair/zone.ts',
    "if (f < -ZONE_BORDER.side) return 'left';",
    "if (f > ZONE_BORDER.side) return 'left';",
  ],
  [
    'src/core/hair/zone.ts',
    "if (t < ZONE_BORDER.ear) return 'back';",
    "if (t < ZONE_BORDER.ear - 0.2) return 'back';",
  ],
  [
    'src/core/techniques/rod-fit.ts',
    'const stepMm = band.widthMm * (1 + gap);',
    'const stepMm = band.widthMm;',
  ],
  ['src/core/techniques/rod-fit.ts', '(rod.diameterMm + band.thicknessMm) / 2', 'rod.diameterMm / 2'],
  ['src/core/techniques/rod-fit.ts', 'return fit.fits && !fit.bandTooWide;', 'return fit.fits;'],
  ['src/core/techniques/rod-fit.ts', 'hair.value.growthFastMmPerMonth', 'hair.value.growthSlowMmPerMonth'],
  ['src/core/techniques/rod-fit.ts', '(1 - shareFromRoot)', 'shareFromRoot'],
  ['src/core/parting/load.ts', 'return x * x * (3 - 2 * x);', 'return x;'],
  [
    'src/core/parting/load.ts',
    "mix(smooth(f - ZONE_BORDER.side), middle, ln('right'))",
    "mix(smooth(f - ZONE_BORDER.side), middle, ln('left'))",
  ],
  ['src/core/parting/load.ts', 'Math.max(0, GRID - bare)', 'GRID'],
  [
    'src/core/coefficients/thresholds.ts',
    "smallSection: [0.6, 'share', 0.5",
    "smallSection: [0.4, 'share', 0.3",
  ],
  ['src/core/parting/evenness.ts', '!isLanes && aspects', 'aspects'],
  [
    'src/core/parting/evenness.ts',
    'const mirrored = { x: -centroid.x, y: centroid.y };',
    'const mirrored = { x: centroid.x, y: centroid.y };',
  ],
  [
    'src/core/plan/hair-variation.ts',
    '(hairCount * count) / hairs - 1',
    '(hairCount * sections.length) / hairs - 1',
  ],
  [
    'src/core/plan/zone-groups.ts',
    '.sort((a, b) => b.share - a.share)',
    '.sort((a, b) => a.share - b.share)',
  ],
];

const work: readonly Mutant[] = [
  [
    'src/core/hands-on/install-time.ts',
    '(t.installMin + t.installMinPerCm * work.lengthCm)',
    '(t.installMin + t.installMinPerCm)',
  ],
  ['src/core/hands-on/install-time.ts', '(pieces - 1) *\n', 'pieces *\n'],
  ['src/core/hands-on/install-time.ts', 'Math.sqrt(work.technique.coefficients.value.ropes) *', '1 *'],
  ['src/core/hands-on/install-time.ts', 'Math.sqrt(thickness(work.hairCount));', '1;'],
  [
    'src/core/hands-on/install-time.ts',
    'work.brushedThrough ? c.brushMin * Math.sqrt(n) : 0',
    'c.brushMin * Math.sqrt(n)',
  ],
  [
    'src/core/hands-on/install-time.ts',
    't.takedownMinPerCm * work.lengthCm',
    't.takedownMinPerCm * work.lengthCm * 1.1',
  ],
  [
    'src/core/products/dose.ts',
    '(STRAND_UM.medium / context.strandUm)',
    '(context.strandUm / STRAND_UM.medium)',
  ],
  ['src/core/products/dose.ts', 'POROSITY[context.porosity].dose *', '1 *'],
  ['src/core/products/dose.ts', 'startStates[context.startState].doseFactor *', '1 *'],
  ['src/core/coefficients/result.ts', "doseMuch: [1.7, 'share', 1.4", "doseMuch: [1.5, 'share', 1.4"],
  ['src/core/coefficients/result.ts', "doseLittle: [0.55, 'share'", "doseLittle: [0.65, 'share'"],
  ['src/core/products/dose.ts', 'amount > upTo.count', 'amount > 10 * upTo.count'],
  [
    'src/core/schedule/backward.ts',
    'i === steps.length - 1 ? endMs : Math.min(endMs, at + step.hours * HOUR_MS)',
    'i === steps.length - 1 ? endMs : at + step.hours * HOUR_MS',
  ],
  ['src/core/schedule/backward.ts', 'begin = night.startMs - workMs;', 'begin = night.endMs - workMs;'],
  ['src/core/schedule/backward.ts', 'if (step === ' + "'dry' && asked?.method.canSleepIn) return [];", ''],
  ['src/core/schedule/backward.ts', 'workMs + awakeMs, kept', 'workMs, kept'],
  ['src/core/schedule/sleep.ts', 'hours.untilMin <= hours.fromMin', 'hours.untilMin < hours.fromMin - 60'],
  ['src/core/schedule/sleep.ts', '.subtract({ days: 1 })', ''],
  [
    'src/core/run/run-state.ts',
    'if (open?.untilMs === null) open.untilMs = Math.max(open.fromMs, atMs);',
    'if (open?.untilMs === null) open.untilMs = atMs;',
  ],
  ['src/core/run/run-state.ts', 'if (pauses.at(-1)?.untilMs !== null) pauses.push', 'pauses.push'],
  [
    'src/core/run/run-state.ts',
    'Math.max(...doneAtMs.values()) : saidInstalledAtMs',
    'Math.min(...doneAtMs.values()) : saidInstalledAtMs',
  ],
  ['src/core/run/run-state.ts', 'a.place - b.place || a.i - b.i', 'a.i - b.i'],
  ['src/core/run/run-state.ts', 'if (!movedTo.has(id)) movedTo.set', 'movedTo.set'],
  ['src/core/run/run-state.ts', 'of === null ? [] : (done.get', '(done.get'],
  ['src/core/run/run-state.ts', 'Math.min(pause.untilMs ?? untilMs, untilMs)', '(pause.untilMs ?? untilMs)'],
  ['src/core/run/live-pace.ts', 'Math.min(pace * (open[0] ?? 0), Math.max', 'Math.min(1e9, Math.max'],
  ['src/core/run/live-pace.ts', 'done.length + c.priorSections', 'done.length'],
  [
    'src/core/run/live-pace.ts',
    'untilMs - fromMs - restedMs(state.pauses, fromMs, untilMs)',
    'untilMs - fromMs',
  ],
  ['src/core/run/live-pace.ts', 'leftMin - Z_90 * sd', 'leftMin'],
  ['src/core/run/device-clock.ts', 'trip(other) < trip(shortest)', 'trip(other) > trip(shortest)'],
  ['src/core/run/device-clock.ts', '(best.sentMs + best.receivedMs) / 2', 'best.sentMs'],
  ['src/core/run/device-clock.ts', 'Math.max(startedAtMs, arrivedMs)', 'Infinity'],
];

const result: readonly Mutant[] = [
  ['src/core/wear/days.ts', 'c.sizeLnDays * facts.sizeDoublings', '0'],
  ['src/core/wear/days.ts', 'c.dampLnDays * facts.damp', '-c.dampLnDays * facts.damp'],
  ['src/core/wear/days.ts', 'Math.exp(Z_90 * sd)', 'Math.exp(sd)'],
  [
    'src/core/wear/days.ts',
    'c.separatingLnDays * Math.log2(facts.separations)',
    'c.separatingLnDays * facts.separations',
  ],
  ['src/core/coefficients/result.ts', "leftOnMedianDay: [0.6, 'share'", "leftOnMedianDay: [0.5, 'share'"],
  ['src/core/wear/retention.ts', '(1 - facts.damp) **', 'facts.damp **'],
  [
    'src/core/coefficients/result.ts',
    "straightenedFades: [0.12, '1/day'",
    "straightenedFades: [0.2, '1/day'",
  ],
  ['src/core/wear/retention.ts', '(1 + hairCount / c.sizeHairs) ** c.sizeRetention', '1'],
  ['src/core/wear/look.ts', 'c.dampDefinition * facts.damp', '0 * facts.damp'],
  [
    'src/core/wear/look.ts',
    'detangling(facts) - 0.8),\n        text: ' +
      "'brushed through after product',\n      },\n      ...(t.ropes > 1",
    'detangling(facts)),\n        text: ' +
      "'brushed through after product',\n      },\n      ...(t.ropes > 1",
  ],
  ['src/core/wear/look.ts', 'c.oiledFrizz : c.bareFrizz', 'c.bareFrizz : c.oiledFrizz'],
  ['src/core/wear/look.ts', 'Math.log2(facts.hairCount / 100_000)', 'Math.log2(facts.hairCount / 50_000)'],
  ['src/core/wear/look.ts', '[...terms, ...clamped]', '[...terms]'],
  ['src/core/wear/set-facts.ts', 'facts.unevenness - result.value.evennessFree', 'facts.unevenness'],
  ['src/core/wear/set-facts.ts', 'facts.dewPointOutsideC - result.value.dewFree', 'facts.dewPointOutsideC'],
  [
    'src/core/wear/set-facts.ts',
    'c.referenceCoilShare * coilDiameterMm + c.referenceCoilMm',
    'c.referenceCoilShare * coilDiameterMm',
  ],
  ['src/core/wear/last-good-day.ts', 'day < firstBad', 'day <= firstBad'],
  [
    'src/core/wear/last-good-day.ts',
    'day.day > lastGoodDay && isGoodDay(day)',
    'day.day >= lastGoodDay && isGoodDay(day)',
  ],
  ['src/core/wear/merge.ts', '(soFar?.effect ?? 0) + share * effect', '(soFar?.effect ?? 0) + effect'],
  ['src/core/wear/wear-day-number.ts', 'return takenDown.until(worn', 'return worn.until(takenDown'],
  ['src/core/coefficients/result.ts', "fadedDefinition: [-7.5, 'points'", "fadedDefinition: [-6, 'points'"],
  ['src/core/products/role.ts', 'export const FULL_SCALE = 5;', 'export const FULL_SCALE = 6;'],
  [
    'src/core/plan/set-result.ts',
    'best && holdOf(best) >= holdOf(dose) ? best : dose',
    'best && holdOf(best) < holdOf(dose) ? best : dose',
  ],
  ['src/core/plan/set-result.ts', 'night.volume * day', 'night.volume'],
  ['src/core/coefficients/drying.ts', "sure: [0.9, 'chance'", "sure: [0.8, 'chance'"],
  [
    'src/core/plan/drying-forecast.ts',
    'best && best.count >= n.count ? best : n',
    'best && best.count < n.count ? best : n',
  ],
  ['src/core/plan/drying-forecast.ts', 'return damp / weight;', 'return damp;'],
  ['src/core/plan/prep-parts.ts', '(part.handsOn ? part.minutes : 0)', 'part.minutes'],
];

const stats: readonly Mutant[] = [
  ['src/core/stats/quantile.ts', 'p * (sorted.length - 1)', 'p * sorted.length'],
  ['src/core/stats/interpolate.ts', 'if (x >= xs[last]!) return ys[last]!;', ''],
  ['src/core/stats/variation.ts', ') / values.length;\n  return', ') / (values.length - 1);\n  return'],
  [
    'src/core/stats/survival.ts',
    'styles.filter((style) => style.days >= day).length',
    'styles.filter((style) => style.days > day).length',
  ],
  ['src/core/stats/survival.ts', 'atRisk * (atRisk - ended)', 'atRisk * atRisk'],
  ['src/core/stats/survival.ts', '(step.days + next.days) / 2', 'step.days'],
  ['src/core/stats/gamma.ts', 'return 1 - front * sum;', 'return front * sum;'],
  ['src/core/stats/spread.ts', 'p90: p50 * Math.exp(Z_90 * lnSd)', 'p90: p50 * Math.exp(lnSd)'],
];

const shelf: readonly Mutant[] = [
  ['src/core/shelf/stock.ts', 'Math.max(0, leftG - usedSinceG)', 'leftG'],
  ['src/core/shelf/stock.ts', 'priceMinor === null || !sizeG ? null', 'priceMinor === null ? null'],
  ['src/core/shelf/reserved.ts', 'other.readyMs <= plan.readyMs', 'other.readyMs >= plan.readyMs'],
  ['src/core/shelf/shelf-check.ts', 'taken > freeG + needG * 5e-4', 'taken >= freeG'],
  ['src/core/shelf/shelf-check.ts', 'product.useBy < day', 'product.useBy <= day'],
  ['src/core/coefficients/thresholds.ts', "sameCurl: [1.35, '×', 1.2, 1.5", "sameCurl: [2, '×', 1.2, 2"],
  [
    'src/core/shelf/shelf-check.ts',
    'tool.owned - (wanted.get(toolKey(tool))?.needed ?? 0) >= short',
    'tool.owned >= short',
  ],
  ['src/core/shelf/shelf-check.ts', 'needed: soFar.needed + needed', 'needed'],
  [
    'src/core/shelf/mix.ts',
    'sum + parts * value(of), 0) / whole',
    'sum + value(of), 0) / ingredients.length',
  ],
  [
    'src/core/shelf/mix.ts',
    'ingredients.some(({ of }) => of.hasProtein)',
    'ingredients.every(({ of }) => of.hasProtein)',
  ],
  ['src/core/shelf/allergy.ts', 'listed.has(stem(warning))', 'listed.has(warning)'],
  ['src/core/scale/scale.ts', 'sorted.length % 2 === 1', 'sorted.length % 2 === 0'],
];

const formats: readonly Mutant[] = [
  [
    'src/core/formats/ranges.ts',
    'circumferenceCm: { low: 46, high: 66 }',
    'circumferenceCm: { low: 40, high: 66 }',
  ],
  [
    'src/core/formats/ranges.ts',
    'densityPerCm2: { low: 40, high: 350 }',
    'densityPerCm2: { low: 40, high: 450 }',
  ],
  [
    'src/core/formats/ranges.ts',
    'strandDiameterUm: { low: 35, high: 120 }',
    'strandDiameterUm: { low: 35, high: 220 }',
  ],
  ['src/core/formats/ranges.ts', 'shrinkage: { low: 0, high: 0.92 }', 'shrinkage: { low: 0, high: 1 }'],
  ['src/core/formats/ranges.ts', 'diameterMm: { low: 3, high: 80 }', 'diameterMm: { low: 0, high: 80 }'],
  ['src/core/formats/ranges.ts', 'grams: { low: 0, high: 500 }', 'grams: { low: 0, high: 900 }'],
  ['src/core/formats/ranges.ts', 'zoneSize: { low: 0.4, high: 2.5 }', 'zoneSize: { low: 0.1, high: 2.5 }'],
  [
    'src/core/formats/ranges.ts',
    'dryingHours: { low: 0.05, high: 96 }',
    'dryingHours: { low: 0.05, high: 196 }',
  ],
  ['src/core/formats/brief.ts', "boundedInt('draws', 0, 5000)", "boundedInt('draws', 0, 50000)"],
  ['src/core/formats/brief.ts', 'z.array(layerInput).max(8,', 'z.array(layerInput).max(80,'],
  [
    'src/core/formats/ranges.ts',
    'stretchedLengthCm: { low: 1, high: 120 }',
    'stretchedLengthCm: { low: 0, high: 120 }',
  ],
  ['src/core/formats/read-brief.ts', 'startAtMs >= wearByMs', 'startAtMs > wearByMs'],
  [
    'src/core/formats/read-brief.ts',
    'export const LONGEST_SPAN_DAYS = 30;',
    'export const LONGEST_SPAN_DAYS = 300;',
  ],
  [
    'src/core/formats/read-brief.ts',
    'export const MOST_DRAWN_SECTIONS = 600_000;',
    'export const MOST_DRAWN_SECTIONS = 6_000_000;',
  ],
  ['src/core/formats/read-brief.ts', 'if (set.sections % 2 === 1) {', 'if (set.sections % 2 === 2) {'],
  ['src/core/formats/time-bounds.ts', 'ms >= 0 && ms <= MAX_TIME_MS', 'ms >= 0'],
  ['src/core/run/run-event.ts', "z.string().max(500, 'a note", "z.string().max(5000, 'a note"],
  ['src/core/run/set-events.ts', 'export const MOST_EVENTS = 50;', 'export const MOST_EVENTS = 500;'],
];

const server: readonly Mutant[] = [
  ['src/server/db/rows/set-log.ts', 'sectionNumber > set.sectionCount', 'sectionNumber > 600'],
  [
    'src/server/db/rows/set-log.ts',
    'state().doneOrder.length === 0 && state().installedAtMs === null',
    'false',
  ],
  ['src/server/db/rows/set-log.ts', 'toMs! < set.startedAtMs || toMs! > nowMs', 'toMs! < set.startedAtMs'],
  ['src/server/db/rows/set-log.ts', 'if (startedAtMs > first)', 'if (startedAtMs > nowMs)'],
  ['src/server/db/rows/set-log.ts', 'sequence: sequence + 1,', 'sequence: sequence + 2,'],
  ['src/core/formats/ranges.ts', 'WEAR_DAYS = { low: 0, high: 90 }', 'WEAR_DAYS = { low: 0, high: 91 }'],
  [
    'src/server/db/rows/wear.ts',
    '(before?.revision ?? 0) !== entry.revision',
    '(before?.revision ?? 0) > entry.revision + 5',
  ],
  [
    'src/server/db/rows/wear.ts',
    'const by = -dayOfWear(fromMs, toMs, timeZone);',
    'const by = dayOfWear(fromMs, toMs, timeZone);',
  ],
  ['src/server/db/rows/wear.ts', 'if (moved.some((day) => day < 0))', 'if (moved.some((day) => day < -5))'],
  ['src/server/db/rows/wear.ts', 'endedAtMs: set.endedAtMs ?? nowMs', 'endedAtMs: nowMs'],
  [
    'src/server/db/rows/wear.ts',
    'eq(wearDays.studioId, studioId), inArray(wearDays.setId',
    'inArray(wearDays.setId',
  ],
  ['src/server/db/rows/plans.ts', "  if (before.revision !== revision) throw new AppError('conflict');", ''],
  [
    'src/server/db/rows/plans.ts',
    '    .set({ status })\n    .where(and(eq(plans.studioId, studioId), eq(plans.id, id)))',
    '    .set({ status })\n    .where(eq(plans.id, id))',
  ],
  [
    'src/server/db/rows/plans.ts',
    '    .from(plans)\n    .where(and(eq(plans.studioId, studioId), eq(plans.id, id)));',
    '    .from(plans)\n    .where(eq(plans.id, id));',
  ],
];

export const MUTANTS: readonly Mutant[] = [
  ...drying,
  ...geometry,
  ...work,
  ...result,
  ...stats,
  ...shelf,
  ...formats,
  ...server,
];
