import { coefficients } from './coefficient';

/** Constants of the drying model that no technique, method or product owns (drying §4–5). */
export const drying = coefficients({
  rootSegmentCm: [4, 'cm', 2, 6, 'A', 'root segment, at most 0.3 of the length'],
  rootSegmentShare: [0.3, '–', 0.2, 0.4, 'A', 'largest share of the length that counts as root'],
  endSegmentShare: [0.25, '–', 0.2, 0.3, 'A', 'last share of the length that counts as ends'],
  middleSurvival: [0.92, '–', 0.85, 1, 'A', 'share of hairs that reach the middle: lengths are uneven'],
  endSurvival: [0.62, '–', 0.5, 0.8, 'A', 'share of hairs that reach the ends'],
  coneLoss: [0.25, '–', 0.15, 0.5, 'F', 'exposed root lost where a wide part lies flat on the scalp'],
  radiationWM2K: [4.5, 'W/m²K', 4, 5, 'A', 'linearised long-wave exchange'],
  scalpContactWM2K: [30, 'W/m²K', 20, 100, 'M', 'skin to the hair that touches it'],
  dampConductivityWMK: [0.08, 'W/mK', 0.06, 0.15, 'M', 'damp bundle, from the skin to its middle'],
  scalpToAirWM2K: [
    4.3,
    'W/m²K',
    3,
    6,
    'P',
    'skin to still air at the roots: natural convection, 2.38·ΔT^¼ at 10 K (ISO 7730)',
  ],
  rodTouch: [0.33, 'share', 0.2, 0.5, 'A', 'of the width of a wound rod that lies on the scalp'],
  latentHeatJKg: [2.43e6, 'J/kg', 2.4e6, 2.46e6, 'P', 'of evaporation near 30 °C'],
  fibreConductivityWMK: [0.06, 'W/mK', 0.04, 0.1, 'A', 'dry fibre bundle'],
  bundleDiffusivity: [1, '–', 0.5, 1.2, 'F', 'scale of vapour diffusion inside a bundle'],
  boundOnset: [0.24, 'g/g', 0.15, 0.3, 'F', 'free water over which the surface falls from wet to dry'],
  capillaryMargin: [0.02, 'g/g', 0.01, 0.04, 'A', 'explicit stepping stops this near saturation'],
  waitingFloor: [0.12, 'g/g', 0.05, 0.2, 'A', 'free water below which waiting hair wants misting'],
  unevenParting: [0.17, 'sd of ln area', 0.08, 0.3, 'C', 'hand-parted sections'],
  smallestSectionShare: [
    0.3,
    '–',
    0.2,
    0.5,
    'A',
    'no section is parted smaller than this share of an even one',
  ],
  wettestRoom: [0.95, 'share', 0.9, 0.98, 'A', 'damper air is treated as this: nothing dries beyond it'],
  spreadOnRod: [2.2, '–', 1.5, 3, 'F', 'width hair spreads over on a rod, against its wraps edge to edge'],
  looseBundles: [20, '–', 10, 40, 'A', 'bundles that towelled hair hangs in'],
  nearlyDryShare: [0.85, '–', 0.8, 0.9, 'C', 'share of the water that can leave that is gone at 80–90 % dry'],
  towelShare: [0.4, 'share', 0.2, 0.6, 'A', 'of the water a towel can reach that one blotting takes'],
  towelLeaves: [0.1, 'g/g', 0.05, 0.2, 'A', 'free water between the hairs that no towel reaches'],
  roomTooDampRegain: [
    0.215,
    'g/g',
    0.19,
    0.24,
    'A',
    'equilibrium with the room above which hair does not stay dry',
  ],
});

/** Water that hair holds in air of a humidity (drying §5.3): a GAB isotherm of the drying branch. */
export const sorption = coefficients({
  monolayer: [
    0.08,
    'g/g',
    0.06,
    0.1,
    'M',
    'regain of the first layer, fitted to human hair, raised for hysteresis',
  ],
  gabK: [0.75, '–', 0.65, 0.85, 'M', 'multilayer constant'],
  gabC: [8, '–', 5, 15, 'M', 'heat constant of the first layer'],
});

/** What a room and a method make of the air at the hair (drying §5.5). */
export const airAtHair = coefficients({
  scalpFollowsRoom: [0.25, 'K/K', 0.1, 0.4, 'A', 'a scalp is warmer in a warmer room'],
  scalpRoomC: [22, '°C', 20, 24, 'A', 'room in which the scalp of a method is as stated'],
  envelopePerM: [1.75, '1/m', 1, 2.5, 'F', 'longer hair spreads further into the room'],
  rootShapeM: [0.22, 'm', 0.15, 0.3, 'F', 'length at which roots are as free as stated'],
  rootShapeLow: [0.75, '–', 0.6, 0.9, 'A', 'roots are shut in no further than this by long hair'],
  rootShapeHigh: [1.6, '–', 1.3, 2, 'A', 'nor freed further than this by short'],
  hiddenRadiation: [0.5, '–', 0.3, 0.7, 'A', 'share of its surroundings that a root or knot sees'],
  openRadiation: [0.9, '–', 0.8, 1, 'A', 'share of them that the rest sees'],
  closedHumidity: [
    0.06,
    'share',
    0.03,
    0.15,
    'A',
    'added to the humidity of a small room that is shut while hair dries in it',
  ],
  closedMovement: [0.75, '×', 0.5, 1, 'A', 'air movement in it'],
  convectionShare: [0.6, '–', 0.4, 0.8, 'A', 'of air over wet-bulb temperature, what drives air by itself'],
});

