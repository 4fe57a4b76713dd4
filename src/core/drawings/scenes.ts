import {
  arc,
  arrow,
  bar,
  coil,
  curve,
  equal,
  finger,
  knot,
  oval,
  plait,
  rodWithHair,
  rope,
  scalp,
  strand,
  together,
  turning,
} from './pen';
import { pathOf, type Drawing, type Point, type Tone } from './shape';

/** Straight down from the scalp, to here. */
const down = (to = 158, x = 120): Point[] => [
  [x, 26],
  [x, to],
];
const TOP: Point = [120, 20];

/** The head from above with its quarters: the one in hand free, the others clipped away. */
export const parted = (): Drawing =>
  together(
    [oval([120, 92], 74, 76, 'skin', 'skin-line'), oval([120, 96], 60, 62, 'panel', 'skin-line')],
    [
      {
        d: pathOf([
          [120, 34],
          [120, 158],
        ]),
        stroke: 'skin-line',
        width: 3,
      },
      {
        d: pathOf([
          [60, 92],
          [180, 92],
        ]),
        stroke: 'skin-line',
        width: 3,
      },
      { d: pathOf([[124, 96], ...arc([120, 96], 58, 60, 4, 86), [124, 96]], true), fill: 'now' },
    ],
    ...(
      [
        [92, 66],
        [148, 66],
        [92, 124],
      ] as const
    ).map(([x, y]): Drawing => [
      bar([x - 14, y + 4], [x + 12, y - 4], 9, 'tool', 'tool-line'),
      {
        d: pathOf([
          [x - 14, y + 4],
          [x + 12, y - 4],
        ]),
        stroke: 'tool-line',
        width: 1.4,
      },
    ]),
  );

/** Strands hanging side by side from the scalp. */
export function split(strands: 2 | 3, isRolled = false): Drawing {
  const tones: readonly Tone[] = strands === 2 ? ['warm', 'dark'] : ['dark', 'warm', 'sand'];
  const ends: readonly Point[] =
    strands === 2
      ? [
          [76, 158],
          [164, 158],
        ]
      : [
          [66, 158],
          [120, 160],
          [174, 158],
        ];
  return together(
    scalp(),
    ...ends.map((end, k) =>
      strand(
        curve([[120 + (k - (strands - 1) / 2) * 12, 28], [(120 + 2 * end[0]) / 3, 84], end]),
        () => 20,
        tones[k]!,
        3,
      ),
    ),
    strands === 2 ? equal([120, 110]) : together(equal([96, 126]), equal([144, 126])),
    ...(isRolled ? ends.map(([x, y]) => turning([x, y - 26], true, 20)) : []),
  );
}

/** A rope being wound: closed above, open below. */
export const winding = (strands: 2 | 3, until: number, tones?: readonly Tone[]): Drawing =>
  together(scalp(), rope({ path: down(), strands, width: 30, until, ...(tones ? { tones } : {}) }));

export const finished = (strands: 2 | 3, to = 150): Drawing =>
  together(scalp(), rope({ path: down(to), strands, width: 28, thinTo: 0.55 }));

export const plaiting = (until: number, isOutside = false): Drawing =>
  together(scalp(), plait({ path: down(), width: 30, until, isOutside }));

/** A tip wound round a finger that lies across. */
export const coiledTip = (): Drawing =>
  together(
    scalp(),
    rope({ path: down(104), strands: 2, width: 28, thinTo: 0.6 }),
    finger([236, 124], [78, 124], 22),
    coil(
      [
        [96, 124],
        [146, 124],
      ],
      15,
      { pitch: 13, width: 11 },
    ),
    arrow([
      [186, 94],
      [204, 122],
      [178, 152],
    ]),
  );

/** What two sets leave behind, side by side: the set and the curl out of it. */
export const leaves = (set: Drawing, curl: Drawing): Drawing =>
  together(
    set,
    curl,
    arrow([
      [104, 92],
      [120, 88],
      [136, 92],
    ]),
  );

export const hangingCoil = (x: number, radius: number, to = 158, from = 26, tone: Tone = 'dark'): Drawing =>
  coil(
    [
      [x, from],
      [x, to],
    ],
    radius,
    { tone },
  );

