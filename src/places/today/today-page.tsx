import { whyOf } from '@/core/explain/why-of';
import type { PlanFile } from '@/core/formats/plan-file';
import { DRY_ENOUGH } from '@/core/plan/drying-now';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatAboutClock, formatClock, formatDay, formatChance } from '@/ui/format';
import { AskHow } from '@/ui/how-we-know/ask';
import { Cards, LinkCard } from '@/ui/shell/card';
import { Page, Part } from '@/ui/shell/page';
import { wholeSetLabel } from '../plan/plan-content';
import { Shortages } from '../shelf/shortages';
import { wornDay } from '../wear/worn-day';
import { DryingThumb } from './drying-thumb';
import type { loadToday } from './queries';
import styles from './today-page.module.css';
import { LinkButton } from '@/ui/shell/link-button';

const lasts = ({ daysPresentable: { p10, p90 } }: PlanFile) => `${Math.round(p10)} to ${Math.round(p90)}`;

/** What needs hands now, most pressing first. */
export function TodayPage(today: Awaited<ReturnType<typeof loadToday>>) {
  const { timeZone, nowMs, setting, drying, worn, booked, drafts } = today;
  const isQuiet = setting.length + drying.length + worn.length + booked.length + drafts.length === 0;
  return (
    <Page
      title="Today"
      lead={`${today.studioName}, ${formatDay(nowMs, timeZone)}, ${formatClock(nowMs, timeZone)}`}
    >
      {isQuiet && (
        <EmptyState
          title={today.hasHeads ? 'Nothing needs hands now' : 'Welcome'}
          text={
            today.hasHeads
              ? 'Choose a head and plan its next set.'
              : 'Start by measuring a head: six lengths, the coil, the strand. Then plan its first set.'
          }
          action={
            <LinkButton variant="contained" href={today.hasHeads ? '/plan' : '/heads/new'}>
              {today.hasHeads ? 'Plan a set' : 'Measure a head'}
            </LinkButton>
          }
        />
      )}
      <Shortages booked={today.short} timeZone={timeZone} />
      <div className={styles.parts}>
        {setting.length > 0 && (
          <Part title="In the chair">
            <Cards>
              {setting.map((set) => (
                <LinkCard key={set.id} href={`/chair/${set.id}`} title={set.headName} tone="now">
                  <p>
                    {wholeSetLabel(set.brief.set)}, since {formatClock(set.startedAtMs, timeZone)}
                  </p>
                </LinkCard>
              ))}
            </Cards>
          </Part>
        )}
        {drying.length > 0 && (
          <Part title="Drying now">
            <Cards>
              {drying.map(({ set, drawn, chances, feel, feelAtMs }) => (
                <LinkCard
                  key={set.id}
                  href={`/chair/${set.id}`}
                  title={set.headName}
                  tone={chances.whole >= DRY_ENOUGH ? 'dry' : 'now'}
                  figure={
                    <DryingThumb
                      drawn={drawn}
                      zones={chances.zones}
                      skin={set.skinTone}
                      hair={set.hairTone}
                    />
                  }
                >
                  <p>{wholeSetLabel(set.brief.set)}</p>
                  <p className={styles.chance}>
                    <strong>{formatChance(chances.whole)}</strong>{' '}
                    <AskHow
                      topic="dry"
                      name="sure every root is dry"
                      now={`${formatChance(chances.whole)} sure that every root on ${set.headName} is dry now.`}
                      why={whyOf(set.forecast, 'dry')}
                    />
                  </p>
                  <p>
                    Feel {feel.slice(0, -1).join(', ')} and {feel.at(-1)}{' '}
                    {feelAtMs <= nowMs ? 'now' : `about ${formatAboutClock(feelAtMs, timeZone)}`}
                  </p>
                </LinkCard>
              ))}
            </Cards>
          </Part>
        )}
        {worn.length > 0 && (
          <Part title="Being worn">
            <Cards>
              {worn.map(({ set, days }) => {
                const day = wornDay(set.takenDownAtMs ?? nowMs, nowMs, timeZone);
                return (
                  <LinkCard
                    key={set.id}
                    href={`/wear/${set.id}`}
                    title={set.headName}
                    tone={days.includes(day) ? 'plain' : 'now'}
                    figure={
                      <>
                        <strong>day {day}</strong>
                        {lasts(set.forecast)}{' '}
                        <AskHow
                          topic="days"
                          name="forecast"
                          now={`On ${set.headName} it lasts ${lasts(set.forecast)} days. Today is day ${day}.`}
                          why={whyOf(set.forecast, 'days')}
                        />
                      </>
                    }
                  >
                    <p>{wholeSetLabel(set.brief.set)}</p>
                    <p>{days.includes(day) ? 'today is entered' : 'today is not entered yet'}</p>
                  </LinkCard>
                );
              })}
            </Cards>
          </Part>
        )}
        {booked.length > 0 && (
          <Part title="Booked">
            <Cards>
              {booked.map((plan) => (
                <LinkCard
                  key={plan.id}
                  href={`/plan/${plan.id}`}
                  title={plan.title}
                  figure={
                    plan.readyMs !== null && (
                      <>
                        <strong>{formatClock(plan.readyMs, timeZone)}</strong>
                        {formatDay(plan.readyMs, timeZone)}
                      </>
                    )
                  }
                >
                  <p>
                    {plan.headName}, {wholeSetLabel(plan.brief.set)}
                  </p>
                </LinkCard>
              ))}
            </Cards>
          </Part>
        )}
        {drafts.length > 0 && (
          <Part title="Drafts">
            <Cards>
              {drafts.map((plan) => (
                <LinkCard key={plan.id} href={`/plan/${plan.id}`} title={plan.title}>
                  <p>
                    {plan.headName}, {wholeSetLabel(plan.brief.set)}
                  </p>
                </LinkCard>
              ))}
            </Cards>
          </Part>
        )}
      </div>
    </Page>
  );
}
