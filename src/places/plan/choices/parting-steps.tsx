'use client';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { groupedVerdicts } from '@/core/techniques/zone-verdict';
import { scalpAreaCm2 } from '@/core/hair/head';
import { clamp } from '@/core/units/clamp';
import { ZONE_LABEL, ZONES, type Zone } from '@/core/hair/zone';
import { MAX_SECTIONS, MIN_SECTIONS, MOST_BACK_ROWS } from '@/core/parting/generate';
import { inRows, PART_LABEL, PART_LINES, PARTING_PATTERNS, PATTERN_LABEL } from '@/core/parting/pattern';
import { WINDING_PATTERN_IDS, windingPatterns, type WindingPatternId } from '@/core/parting/winding';
import { TECHNIQUE_IDS, techniqueOf, type TechniqueId } from '@/core/techniques';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { formatArea, formatLength } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { meanSectionCm2, partingWords, wholeSetLabel } from '@/core/draft/labels';
import { partedAnew, withTrial, withZone, withZoneTool } from '@/core/draft/edits';
import type { DraftBrief, DraftTool, ShelfTool } from '@/core/draft/draft-brief';
import { toolKindOfSet, toolKindOfZone, toolsFor } from '@/core/draft/shelf-choices';
import { toolKinds } from '@/core/techniques/tool-kind';
import { capitalised, plural } from '@/core/words/words';
import styles from './parting-steps.module.css';
import { AlternateSize, sizeOf, sizeOptions, sizeWords } from './alternate-size';
import { optionsOf } from './options-of';
import type { PlanStep } from './plan-step';

/** Sizes a stylist asks for in words, and what they mean against an even section. */
const SIZES = [
  { value: '0.65', label: 'much smaller' },
  { value: '0.8', label: 'smaller' },
  { value: '1', label: 'even' },
  { value: '1.35', label: 'larger' },
  { value: '1.7', label: 'much larger' },
] as const;

/** Sides of a square section that are asked for, cm. */
const SIDES_CM = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10] as const;

/** Sections of a head parted in squares of a side. */
const countFor = (sideCm: number, { head }: DraftBrief): number =>
  clamp(Math.round(scalpAreaCm2(head.circumferenceCm ?? 56) / sideCm ** 2), MIN_SECTIONS, MAX_SECTIONS);