/** A lane of scalp with a row along it. */
export const lane = (until: number): Drawing =>
  together(
    [
      oval([120, 92], 104, 62, 'skin', 'skin-line'),
      {
        d: pathOf([...arc([60, 92], 20, 26, 90, 270), ...arc([186, 92], 20, 26, -90, 90)], true),
        fill: 'panel',
        stroke: 'skin-line',
        width: 1.2,
      },
    ],
    Array.from({ length: 9 }, (_, i) => i).flatMap((i): Drawing => {
      const x = 56 + i * 15;
      if (x < 50 + 140 * until) return [];
      return [-1, 1].map((side) => ({
        d: pathOf([
          [x + 8, 92 + 22 * side],
          [x - 4, 92 + 6 * side],
        ]),
        stroke: 'dark' as const,
        width: 1.6,
      }));
    }),
    until > 0.1
      ? rope({
          path: [
            [46, 92],
            [46 + 140 * until, 92],
          ],
          strands: 2,
          width: 22,
        })
      : together(
          strand(
            curve([
              [44, 84],
              [64, 80],
              [92, 70],
            ]),
            () => 10,
            'warm',
          ),
          strand(
            curve([
              [44, 100],
              [64, 104],
              [92, 114],
            ]),
            () => 10,
            'dark',
          ),
        ),
  );

/** Rows over the head, from above. */
export const rows = (count: number): Drawing =>
  together(
    [oval([120, 92], 64, 80, 'skin', 'skin-line')],
    ...Array.from({ length: count }, (_, i) => {
      const x = 120 + (i - (count - 1) / 2) * (104 / count);
      const half = 70 * Math.sqrt(Math.max(0.15, 1 - ((x - 120) / 60) ** 2));
      return rope({
        path: [
          [x, 92 - half],
          [x, 92 + half],
        ],
        strands: 2,
        width: 60 / count,
      });
    }),
  );

/** A piece of the scalp from above, with what stands on it. */
export const base = (...on: readonly Drawing[]): Drawing =>
  together(
    [oval([120, 108], 88, 56, 'skin', 'skin-line'), oval([120, 112], 52, 30, 'panel', 'skin-line', 1.2)],
    ...on,
  );

export const knotted = (share = 1): Drawing => base(knot([120, 112], 44, share));

/** A rope laid loosely round its base. */
export const firstTurn = (): Drawing =>
  base(
    strand(
      [
        ...arc([120, 112], 44, 26, -90, 250).reverse(),
        ...curve([
          [102, 88],
          [86, 60],
          [72, 30],
        ]),
      ],
      () => 14,
      'dark',
      3,
    ),
    [{ d: pathOf(arc([120, 112], 16, 9), true), stroke: 'now', width: 3.4 }],
  );

/** A smooth sheet of hair combed out over a rod below. */
export const overRod = (isWound: boolean): Drawing =>
  together(
    scalp(),
    strand(
      curve([
        [120, 28],
        [120, 70],
        [120, isWound ? 84 : 138],
      ]),
      () => 42,
      'dark',
      6,
    ),
    isWound
      ? rodWithHair([120, 100], 128, 26)
      : together(
          [bar([62, 146], [178, 146], 18, 'tool', 'tool-line')],
          finger([214, 170], [164, 150], 16),
          finger([26, 170], [76, 150], 16),
        ),
  );

export const closedRod = (): Drawing =>
  together(
    scalp(TOP, 74),
    rodWithHair([120, 54], 128, 30),
    [
      {
        d: pathOf(
          curve([
            [58, 46],
            [120, 22],
            [182, 46],
          ]),
        ),
        stroke: 'now',
        width: 3.6,
      },
    ],
    [oval([58, 48], 5, 5, 'now', 'tool-line', 1.2), oval([182, 48], 5, 5, 'now', 'tool-line', 1.2)],
  );

/** A bendable rod, hair wound on it, closed at one end or both. */
export const flexible = (closes: 0 | 1 | 2): Drawing => {
  const rod = curve(
    closes === 0
      ? [
          [120, 60],
          [120, 168],
        ]
      : closes === 1
        ? [
            [120, 168],
            [120, 76],
            [132, 52],
            [150, 62],
            [150, 92],
          ]
        : [
            [92, 104],
            [92, 132],
            [106, 150],
            [120, 140],
            [120, 76],
            [132, 52],
            [150, 62],
            [150, 92],
          ],
  );
  return together(
    scalp(),
    [
      { d: pathOf(rod), stroke: 'tool-line', width: 15 },
      { d: pathOf(rod), stroke: 'tool', width: 12 },
    ],
    coil(
      [
        [120, closes === 0 ? 112 : 74],
        [120, closes === 2 ? 140 : 160],
      ],
      14,
      { pitch: 14, width: 12 },
    ),
    strand(
      curve([
        [120, 28],
        [108, closes === 0 ? 62 : 46],
        [110, closes === 0 ? 112 : 74],
      ]),
      () => 12,
      'dark',
    ),
  );
};

