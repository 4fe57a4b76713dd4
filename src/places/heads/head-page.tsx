'use client';
import { SCHOOL_QUESTION_IDS, schoolQuestion } from '@/core/advice/schools';
import Link from 'next/link';
import { POROSITY } from '@/core/coefficients/hair';
import { ponytailDensityPerCm2, scalpAreaCm2 } from '@/core/hair/head';
import { ZONE_LABEL } from '@/core/hair/zone';
import { drawZones } from '@/core/parting/drawn-layout';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { formatDay, formatDays, formatDiameter, formatLength } from '@/ui/format';
import { Page, Part } from '@/ui/shell/page';
import { useUnits } from '@/ui/units-context';
import { NewPlanButton } from '../plan/new-plan-button';
import { wholeSetLabel } from '../plan/plan-content';
import { CONDITION_LABEL } from './condition-labels';
import styles from './head-page.module.css';
import type { loadHead } from './queries';
import { LinkButton } from '@/ui/shell/link-button';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadHead>>>;

const ZONE_MAP = drawZones();

const stageOf = (set: Loaded['sets'][number]) =>
  set.endedAtMs !== null
    ? `lasted ${formatDays(set.lastGoodDay ?? 0)}`
    : set.takenDownAtMs !== null
      ? 'being worn'
      : set.installedAtMs !== null
        ? 'drying'
        : 'in the chair';

/** One head: how it was measured, what to mind, and every set so far. */
export function HeadPage({ head, measurements, sets, timeZone }: Loaded) {
  const { units } = useUnits();
  const measured = head.measurement.head;
  const lengthOf = (zone: keyof typeof ZONE_LABEL) =>
    typeof measured.stretchedLengthCm === 'number'
      ? measured.stretchedLengthCm
      : measured.stretchedLengthCm[zone];
  const density =
    measured.densityPerCm2 ??
    (measured.ponytailCircumferenceCm === undefined
      ? undefined
      : ponytailDensityPerCm2(
          measured.ponytailCircumferenceCm,
          measured.strandDiameterUm ?? 70,
          scalpAreaCm2(measured.circumferenceCm ?? 56),
        ));
  const facts: readonly (readonly [string, string])[] = [
    ['Own coil', formatDiameter(measured.naturalCoilDiameterMm ?? 8, units)],
    ['Shrinkage', `${Math.round((measured.shrinkage ?? 0.5) * 100)} %`],
    ['Strand', `${measured.strandDiameterUm ?? 70} µm`],
    ['Density', density === undefined ? 'medium, assumed' : `about ${Math.round(density / 5) * 5} per cm²`],
    ['Porosity', POROSITY[measured.porosity ?? 'medium'].label],
    ['Round the head', formatLength(measured.circumferenceCm ?? 56, units)],
  ];
  const schools = SCHOOL_QUESTION_IDS.flatMap((id) => {
    const { label, schools: all } = schoolQuestion(id);
    const taken = all[head.schools[id] ?? ''];
    return taken ? [{ id, label, taken: taken.label }] : [];
  });
  return (
    <Page
      title={head.name}
      lead={head.description}
      action={
        <span className={styles.actions}>
          <LinkButton href={`/heads/${head.id}/edit`} variant="outlined">
            Measure or edit
          </LinkButton>
          <NewPlanButton headId={head.id} label="Plan a set" />
        </span>
      }
    >
      <div className={styles.columns}>
        <div className={styles.map}>
          <CrownMap
            name={`Zones of ${head.name}’s head with the stretched length of each`}
            sections={ZONE_MAP}
            skin={head.skinTone}
            hair={head.hairTone}
            labelOf={(section) => formatLength(lengthOf(section.zone), units)}
            detailOf={(section) => `${formatLength(lengthOf(section.zone), units)} stretched`}
          />
          <p className={styles.caption}>
            Stretched length in each zone, measured {formatDay(head.measurement.measuredAtMs, timeZone)}
            {measurements.length > 1 && `; ${measurements.length} measurings kept`}
          </p>
        </div>
        <div>
          <dl className={styles.facts}>
            {facts.map(([name, value]) => (
              <div key={name}>
                <dt>{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
          {(measured.conditions?.length ?? 0) > 0 && (
            <p className={styles.chips}>
              {measured.conditions?.map((condition) => (
                <span key={condition}>{CONDITION_LABEL[condition]}</span>
              ))}
            </p>
          )}
          {head.allergies && (
            <p className={styles.mind}>
              <b>Mind:</b> {head.allergies}
            </p>
          )}
          {head.notes && <p className={styles.notes}>{head.notes}</p>}
          {schools.length > 0 && (
            <Part title="Done so on this head" note="new plans start from it">
              <dl className={styles.facts}>
                {schools.map(({ id, label, taken }) => (
                  <div key={id}>
                    <dt>{label}</dt>
                    <dd>{taken}</dd>
                  </div>
                ))}
              </dl>
            </Part>
          )}
          <Part title="Sets" note={sets.length === 0 ? undefined : String(sets.length)}>
            {sets.length === 0 ? (
              <p className={styles.caption}>None yet. The first plan starts from these measurements.</p>
            ) : (
              <table className={styles.sets}>
                <thead>
                  <tr>
                    <th>When</th>
                    <th>What</th>
                    <th>Forecast</th>
                    <th>So far</th>
                  </tr>
                </thead>
                <tbody>
                  {sets.map((set) => (
                    <tr key={set.id}>
                      <td>{formatDay(set.startedAtMs, timeZone)}</td>
                      <td>
                        <Link href={`/sets/${set.id}`}>{wholeSetLabel(set.brief.set)}</Link>
                      </td>
                      <td>
                        {Math.round(set.forecast.daysPresentable.p10)} to{' '}
                        {Math.round(set.forecast.daysPresentable.p90)} days
                      </td>
                      <td>{stageOf(set)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </Part>
        </div>
      </div>
    </Page>
  );
}