/** How many sections, in what pattern, beside what part, and larger or smaller where. */
export const partingStep: PlanStep = ({
  content,
  brief,
  set,
  plan,
  technique,
  units,
  onChange,
  changeBrief,
}) => {
  const parting = brief.parting ?? {};
  const pattern = parting.pattern ?? technique.usualPattern;
  const part = parting.part ?? 'none';
  const even = plan && meanSectionCm2(plan, set.technique);
  return {
    id: 'sections',
    title: 'Sections',
    answer: wholeSetLabel(set),
    note: [
      even && `${formatArea(even, units)} each`,
      PATTERN_LABEL[pattern].toLowerCase(),
      ...partingWords(parting).filter((words) => words !== PART_LABEL.none.toLowerCase()),
      parting.recipe && 'parted by hand',
    ]
      .filter(Boolean)
      .join(', '),
    body: (
      <>
        <NumberField
          label="Sections"
          value={set.sections ?? technique.usualSections}
          low={MIN_SECTIONS}
          high={MAX_SECTIONS}
          whole
          onCommit={(count) => changeBrief({ parting: partedAnew(brief), set: { ...set, sections: count } })}
        />
        <SelectField
          label="Or by size"
          value=""
          options={[
            {
              value: '',
              label: even ? `now about ${formatLength(Math.sqrt(even), units)} a side` : 'choose…',
            },
            ...SIDES_CM.map((cm) => ({
              value: String(cm),
              label: `${formatLength(cm, units)} a side: ${countFor(cm, brief)}`,
            })),
          ]}
          onChange={(cm) =>
            cm &&
            changeBrief({
              parting: partedAnew(brief),
              set: { ...set, sections: countFor(Number(cm), brief), sectionSideCm: undefined },
            })
          }
        />
        <SelectField
          label="Pattern"
          value={pattern}
          options={PARTING_PATTERNS.map((id) => ({ value: id, label: PATTERN_LABEL[id] }))}
          onChange={(value) =>
            changeBrief({
              parting: partedAnew(brief, {
                pattern: value as typeof pattern,
                ...(inRows(value as typeof pattern) ? {} : { backRows: undefined }),
              }),
            })
          }
        />
        <SelectField
          label="Part it is worn with"
          value={part}
          options={PART_LINES.map((id) => ({ value: id, label: PART_LABEL[id] }))}
          onChange={(value) => changeBrief({ parting: partedAnew(brief, { part: value as typeof part }) })}
        />
        {inRows(pattern) && !set.zones?.back?.sections && !set.zones?.nape?.sections && (
          <SelectField
            label="Rows at the back"
            value={String(parting.backRows ?? '')}
            options={[
              { value: '', label: 'as many as suit' },
              ...Array.from({ length: MOST_BACK_ROWS }, (_, i) => ({
                value: String(i + 1),
                label: plural(i + 1, 'row'),
              })).filter(({ value }) => 2 * Number(value) <= (set.sections ?? technique.usualSections)),
            ]}
            onChange={(rows) =>
              changeBrief({
                parting: partedAnew(brief, { backRows: rows === '' ? undefined : Number(rows) }),
              })
            }
          />
        )}
        <FormControlLabel
          control={
            <Switch
              checked={parting.trial ?? false}
              onChange={(_, trial) => onChange(withTrial(content, trial))}
            />
          }
          label="Half-head trial: compare the left with the right"
        />
        {parting.trial && (
          <FormControlLabel
            control={
              <Switch
                checked={parting.namesHidden ?? false}
                onChange={(_, isHidden) =>
                  changeBrief({ parting: { ...parting, namesHidden: isHidden || undefined } })
                }
              />
            }
            label="Whoever rates does not read which product is where, until both halves are over"
          />
        )}
        {technique.tool && (
          <SelectField
            label="Wound"
            value={parting.winding ?? 'usual'}
            options={optionsOf(WINDING_PATTERN_IDS, windingPatterns)}
            onChange={(value) => changeBrief({ parting: { ...parting, winding: value as WindingPatternId } })}
          />
        )}
        <details className={styles.sizes}>
          <summary>Larger or smaller by zone</summary>
          {ZONES.map((zone) => (
            <SelectField
              key={zone}
              label={capitalised(ZONE_LABEL[zone])}
              value={String(parting.zoneSize?.[zone] ?? 1)}
              options={SIZES.map(({ value, label }) => ({ value, label }))}
              onChange={(value) =>
                changeBrief({
                  parting: partedAnew(brief, { zoneSize: { ...parting.zoneSize, [zone]: Number(value) } }),
                })
              }
            />
          ))}
        </details>
      </>
    ),
  };
};

const SAME = 'same';

function ZoneFields({
  zone,
  brief,
  changeBrief,
}: {
  zone: Zone;
  brief: DraftBrief;
  changeBrief: (part: Partial<DraftBrief>) => void;
}) {
  const draft = brief.set.zones?.[zone];
  return (
    <div className={styles.zone}>
      <SelectField
        label={capitalised(ZONE_LABEL[zone])}
        value={draft?.technique ?? SAME}
        options={[
          { value: SAME, label: 'as the rest' },
          ...TECHNIQUE_IDS.map((id) => ({ value: id, label: techniqueOf(id).label })),
        ]}
        onChange={(value) =>
          changeBrief(withZone(brief, zone, value === SAME ? null : { technique: value as TechniqueId }))
        }
      />
      {draft?.sections !== undefined && (
        <NumberField
          label="How many"
          value={draft.sections}
          low={1}
          high={MAX_SECTIONS}
          whole
          width={120}
          onCommit={(sections) => changeBrief(withZone(brief, zone, { ...draft, sections }))}
        />
      )}
    </div>
  );
}