/** A springy sleeve with a hook through it. */
export const former = (stage: 'hooked' | 'caught' | 'sprung' | 'off'): Drawing =>
  stage === 'hooked' || stage === 'caught'
    ? together(
        scalp(),
        [
          bar([120, 62], [120, 164], 20, 'panel', 'tool-line'),
          {
            d: pathOf(
              curve([
                [120, 178],
                [120, 70],
                [126, 54],
                [114, 52],
              ]),
            ),
            stroke: 'tool-line',
            width: 3,
          },
        ],
        strand(
          curve([
            [120, 28],
            [118, 44],
            [120, stage === 'caught' ? 150 : 50],
          ]),
          () => 14,
          'dark',
        ),
        stage === 'caught'
          ? arrow([
              [160, 70],
              [164, 110],
              [160, 150],
            ])
          : arrow([
              [160, 150],
              [164, 110],
              [160, 70],
            ]),
      )
    : stage === 'sprung'
      ? together(
          scalp(),
          coil(
            [
              [120, 34],
              [120, 156],
            ],
            26,
            { pitch: 30, width: 22, tone: 'sand' },
          ),
          coil(
            [
              [120, 34],
              [120, 156],
            ],
            26,
            { pitch: 30, width: 9 },
          ),
        )
      : together(
          scalp(),
          hangingCoil(120, 22, 120),
          coil(
            [
              [120, 130],
              [120, 176],
            ],
            26,
            { pitch: 30, width: 20, tone: 'sand' },
          ),
          arrow([
            [170, 112],
            [172, 140],
            [168, 168],
          ]),
        );

/** A braid with a closed rod at its end. */
export const closedEnd = (): Drawing =>
  together(scalp(), plait({ path: down(108), width: 28, thinTo: 0.7 }), rodWithHair([120, 122], 96, 24, 5), [
    {
      d: pathOf(
        curve([
          [74, 116],
          [120, 96],
          [166, 116],
        ]),
      ),
      stroke: 'now',
      width: 3.6,
    },
  ]);

/** Twirled round a finger or a comb set at the root. */
export const twirled = (tool: 'finger' | 'comb'): Drawing =>
  together(
    scalp(),
    tool === 'finger'
      ? together(
          finger([120, 178], [120, 66], 22),
          coil(
            [
              [120, 44],
              [120, 120],
            ],
            15,
            { pitch: 17, width: 13 },
          ),
        )
      : together(
          strand(
            curve([
              [120, 28],
              [120, 50],
              [120, 88],
            ]),
            () => 20,
            'dark',
            3,
          ),
          coil(
            [
              [120, 92],
              [120, 160],
            ],
            11,
          ),
          Array.from({ length: 7 }, (_, i): Drawing[number] => ({
            d: pathOf([
              [96 + i * 8, 40],
              [96 + i * 8, 66],
            ]),
            stroke: 'tool-line',
            width: 3,
          })),
          [
            bar([92, 70], [150, 70], 12, 'tool', 'tool-line'),
            bar([150, 70], [214, 70], 9, 'tool', 'tool-line'),
          ],
        ),
    turning([120, tool === 'finger' ? 138 : 118], true),
  );

/** A slice of hair with product smoothed down it by hand. */
export const smoothed = (): Drawing =>
  together(
    scalp(),
    strand(
      curve([
        [120, 28],
        [118, 90],
        [122, 166],
      ]),
      () => 34,
      'dark',
      5,
    ),
    finger([216, 118], [140, 100], 18),
    finger([212, 140], [142, 122], 16),
    [{ d: pathOf(arc([120, 62], 13, 20), true), fill: 'ground', stroke: 'tool-line', width: 1 }],
    arrow([
      [76, 56],
      [72, 100],
      [76, 146],
    ]),
  );

/** Several things hanging in a row. */
export const hanging = (xs: readonly number[], draw: (x: number) => Drawing): Drawing =>
  together(scalp(TOP, 96), ...xs.map(draw));

/** Bands in even steps along stretched hair. */
export const banded = (): Drawing =>
  together(
    scalp(),
    strand(
      curve([
        [120, 28],
        [120, 90],
        [120, 170],
      ]),
      () => 26,
      'dark',
      4,
    ),
    [56, 88, 120, 152].map((y): Drawing[number] => ({
      d: pathOf([
        [105, y],
        [135, y],
      ]),
      stroke: 'now',
      width: 6,
    })),
  );

