'use client';
import Button from '@mui/material/Button';
import Link from '@/ui/shell/link';
import type { ReactNode } from 'react';
import {
  bandSentence,
  differenceSentence,
  drySentence,
  lastingSentence,
  peopleSentence,
  techniquesSentence,
  trialSentence,
  type Sentence,
} from '@/core/evidence/findings';
import type { Lasting } from '@/core/evidence/lasting';
import { techniqueOf } from '@/core/techniques';
import { listed, plural } from '@/core/words/words';
import { formatDay } from '@/ui/format';
import { Sureness } from '@/ui/known/sureness';
import { Page, Part } from '@/ui/shell/page';
import {
  BandDetail,
  DifferenceDetail,
  DryDetail,
  LastingDetail,
  PeopleDetail,
  TrialDetail,
} from './finding-details';
import { CurvesPicture, EffectsPicture, HeldPicture, PeoplePicture, TrialPicture } from './pictures';
import { PlanTrial, PutRight } from './finding-actions';
import { LearnAgain } from './learn-again';
import { StillReading } from './still-reading';
import styles from './findings-page.module.css';
import type { LoadedFindings } from './queries';

/** A sentence, the picture beside it, and what it opens into. */
interface FindingParts {
  readonly sentence: Sentence;
  readonly picture: ReactNode;
  readonly children: ReactNode;
}
type Said = FindingParts & { readonly key: string };

/** A sentence that opens into its curve, table and method. */
function Finding({ sentence, picture, children }: FindingParts) {
  const { lead, sure, basis } = sentence;
  return (
    <details className={styles.finding}>
      <summary>
        <span className={styles.words}>
          <span className={styles.lead} role="heading" aria-level={2}>
            {lead.map(({ text, isStrong }, i) => (isStrong ? <b key={i}>{text}</b> : text))}
          </span>
          <span className={styles.basis}>
            <b data-strength={sure.strength}>
              <Sureness strength={sure.strength} /> {sure.words}
            </b>
            {basis}
          </span>
        </span>
        {picture}
      </summary>
      <div className={styles.detail}>{children}</div>
    </details>
  );
}

/** So many findings have their pictures on one sheet of paper. */
const MOST_PICTURED = 16;

/** Groupings whose two largest groups may be held against each other, what differs first. */
const comparedFirst = (lasting: readonly Lasting[]) =>
  lasting
    .filter(({ comparison }) => comparison && comparison.verdict !== 'not-enough')
    .sort((a, b) => (a.comparison!.test?.p ?? 1) - (b.comparison!.test?.p ?? 1));