/** The size of tool in one zone, and a second that takes turns with it. */
function ZoneSize({
  zone,
  brief,
  tools,
  changeBrief,
}: {
  zone: Zone;
  brief: DraftBrief;
  tools: readonly ShelfTool[];
  changeBrief: (part: Partial<DraftBrief>) => void;
}) {
  const { units } = useUnits();
  const kind = toolKindOfZone(brief.set, zone);
  if (kind === null) return null;
  const shelf = toolsFor(tools, kind);
  const { tool = null, technique } = brief.set.zones?.[zone] ?? {};
  const onChange = (next: DraftTool | null) => changeBrief(withZoneTool(brief, zone, next));
  const isAsRest = kind === toolKindOfSet(brief.set) && technique === undefined;
  return (
    <div className={styles.zone}>
      <SelectField
        label={`${capitalised(ZONE_LABEL[zone])} ${toolKinds[kind].noun[1]}`}
        value={tool ? String(tool.diameterMm) : ''}
        options={[
          { value: '', label: isAsRest ? 'as the rest' : 'usual' },
          ...sizeOptions(shelf, tool, units),
        ]}
        onChange={(mm) => onChange(mm === '' ? null : sizeOf(shelf, tool, Number(mm)))}
      />
      {tool && (
        <AlternateSize
          label={`Every other, ${ZONE_LABEL[zone]}`}
          tool={tool}
          shelf={shelf}
          onChange={onChange}
        />
      )}
    </div>
  );
}

/** What is done differently where: a tapered cut mixes techniques and sizes. */
export const zonesStep: PlanStep = ({ brief, set, plan, tools, units, changeBrief }) => {
  const different = ZONES.filter((zone) => set.zones?.[zone]);
  const troubled = plan?.zones.filter((zone) => zone.problem !== null) ?? [];
  const nameOf = (zone: Zone) => {
    const { technique, tool } = set.zones?.[zone] ?? {};
    const what = `${ZONE_LABEL[zone]} ${techniqueOf(technique ?? set.technique).noun[1]}`;
    return tool ? `${what} ${sizeWords(tool, units)}` : what;
  };
  return {
    id: 'zones',
    title: 'By zone',
    answer: different.length === 0 ? 'The same all over' : capitalised(different.map(nameOf).join(', ')),
    note: troubled.length > 0 ? `look at ${troubled.map(({ zone }) => ZONE_LABEL[zone]).join(', ')}` : null,
    body: (
      <>
        {groupedVerdicts(troubled).map(([first, ...more]) => (
          <div key={first.zone} className={styles.problem} role="note">
            <p>
              <b>{capitalised([first, ...more].map(({ zone }) => ZONE_LABEL[zone]).join(', '))}</b>:{' '}
              {first.problem?.text}.
            </p>
            {first.proposals.map((proposal) => (
              <Button
                key={proposal.text}
                size="small"
                variant="outlined"
                onClick={() =>
                  changeBrief(
                    [first, ...more].reduce<Partial<DraftBrief>>(
                      (changed, { zone }) =>
                        withZone({ ...brief, ...changed }, zone, {
                          ...set.zones?.[zone],
                          technique: proposal.technique as TechniqueId,
                          ...(proposal.sections ? { sections: proposal.sections } : {}),
                          ...(proposal.toolDiameterMm
                            ? { tool: { diameterMm: proposal.toolDiameterMm } }
                            : {}),
                        }),
                      {},
                    ),
                  )
                }
              >
                {capitalised(proposal.text)}
              </Button>
            ))}
          </div>
        ))}
        {ZONES.map((zone) => (
          <ZoneFields key={zone} zone={zone} brief={brief} changeBrief={changeBrief} />
        ))}
        {ZONES.some((zone) => toolKindOfZone(set, zone) !== null) && (
          <details className={styles.sizes}>
            <summary>Sizes by zone</summary>
            {ZONES.map((zone) => (
              <ZoneSize key={zone} zone={zone} brief={brief} tools={tools} changeBrief={changeBrief} />
            ))}
          </details>
        )}
      </>
    ),
  };
};
