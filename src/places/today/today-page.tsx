import { daysWhy } from '@/core/explain/why-of';
import { DRY_ENOUGH } from '@/core/plan/drying-now';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatChance, formatClock, formatDay, formatLocalDay, formatMoment, formatWhen } from '@/ui/format';
import { AskHow } from '@/ui/how-we-know/ask';
import Link from '@/ui/shell/link';
import { Cards, LinkCard } from '@/ui/shell/card';
import { FreshAtMidnight } from '@/ui/shell/fresh-at-midnight';
import { Page, Part } from '@/ui/shell/page';
import { setLabelOf } from '@/core/draft/labels';
import { Shortages } from '../shelf/shortages';
import type { Spread } from '@/core/stats/spread';
import { DUE_WORDS } from '@/core/care/due';
import { listed, plural } from '@/core/words/words';
import { TonightCard } from '../wear/tonight-card';
import { dateOfDay } from '../wear/worn-day';
import { nextWords } from '../chair/next-words';
import { DryingThumb } from './drying-thumb';
import type { loadToday } from './queries';
import styles from './today-page.module.css';
import { LinkButton } from '@/ui/shell/link-button';

const lasts = ({ p10, p90 }: Spread) => `${Math.round(p10)} to ${Math.round(p90)}`;

/** What needs hands now, most pressing first. */
export function TodayPage(today: Awaited<ReturnType<typeof loadToday>>) {
  const { clock, nowMs, setting, drying, tonight, worn, care, booked, drafts } = today;
  const isQuiet =
    setting.length + drying.length + tonight.length + worn.length + booked.length + drafts.length === 0;
  return (
    <Page title="Today" lead={`${today.studioName}, ${formatMoment(nowMs, clock)}`}>
      <FreshAtMidnight servedMs={nowMs} timeZone={clock.timeZone} />
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
      <Shortages booked={today.short} clock={clock} />
      <div className={styles.parts}>
        {setting.length > 0 && (
          <Part title="In the chair">
            <Cards>
              {setting.map((set) => (
                <LinkCard key={set.id} href={`/chair/${set.id}`} title={set.headName} tone="now">
                  <p>
                    {setLabelOf(set.set)}, since {formatWhen(set.startedAtMs, clock, nowMs)}
                  </p>
                </LinkCard>
              ))}
            </Cards>
          </Part>
        )}
        {today.more.chair > 0 && (
          <More href="/chair" count={today.more.chair} one="set at the chair" many="sets at the chair" />
        )}
        {drying.length > 0 && (
          <Part title="Drying now">
            <Cards>
              {drying.map(({ set, drawn, chances, why, feel, next }) => (
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
                  <p>{setLabelOf(set.set)}</p>
                  <p className={styles.chance}>
                    <strong>{formatChance(chances.whole)}</strong>{' '}
                    <AskHow
                      topic="dry"
                      name="sure every root is dry"
                      now={`${formatChance(chances.whole)} sure that every root on ${set.headName} is dry now.`}
                      why={why}
                    />
                  </p>
                  <p>{nextWords(next, feel, clock, nowMs)}</p>
                </LinkCard>
              ))}
            </Cards>
          </Part>
        )}
        {tonight.length > 0 && (
          <div className={styles.tonight}>
            <Part title="Tonight" note="how it is holding up, in six touches">
              {tonight.map(
                ({ headName, set, takenDownAtMs, entry }) =>
                  entry && (
                    <TonightCard
                      key={`${entry.setId}/${entry.day}`}
                      headName={headName}
                      words={setLabelOf(set)}
                      date={dateOfDay(takenDownAtMs, entry.day, clock.timeZone)}
                      tonight={entry}
                    />
                  ),
              )}
            </Part>
          </div>
        )}
        {worn.length > 0 && (
          <Part title="Being worn">
            <Cards>
              {worn.map(({ set, day, isEntered }) => {
                return (
                  <LinkCard
                    key={set.id}
                    href={`/wear/${set.id}`}
                    title={set.headName}
                    tone={isEntered ? 'plain' : 'now'}
                    figure={
                      <>
                        <strong>day {day}</strong>
                        {set.daysPresentable && (
                          <>
                            {lasts(set.daysPresentable)}{' '}
                            <AskHow
                              topic="days"
                              name="forecast"
                              now={`On ${set.headName} it lasts ${lasts(set.daysPresentable)} days. Today is day ${day}.`}
                              why={daysWhy(set.daysPresentable)}
                            />
                          </>
                        )}
                      </>
                    }
                  >
                    <p>{setLabelOf(set.set)}</p>
                    <p>{isEntered ? 'today is entered' : 'today is not entered yet'}</p>
                  </LinkCard>
                );
              })}
            </Cards>
          </Part>
        )}
        {today.more.worn > 0 && (
          <More href="/wear" count={today.more.worn} one="style being worn" many="styles being worn" />
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
                        <strong>{formatClock(plan.readyMs, clock)}</strong>
                        {formatDay(plan.readyMs, clock)}
                      </>
                    )
                  }
                >
                  <p>
                    {plan.headName}, {setLabelOf(plan.set)}
                  </p>
                  {plan.readyMs !== null && plan.readyMs <= nowMs && (
                    <p>This time has gone by: choose a new one, or put the plan aside.</p>
                  )}
                </LinkCard>
              ))}
            </Cards>
          </Part>
        )}
        {care.length > 0 && (
          <Part title="Care due">
            <ul className={styles.care}>
              {care.map(({ headId, head, due }) => (
                <li key={headId}>
                  <Link href={`/heads/${headId}`}>{head}</Link>{' '}
                  <span>
                    {listed(due.map(({ kind }) => DUE_WORDS[kind]))}
                    {due[0]!.date !== null && <small>since {formatLocalDay(due[0]!.date, clock)}</small>}
                  </span>
                </li>
              ))}
            </ul>
          </Part>
        )}
        {today.more.care > 0 && (
          <More href="/heads" count={today.more.care} one="head wants care" many="heads want care" />
        )}
        {drafts.length > 0 && (
          <Part title="Drafts">
            <Cards>
              {drafts.map((plan) => (
                <LinkCard key={plan.id} href={`/plan/${plan.id}`} title={plan.title}>
                  <p>
                    {plan.headName}, {setLabelOf(plan.set)}
                  </p>
                </LinkCard>
              ))}
            </Cards>
          </Part>
        )}
        {today.more.plans > 0 && (
          <More href="/plan" count={today.more.plans} one="plan ahead" many="plans ahead" />
        )}
      </div>
    </Page>
  );
}

/** What does not fit here, and where it stands. */
const More = ({ href, count, one, many }: { href: string; count: number; one: string; many: string }) => (
  <p>
    <Link href={href}>{plural(count, one, many)} more</Link>
  </p>
);