/** What a studio's own log says, in sentences; what is not known yet stands at the end. */
export function FindingsPage(loaded: LoadedFindings) {
  const { findings, differences, head, heads, headNames, questions, clock, corrections } = loaded;
  const techniques = findings.lasting.find(({ grouping }) => grouping === 'technique')!;
  const byTechnique = techniquesSentence(techniques);
  const dry = drySentence(findings.dry);
  const correctionOf = (kind: string) => corrections.find((one) => one.kind === kind)!;
  const isEmpty = findings.sets === 0;
  // What is surest is said first.
  const said: Said[] = [
    ...comparedFirst(findings.lasting).map((lasting): Said => ({
      key: lasting.grouping,
      sentence: lastingSentence(lasting.comparison!),
      picture: <CurvesPicture groups={[lasting.comparison!.a, lasting.comparison!.b]} />,
      children: <LastingDetail lasting={lasting} />,
    })),
    ...differences.flatMap((difference): Said[] => {
      const sentence = differenceSentence(difference);
      return sentence
        ? [
            {
              key: difference.outcome,
              sentence,
              picture: (
                <EffectsPicture findings={difference.findings} isShare={difference.outcome === 'days'} />
              ),
              children: <DifferenceDetail difference={difference} />,
            },
          ]
        : [];
    }),
    ...findings.trials.map((trial): Said => ({
      key: trial.key,
      sentence: trialSentence(trial, headNames[trial.headId] ?? 'a head'),
      picture: <TrialPicture trial={trial} />,
      children: (
        <>
          <TrialDetail trial={trial} noticeable={loaded.noticeable} clock={clock} />
          <PlanTrial headId={trial.headId} trialKey={trial.key} label="Plan the next half-head set" />
        </>
      ),
    })),
    ...(byTechnique && techniques.comparison?.verdict !== 'differ'
      ? [
          {
            key: 'techniques',
            sentence: byTechnique,
            picture: <CurvesPicture groups={techniques.groups} />,
            children: <LastingDetail lasting={techniques} />,
          },
        ]
      : []),
  ];
  return (
    <Page
      title="What we have found"
      lead={
        isEmpty
          ? 'Nothing yet: findings come from sets that were taken down.'
          : `${head ? head.name : loaded.studioName}, ${plural(findings.sets, 'set')}${head ? '' : ` on ${plural(findings.heads, 'head')}`} since ${formatDay(findings.sinceMs!, clock)}. Nothing but days is taken from sets told later.`
      }
      action={
        <span className={styles.views}>
          <form method="get" className={styles.whose}>
            <label htmlFor="whose">Whose</label>
            <select
              id="whose"
              name="head"
              value={head?.id ?? ''}
              onChange={(event) => event.currentTarget.form!.requestSubmit()}
            >
              <option value="">The studio</option>
              {heads.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </form>
          {!isEmpty && (
            <Button variant="outlined" onClick={() => window.print()}>
              One page
            </Button>
          )}
        </span>
      }
    >
      <StillReading waiting={loaded.waiting} isOlder={loaded.isOlder} />
      {isEmpty ? (
        <p className={styles.empty}>
          Run a set at the <Link href="/chair">chair</Link>, rate the days it is worn, and say when and why it
          is given up. After two such sets a head’s forecasts begin to lean on her own; after about twenty the
          studio’s choices can be told apart.
        </p>
      ) : (
        <>
          <div className={styles.findings} data-many={said.length + findings.bands.length > MOST_PICTURED}>
            {said
              .sort((a, b) => b.sentence.sure.strength - a.sentence.sure.strength)
              .map(({ key, ...finding }) => (
                <Finding key={key} {...finding} />
              ))}
            {dry && (
              <Finding sentence={dry} picture={<DryBars dry={findings.dry} />}>
                <DryDetail dry={findings.dry} />
                <PutRight
                  correction={correctionOf('dry')}
                  isPossible={findings.dry.correction !== null}
                  clock={clock}
                />
              </Finding>
            )}
            {findings.bands.map((band) => {
              const sentence = bandSentence(band);
              return sentence ? (
                <Finding
                  key={band.kind}
                  sentence={sentence}
                  picture={
                    <HeldPicture sets={band.sets} isLn={band.kind === 'days' || band.kind === 'pace'} />
                  }
                >
                  <BandDetail band={band} />
                  <PutRight
                    correction={correctionOf(band.kind)}
                    isPossible={band.width !== null}
                    clock={clock}
                  />
                </Finding>
              ) : null;
            })}
            {findings.people.map((people) => {
              const sentence = peopleSentence(people);
              return sentence ? (
                <Finding
                  key={`${people.first}/${people.second}`}
                  sentence={sentence}
                  picture={<PeoplePicture scales={people.scales} />}
                >
                  <PeopleDetail people={people} />
                </Finding>
              ) : null;
            })}
          </div>
          {loaded.shortCount > 0 && (
            <Part
              title="What went wrong"
              note={`${plural(loaded.shortCount, 'set')} fell short of what was said`}
            >
              <ul className={styles.short}>
                {loaded.short.map(({ setId, headName, technique, startedAtMs, lasted, low, high }) => (
                  <li key={setId}>
                    <Link href={`/sets/${setId}/why`}>
                      {headName}, {techniqueOf(technique).noun[1]}
                    </Link>{' '}
                    of {formatDay(startedAtMs, clock)}: good for {plural(lasted, 'day')}, said{' '}
                    {Math.round(low)} to {Math.round(high)}
                  </li>
                ))}
              </ul>
              {loaded.hits && (
                <p className={styles.note}>
                  The cause that was named was it {loaded.hits.right} times of {loaded.hits.all}.
                </p>
              )}
            </Part>
          )}
          {loaded.stylists.length > 1 && (
            <p className={styles.note}>
              Hands apart from heads:{' '}
              {listed(
                loaded.stylists.map(
                  ({ stylist, mean, sets }) =>
                    `${stylist} takes ${Math.exp(mean).toFixed(2)}× the planned time (${plural(sets, 'set')})`,
                ),
              )}
              .
            </p>
          )}
          {questions.length > 0 && (
            <Part title="Still open" note="a question, and what would answer it">
              <ul className={styles.questions}>
                {questions.map(({ id, title, text, trial }) => (
                  <li key={id}>
                    <h3>{title}</h3>
                    <p>{text}</p>
                    {trial && (
                      <PlanTrial
                        headId={trial.headId}
                        products={trial.products}
                        label="Plan that half-head set"
                      />
                    )}
                  </li>
                ))}
              </ul>
            </Part>
          )}
          <LearnAgain
            fitted={loaded.fitted}
            setCount={findings.sets}
            noticeable={loaded.noticeable}
            clock={clock}
          />
        </>
      )}
    </Page>
  );
}

/** Chances that were told, and how often it came so: bars against the diagonal. */
function DryBars({ dry }: { dry: LoadedFindings['findings']['dry'] }) {
  const bins = dry.reliability?.bins ?? [];
  return (
    <svg className={styles.dryBars} viewBox="0 0 300 96" aria-hidden>
      <line x1="60" y1="80" x2="240" y2="8" className={styles.diagonal} />
      {bins.map(({ from, meanChance, share, interval, count, isHollow }) => {
        const x = 60 + 180 * meanChance;
        const y = (value: number) => 80 - 72 * value;
        return (
          <g key={from}>
            <line x1={x} x2={x} y1={y(interval[0])} y2={y(interval[1])} className={styles.whisker} />
            <circle
              cx={x}
              cy={y(share)}
              r={Math.min(10, 2.5 + Math.sqrt(count))}
              className={isHollow ? styles.hollow : styles.dot}
            />
          </g>
        );
      })}
      <text x="60" y="94">
        said never
      </text>
      <text x="240" y="94" textAnchor="end">
        said always
      </text>
    </svg>
  );
}