/** A tip held by something. */
export const heldTip = (by: 'band' | 'pin' | 'rod' | 'paste' | 'tuck' | 'twist'): Drawing => {
  const body = rope({ path: down(by === 'rod' ? 108 : 138), strands: 2, width: 26, thinTo: 0.5 });
  if (by === 'rod')
    return together(
      scalp(),
      body,
      rodWithHair([120, 122], 96, 22, 5),
      arrow([
        [182, 108],
        [196, 126],
        [178, 150],
      ]),
    );
  if (by === 'band')
    return together(scalp(), body, [
      {
        d: pathOf([
          [108, 128],
          [132, 128],
        ]),
        stroke: 'now',
        width: 7,
      },
    ]);
  if (by === 'pin')
    return together(base(knot([120, 112], 44)), [
      {
        d: pathOf(
          curve([
            [64, 118],
            [120, 98],
            [172, 112],
          ]),
        ),
        stroke: 'now',
        width: 4,
      },
    ]);
  if (by === 'tuck')
    return together(
      base(knot([120, 112], 44)),
      arrow([
        [178, 164],
        [150, 156],
        [132, 134],
      ]),
    );
  if (by === 'paste')
    return together(
      scalp(),
      strand(
        curve([
          [120, 28],
          [120, 150],
        ]),
        (share) => 34 - 6 * share,
        'dark',
        5,
      ),
      finger([216, 150], [138, 140], 16),
      finger([24, 150], [102, 140], 16),
    );
  return together(
    scalp(),
    rope({ path: down(160), strands: 2, width: 26, thinTo: 0.3 }),
    turning([120, 142], true, 26),
  );
};

/** A head seen from behind with hair about it. */
export const nightHead = (kind: 'gather' | 'scarf' | 'bonnet'): Drawing =>
  together(
    [oval([120, 112], 44, 56, 'skin', 'skin-line')],
    kind === 'gather'
      ? together(
          [oval([120, 84], 48, 40, 'dark', 'hair-line'), oval([120, 38], 30, 24, 'dark', 'hair-line')],
          [
            {
              d: pathOf([
                [98, 56],
                [142, 56],
              ]),
              stroke: 'now',
              width: 6,
            },
          ],
        )
      : kind === 'scarf'
        ? together(
            [oval([120, 92], 52, 46, 'dark', 'hair-line')],
            [
              {
                d: pathOf([...arc([120, 88], 54, 34, 170, 370)], true),
                fill: 'act',
                stroke: 'hair-line',
                width: 1.6,
              },
            ],
          )
        : [
            {
              d: pathOf(arc([120, 74], 66, 54, 140, 400), true),
              fill: 'act',
              stroke: 'hair-line',
              width: 1.6,
            },
          ],
  );

/** A hand at the root, the thickest place and the nape. */
export const feeling = (): Drawing =>
  together(
    scalp(),
    rope({ path: down(160), strands: 2, width: 28 }),
    finger([216, 60], [138, 46], 18),
    finger([212, 82], [140, 66], 16),
    [{ d: pathOf(arc([120, 50], 26, 16), true), stroke: 'now', width: 3.4 }],
  );

/** One twist parted in two or more. */
export const separated = (pieces: 1 | 2 | 3): Drawing =>
  hanging(pieces === 1 ? [120] : pieces === 2 ? [100, 140] : [80, 120, 160], (x) =>
    hangingCoil(x, 30 / (pieces + 1) + 6, 166, 30, x === 120 ? 'dark' : 'warm'),
  );

/** Fingers or a pick at the roots only. */
export const lifted = (): Drawing =>
  together(
    scalp(TOP, 96),
    ...[64, 96, 144, 176].map((x) => hangingCoil(x, 12, 170, 44)),
    finger([120, 172], [120, 52], 20),
    arrow([
      [150, 62],
      [158, 44],
      [150, 30],
    ]),
    arrow([
      [90, 62],
      [82, 44],
      [90, 30],
    ]),
    [
      {
        d: pathOf([
          [30, 112],
          [210, 112],
        ]),
        stroke: 'wrong',
        width: 2.4,
      },
    ],
  );

/** Hair pressed in a towel. */
export const pressed = (): Drawing =>
  together(
    scalp(),
    rope({ path: down(166), strands: 2, width: 28 }),
    [
      bar([78, 116], [78, 140], 52, 'ground', 'tool-line'),
      bar([162, 116], [162, 140], 52, 'ground', 'tool-line'),
    ],
    arrow([
      [20, 128],
      [36, 128],
      [54, 128],
    ]),
    arrow([
      [220, 128],
      [204, 128],
      [186, 128],
    ]),
  );

/** A head under a hood. */
export const underHood = (): Drawing =>
  together(
    [oval([120, 118], 42, 52, 'skin', 'skin-line'), oval([120, 92], 46, 34, 'dark', 'hair-line')],
    [
      {
        d: pathOf([...arc([120, 84], 78, 66, 180, 360), [198, 96], [42, 96]], true),
        fill: 'tool',
        stroke: 'tool-line',
        width: 1.8,
      },
      {
        d: pathOf(
          curve([
            [198, 60],
            [222, 80],
            [222, 170],
          ]),
        ),
        stroke: 'tool-line',
        width: 7,
      },
    ],
    ...[84, 120, 156].map((x) =>
      arrow(
        [
          [x, 52],
          [x, 66],
          [x, 84],
        ],
        'now',
      ),
    ),
  );