/** How far the core of a knot lags behind its mean (drying §5.6, fitted to a radial finite-volume reference). */
export const knotCore = coefficients({
  lag: [2, '–', 1.5, 2.5, 'F', 'distance of the core from its limit, against the mean'],
  lagFromWet: [0.6, '–', 0.3, 1, 'F', 'added when it was set wet'],
  wetFrom: [0.25, 'g/g', 0.2, 0.3, 'F', 'start above which it counts as wet'],
  wetOver: [0.3, 'g/g', 0.2, 0.4, 'F', 'over which it comes to count in full'],
  soaked: [0.38, 'g/g', 0.33, 0.45, 'F', 'a core is kept at least this wet while it was as wet at the start'],
});

/** What a hand that feels for dryness tells (drying §9). */
export const dryness = coefficients({
  sectionSd: [0.15, 'sd of ln h', 0.1, 0.25, 'A', 'one section about the head’s own rate'],
  wrongDry: [0.05, 'share', 0.02, 0.1, 'A', 'checks of damp hair that say dry: the outside is dry first'],
  wrongDamp: [0.03, 'share', 0.01, 0.08, 'A', 'checks of dry hair that say damp: cold hair reads damp'],
  placeShift: [
    -0.06,
    'ln h',
    -0.12,
    0,
    'F',
    'one section dries sooner than the head that waits for its slowest, against the rate they share',
  ],
  rootSd: [0.12, 'sd of ln h', 0.06, 0.2, 'F', 'a root about that rate, over drawn heads'],
  middleSd: [0.14, 'sd of ln h', 0.08, 0.22, 'F', 'a middle about it'],
  endsSd: [0.2, 'sd of ln h', 0.1, 0.4, 'F', 'ends about it'],
  sure: [0.9, 'chance', 0.8, 0.95, 'A', 'called surely dry; schedules leave time for it'],
  dryEnough: [0.8, 'chance', 0.7, 0.9, 'A', 'a takedown needs no reason from here on'],
});

/** What is only roughly known of a drying head, one draw at a time (drying §7). */
export const drawSpread = coefficients({
  pickUp: [0.22, 'sd of ln', 0.1, 0.35, 'A', 'how wet it was at the start'],
  hairDensity: [0.15, 'sd of ln', 0.05, 0.25, 'A', 'how much hair there is'],
  airMovement: [0.35, 'sd of ln', 0.2, 0.5, 'A', 'air movement in the room'],
  productWater: [0.25, 'sd of ln', 0.1, 0.4, 'A', 'water in the products, and how much was used'],
  roomHumidity: [0.06, 'share', 0.03, 0.1, 'A', 'humidity of the room'],
  roomTemperatureK: [1.5, 'K', 0.5, 3, 'A', 'temperature of the room'],
  hotAirK: [3, 'K', 1, 6, 'A', 'temperature of hot air at the hair'],
});

/** Spread of ln drying time by those causes, each alone, measured on the reference head (drying §7). */
export const dryingSpread = coefficients({
  hairDensity: [0.127, 'sd of ln h', 0.05, 0.2, 'F', 'how much hair there is'],
  pickUp: [0.089, 'sd of ln h', 0.05, 0.2, 'F', 'how wet it was at the start'],
  roomHumidity: [0.054, 'sd of ln h', 0.02, 0.1, 'F', 'humidity of the room'],
  unevenParting: [0.044, 'sd of ln h', 0.02, 0.1, 'F', 'sections of unequal size'],
  airMovement: [0.037, 'sd of ln h', 0.02, 0.1, 'F', 'air movement'],
  productWater: [0.035, 'sd of ln h', 0.02, 0.1, 'F', 'water in the products'],
  roomTemperature: [0.022, 'sd of ln h', 0.01, 0.05, 'F', 'temperature of the room'],
});

/** Spread of ln drying rate of a head that is not learnt yet: heads differ by .25, fitted constants are out by .10 (overnight). */
export const UNKNOWN_HEAD_LN_SD = 0.27;

/** What else is known of a forecast of drying before heads are drawn. */
export const unsure = coefficients({
  drawnLater: [
    0.06,
    'ln h',
    0.02,
    0.12,
    'F',
    'a head waits for the largest of its sections: drawn ones against the likeliest',
  ],
  littleWater: [
    0.2,
    'sd of ln h',
    0.1,
    0.3,
    'F',
    'added where little has to dry: its figures hang on the measure of dry',
  ],
  littleFrom: [0.12, 'g/g', 0.1, 0.15, 'A', 'water above the room from which that begins to count'],
  littleTo: [0.08, 'g/g', 0.05, 0.1, 'A', 'and at which it counts in full'],
});

/** Crowding of each zone: how freely air reaches it (drying §4, zones). */
export const zoneExposure = coefficients({
  front: [1.05, '–', 0.9, 1.2, 'F', 'open to the air'],
  crown: [1.05, '–', 0.9, 1.2, 'F', 'open to the air'],
  left: [1, '–', 0.85, 1.15, 'F', 'side'],
  right: [1, '–', 0.85, 1.15, 'F', 'side'],
  back: [0.85, '–', 0.7, 1, 'F', 'under other sections'],
  nape: [0.7, '–', 0.5, 0.9, 'F', 'under everything, against the neck'],
});
