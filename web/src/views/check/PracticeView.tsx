import { keys } from '../../api/keys';
import { say, t } from '../../messages/words';
import { Button } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import type { Practice } from '../../api/client';
import { useAnswerPractice, usePractice } from '../../api/tending';
import { PageState } from '../../app/PageState';
import { JarTopView, type OnTop } from '../../drawings/JarTopView';
import './CheckView.css';

/** Drawn jars to judge, so that no good one is thrown out over kahm and no mouldy one is kept. */
export function PracticeView() {
  const practice = usePractice();
  if (!practice.data) {
    return <PageState query={practice} />;
  }
  return <Jar key={practice.data.number} asked={practice.data} />;
}

function Jar({ asked }: { asked: Practice }) {
  const answer = useAnswerPractice();
  const queries = useQueryClient();
  const { said, score } = answer.data ?? asked;

  return (
    <div className="practice">
      <div className="practice-jar">
        <JarTopView
          onTop={(asked.signs[0] ?? 'top_clean') as OnTop}
          isCloudy={asked.signs.includes('brine_cloudy')}
          colour={asked.colour}
          shape={asked.shape}
          amount={asked.amount}
          seed={`practice ${String(asked.number)}`}
          size={380}
          label={
            said === null
              ? t('practice.from_above', { food: say(asked.food) })
              : `${say(asked.food)}: ${say(said.sign)}`
          }
        />
        <p className="soft">
          {t('practice.jar', {
            food: say(asked.food),
            isSediment: asked.signs.includes('sediment_white'),
            isCloudy: asked.signs.includes('brine_cloudy'),
          })}
        </p>
      </div>
      <div>
        <h1>{t('practice.title')}</h1>
        <p className="practice-score soft" data-testid="score">
          {score.of === 0
            ? t('practice.score_none')
            : t('practice.score', { right: String(score.right), total: String(score.of) })}
        </p>
        {said === null ? (
          <>
            <p>{t('practice.question')}</p>
            <div className="practice-answers">
              {asked.answers.map((one) => (
                <Button
                  key={one.id}
                  loading={answer.isPending && answer.variables.answer === one.id}
                  onClick={() => answer.mutate({ number: asked.number, answer: one.id })}
                >
                  {say(one.label)}
                </Button>
              ))}
            </div>
          </>
        ) : (
          <div aria-live="polite">
            <p className={`verdict is-${said.verdict}`} data-testid="said">
              {said.isRight ? t('practice.right') : t('practice.wrong', { right: labelOf(asked, said.right) })}
            </p>
            <p>
              <b>{say(said.sign)}.</b> {say(said.because)}
            </p>
            {said.caution !== null && <p className="caution">{say(said.caution)}</p>}
            <Button
              type="primary"
              autoFocus
              onClick={() => void queries.invalidateQueries({ queryKey: keys.practice() })}
            >
              {t('practice.next')}
            </Button>
          </div>
        )}
        <div className="practice-pairs">
          <Pair onTop="film_flat" says={t('practice.kahm')} />
          <Pair onTop="fuzz_white" says={t('practice.mould')} />
          <Pair onTop="spots_pink" says={t('practice.pink')} />
        </div>
      </div>
    </div>
  );
}

function Pair({ onTop, says }: { onTop: OnTop; says: string }) {
  return (
    <figure>
      <JarTopView onTop={onTop} colour="#cfd6a0" shape="shreds" seed={`pair ${onTop}`} size={118} label="" />
      <figcaption>{says}</figcaption>
    </figure>
  );
}

const labelOf = (asked: Practice, id: string): string => say(asked.answers.find((one) => one.id === id)?.label) ?? id;
