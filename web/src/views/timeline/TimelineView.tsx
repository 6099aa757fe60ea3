import { complain } from '../../app/complain';
import type { Refusal } from '../../api/client';
import { joined, say, t, T } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button } from 'antd';
import { useOpened } from '../../app/addressState';
import { notices } from '../../app/notices';
import { Choice } from '../../app/Choice';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import type { KindAhead, Suggestion, Timeline } from '../../api/client';
import { useCancelPlannedBatch, usePlanBatch, useShopping, useTimeline, type WhatIf } from '../../api/planning';
import { grams, mg } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { TimelineLanes } from '../../drawings/TimelineLanes';
import { FirstWeek } from '../week/FirstWeek';
import { RotationDrawer } from '../week/RotationDrawer';
import './TimelineView.css';
import { QuantityBox } from '../../app/QuantityBox';
import { Deed, May } from '../../app/Deed';

const day = (date: string): string => when(date, 'weekdayDate');

/** Keeping the shelf full: jars as lanes through the weeks, what runs out, and what to start by when. */
export function TimelineView() {
  const [whatIf, setWhatIf] = useState<WhatIf>({});
  const query = useTimeline(useDeferredValue(whatIf));
  const rotation = useOpened('rotation');
  if (!query.data) {
    return <PageState query={query} />;
  }
  const ahead = query.data;
  const isBare = ahead.kinds.length === 0 && ahead.live === null;
  const isTried = whatIf.jarId !== undefined || (whatIf.warmer ?? 0) !== 0;

  return (
    <div className="ahead">
      <div className="ahead-head">
        <h1>{t('ahead.title')}</h1>
        <span className={ahead.gapDays > 0 ? 'ahead-gaps is-open' : 'ahead-gaps'} data-testid="gap-days">
          {ahead.kinds.length === 0 ? '' : runsOut(ahead)}
        </span>
        <span className="ahead-does">
          <Link className="as-button" to="/shelf">
            {t('ahead.shelf')}
          </Link>
          <Deed onClick={() => rotation.open()}>{t('ahead.rotation')}</Deed>
        </span>
      </div>
      {isBare && <FirstWeek title={t('way_in.title_ahead')} />}
      {ahead.kinds.length === 0 && (
        <p>
          <T m="ahead.no_rotation" v={{ a0: (c) => <Deed onClick={() => rotation.open()}>{c}</Deed> }} />
        </p>
      )}
      <div className="ahead-parts">
        {(!isBare || ahead.planned.length > 0) && (
          <section aria-label={t('ahead.to_start')}>
            <h2>{t('ahead.to_start')}</h2>
            <ToStart ahead={ahead} isTried={isTried} />
          </section>
        )}
        {!isBare && (
          <section aria-label={t('ahead.lasts')}>
            <h2>{t('ahead.lasts')}</h2>
            <ul className="quiet-list lasts">
              {ahead.kinds.map((kind) => (
                <Lasts key={kind.id} kind={kind} />
              ))}
              {ahead.live && <LiveLasts live={ahead.live} />}
            </ul>
          </section>
        )}
        <ShoppingList />
      </div>
      <TimelineLanes ahead={ahead} />
      <div className="what-if">
        <label>
          {t('ahead.one_more')}
          <Choice
            allowClear
            aria-label={t('ahead.one_more_jar')}
            placeholder={t('ahead.jar')}
            value={whatIf.jarId}
            onChange={(jarId?: string) => setWhatIf({ ...whatIf, jarId })}
            options={ahead.jars.map((jar) => ({ value: jar.id, label: jar.name }))}
          />
        </label>
        <label>
          {t('ahead.warmer_by')}
          <QuantityBox
            measures="warmth"
            aria-label={t('ahead.warmer')}
            value={whatIf.warmer ?? 0}
            change={(warmer) => setWhatIf({ ...whatIf, warmer: Math.max(-15, Math.min(15, warmer ?? 0)) })}
          />
        </label>
        {isTried && (
          <span role="status">
            {ahead.gapDays === ahead.gapDaysAsItIs
              ? t('ahead.what_if_same', { days: ahead.gapDays })
              : t('ahead.what_if', { days: ahead.gapDays, before: ahead.gapDaysAsItIs })}{' '}
            <Button type="text" onClick={() => setWhatIf({})}>
              {t('ahead.what_if_reset')}
            </Button>
          </span>
        )}
      </div>
      {rotation.isOpen && <RotationDrawer close={rotation.close} />}
    </div>
  );
}

/** "No kraut for 9 days from 4 Dec and no kimchi for 3 days from 20 Dec", or that nothing runs out. */
function runsOut(ahead: Timeline): string {
  const gaps = ahead.kinds.flatMap(({ name, gaps: all }) => {
    const from = all[0]?.from;
    const days = all.reduce((sum, gap) => sum + gap.days, 0);

    return from === undefined
      ? []
      : [{ name, days, from: from === ahead.today ? t('ahead.today') : when(from, 'short') }];
  });

  return gaps.length === 0
    ? t('ahead.no_gap')
    : joined(gaps.map((gap, place) => t(place === 0 ? 'ahead.gap_first' : 'ahead.gap_next', gap)));
}

