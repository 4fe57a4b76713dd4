'use client';
import { SCHOOL_QUESTION_IDS, schoolQuestion } from '@/core/schools/schools';
import Link from '@/ui/shell/link';
import { DENSITY_PER_CM2, POROSITY, STRAND_UM } from '@/core/coefficients/hair';
import { ponytailDensityPerCm2, scalpAreaCm2 } from '@/core/hair/head';
import { ZONE_LABEL } from '@/core/hair/zone';
import { drawZones } from '@/core/parting/drawn-layout';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { formatDay, formatDiameter, formatLocalTime, formatMeasured } from '@/ui/format';
import { Page, Part } from '@/ui/shell/page';
import { useUnits } from '@/ui/units-context';
import { NewPlanButton } from '../plan/new-plan-button';
import { setLabelOf } from '@/core/draft/labels';
import { CONDITION_LABEL } from './condition-labels';
import { DENSITY_WORDS, nearestLevel } from './level-words';
import { DoItAgain } from '../sets/set-actions';
import { SetInTheRound } from '../sets/set-in-the-round';
import { CarePart } from './care-part';
import { HeadRecordActions } from './head-record';
import { KnownLines } from './known-lines';
import { Lengths } from './lengths';
import { Pictures } from './pictures';
import { Story } from './story';
import styles from './head-page.module.css';
import type { loadHead } from './queries';
import { LinkButton } from '@/ui/shell/link-button';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadHead>>>;

const ZONE_MAP = drawZones();

/** One head: how it was measured, what to mind, and every set so far. */
export function HeadPage(loaded: Loaded) {
  const { head, measurements, sets, plans, merges, others, clock } = loaded;
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
    ['Own coil', `${formatDiameter(measured.naturalCoilDiameterMm ?? 8, units)} wide`],
    ['Shrinks by', `${Math.round((measured.shrinkage ?? 0.5) * 100)} %`],
    ['Strand', nearestLevel(STRAND_UM, measured.strandDiameterUm ?? STRAND_UM.medium)],
    [
      'Density',
      density === undefined ? 'medium, not measured' : DENSITY_WORDS[nearestLevel(DENSITY_PER_CM2, density)],
    ],
    ['Porosity', POROSITY[measured.porosity ?? 'medium'].label],
    ['Round the head', formatMeasured(measured.circumferenceCm ?? 56, units)],
  ];
  const exact: readonly (readonly [string, string])[] = [
    ['Strand', `${Math.round(measured.strandDiameterUm ?? STRAND_UM.medium)} µm across`],
    ...(density === undefined
      ? []
      : [['Density', `about ${Math.round(density / 5) * 5} hairs per cm²`] as const]),
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
          <LinkButton href={`/heads/${head.id}/measure`} variant="outlined">
            Look and measure
          </LinkButton>
          <LinkButton href={`/heads/${head.id}/edit`} variant="outlined">
            Measure or edit
          </LinkButton>
          {sets[0] && <SetInTheRound setId={sets[0].id} label="Last set in the round" />}
          {sets[0] && <DoItAgain setId={sets[0].id} label="Last set again" />}
          <NewPlanButton headId={head.id} label="Plan a set" />
        </span>
      }
    >
      <div className={styles.columns}>
        <div>
          {head.allergies && (
            <p className={styles.mind}>
              <b>Mind:</b> {head.allergies}
            </p>
          )}
          <KnownLines lines={loaded.known} />
          <dl className={styles.facts}>
            {facts.map(([name, value]) => (
              <div key={name}>
                <dt>{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
          <details className={styles.more}>
            <summary>more</summary>
            <dl className={styles.facts}>
              {exact.map(([name, value]) => (
                <div key={name}>
                  <dt>{name}</dt>
                  <dd>{value}</dd>
                </div>
              ))}
            </dl>
          </details>
          {(measured.conditions?.length ?? 0) > 0 && (
            <p className={styles.chips}>
              {measured.conditions?.map((condition) => (
                <span key={condition}>{CONDITION_LABEL[condition]}</span>
              ))}
            </p>
          )}
          {head.notes && <p className={styles.notes}>{head.notes}</p>}
          {plans.length > 0 && (
            <Part title="Plans ahead">
              <ul className={styles.plans}>
                {plans.map((plan) => (
                  <li key={plan.id}>
                    <Link href={`/plan/${plan.id}`}>{plan.title}</Link>, {setLabelOf(plan.set)}
                    {plan.wearBy && `, ready by ${formatLocalTime(plan.wearBy, clock)}`}
                  </li>
                ))}
              </ul>
            </Part>
          )}
        </div>
        <Part title="Sets" note={sets.length === 0 ? undefined : String(sets.length)}>
          {sets.length === 0 ? (
            <p className={styles.line}>None yet. The first plan starts from these measurements.</p>
          ) : (
            <Story {...loaded} />
          )}
          <p>
            <Link href={`/sets/new?head=${head.id}`}>Write down a set done elsewhere</Link>
          </p>
        </Part>
      </div>
      <div className={styles.three}>
        <Part title="Lengths" note="pulled straight">
          <Lengths {...loaded} />
        </Part>
        <Part title="Last pictures">
          <Pictures {...loaded} />
        </Part>
        <Part title="Care due">
          <CarePart {...loaded} />
        </Part>
      </div>
      <div className={styles.columns}>
        <div className={styles.map}>
          <CrownMap
            name={`Zones of ${head.name}’s head with the stretched length of each`}
            sections={ZONE_MAP}
            skin={head.skinTone}
            hair={head.hairTone}
            labelOf={(section) => formatMeasured(lengthOf(section.zone), units)}
            detailOf={(section) => `${formatMeasured(lengthOf(section.zone), units)} stretched`}
          />
          <p className={styles.caption}>
            Stretched length in each zone, measured {formatDay(head.measurement.measuredAtMs, clock)}
            {measurements.length > 1 && `; measured ${measurements.length} times`}
          </p>
        </div>
        <div>
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
          <Part title="This record">
            <HeadRecordActions
              head={head}
              counts={{ sets: sets.length, plans: plans.length }}
              others={others}
              merges={merges}
              clock={clock}
            />
          </Part>
        </div>
      </div>
    </Page>
  );
}