function ToStart({ ahead, isTried }: { ahead: Timeline; isTried: boolean }) {
  const isMore = ahead.goal !== null && ahead.more.length > 0;
  const plan = usePlanBatch();
  const letBe = useCancelPlannedBatch();
  const accept = (
    one: Pick<Suggestion, 'name' | 'jarId' | 'startOn' | 'share' | 'formulaId'> & { lineId: string | null },
  ) => {
    if (one.formulaId !== null) {
      plan
        .mutateAsync({
          formulaId: one.formulaId,
          lineId: one.lineId,
          jarId: one.jarId,
          startOn: one.startOn,
          share: one.share,
        })
        .then(
          () => notices.done(t('ahead.planned_done', { name: one.name, day: day(one.startOn) })),
          (refusal: Refusal) => complain(refusal),
        );
    }
  };

  return (
    <ul className="quiet-list to-start-list">
      {ahead.planned.map((one) => (
        <li key={one.id} className="is-planned">
          <span>
            <T
              m="ahead.planned"
              v={{ day: day(one.startOn), name: one.name, jar: one.jarName, b0: (c) => <b>{c}</b> }}
            />
          </span>
          <May>
            <Link className="as-button" to={`/formulas/${one.formulaId}?jarId=${one.jarId}&planned=${one.id}`}>
              {t('ahead.start_it')}
            </Link>
          </May>
          <Deed
            type="text"
            aria-label={t('ahead.cancel', { name: one.name })}
            onClick={() => {
              letBe.mutateAsync(one.id).catch((refusal: Refusal) => complain(refusal));
            }}
          >
            {t('action.cancel')}
          </Deed>
        </li>
      ))}
      {ahead.suggestions.map((one) => (
        <li key={one.lotId} style={{ borderColor: one.colour }}>
          <span>
            <T
              m="ahead.suggestion"
              v={{
                day: day(one.startOn),
                name: one.name,
                jar: one.jarName,
                full: one.share < 0.995 ? String(Math.round(one.share * 100)) : 'none',
                grams: grams(Math.round(one.grams)),
                ready: day(one.readyOn),
                b0: (c) => <b>{c}</b>,
              }}
            />{' '}
            <span className="soft">
              {joined(
                one.why.map((why) => say(why)),
                'sentences',
              )}
            </span>
          </span>
          {!isTried && (
            <Deed
              aria-label={t('ahead.plan', { name: one.name, day: day(one.startOn) })}
              loading={plan.isPending}
              onClick={() => accept(one)}
            >
              {t('ahead.plan_it')}
            </Deed>
          )}
        </li>
      ))}
      {ahead.planned.length + ahead.suggestions.length === 0 && !isMore && <li>{t('ahead.nothing_to_start')}</li>}
      {ahead.goal && isMore && <li className="to-start-goal">{say(ahead.goal)}</li>}
      {ahead.goal &&
        ahead.more.map((one) => (
          <li key={one.formulaId} style={{ borderColor: one.colour }}>
            <span>
              <T
                m="ahead.more"
                v={{
                  name: one.name,
                  jar: one.jarName,
                  grams: grams(Math.round(one.grams)),
                  ready: day(one.readyOn),
                  why: say(one.why),
                  smallest: grams(one.smallestGrams),
                  sodium: mg(one.smallestMg),
                  b0: (c) => <b>{c}</b>,
                }}
              />
            </span>
            {!isTried && (
              <Deed
                aria-label={t('ahead.plan', { name: one.name, day: t('ahead.today') })}
                loading={plan.isPending}
                onClick={() => accept({ ...one, lineId: null, startOn: ahead.today, share: 1 })}
              >
                {t('ahead.plan_it')}
              </Deed>
            )}
          </li>
        ))}
    </ul>
  );
}

function Lasts({ kind }: { kind: KindAhead }) {
  return (
    <li style={{ borderColor: kind.colour }}>
      <p>
        <T
          m="ahead.product"
          v={{
            name: kind.name,
            grams: grams(Math.round(kind.gramsAWeek)),
            lead: kind.leadDays ?? 0,
            isInSeason: kind.isInSeason,
            b0: (c) => <b>{c}</b>,
          }}
        />
      </p>
      <p className="soft">
        {kind.runsOutOn === null
          ? t('ahead.lasts_all')
          : t('ahead.runs_out', {
              day: day(kind.runsOutOn),
              start: kind.startBy === null ? 'none' : day(kind.startBy),
            })}
      </p>
      {kind.gaps.map((gap) => (
        <p key={gap.from} className="complaint">
          {gap.days === 1
            ? t('ahead.gap_day', { day: day(gap.from) })
            : t('ahead.gap', { from: day(gap.from), to: day(gap.to) })}{' '}
          {say(gap.reason)}
        </p>
      ))}
    </li>
  );
}

function LiveLasts({ live }: { live: NonNullable<Timeline['live']> }) {
  return (
    <li className="lasts-live">
      <p>
        <T m="ahead.live" v={{ servings: live.servingsADay, b0: (c) => <b>{c}</b> }} />
      </p>
      <p className="soft">
        {live.runsOutOn === null
          ? t('ahead.lasts_all')
          : t('ahead.runs_out', { day: day(live.runsOutOn), start: 'none' })}
      </p>
    </li>
  );
}

function ShoppingList() {
  const shopping = useShopping();
  if (!shopping.data || shopping.data.batches.length === 0) {
    return null;
  }

  return (
    <section aria-label={t('ahead.to_buy')}>
      <div className="section-head">
        <h2>{t('ahead.to_buy_week')}</h2>
        <span>
          <a className="as-button" href="/api/timeline/shopping?as=text" download>
            {t('ahead.as_text')}
          </a>{' '}
          <a className="as-button" href="/api/timeline/shopping?as=csv" download>
            {t('ahead.as_csv')}
          </a>
        </span>
      </div>
      <ul className="quiet-list buying">
        {shopping.data.lines.map((line) => (
          <li key={line.name}>
            <span>{line.name}</span> <b>{grams(line.grams)}</b>
          </li>
        ))}
      </ul>
      <p className="soft">
        {t('ahead.for_batches', {
          batches: shopping.data.batches
            .map((batch) => t('ahead.batch_in', { name: batch.name, jar: batch.jarName }))
            .join(', '),
        })}
      </p>
    </section>
  );
}
