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
          label={said === null ? `${asked.food}, seen from above` : `${asked.food}: ${said.sign}`}
        />
        <p className="soft">
          {asked.food}, sixth day, seen from above
          {asked.signs.includes('sediment_white') && '. At the bottom lies a white sediment'}
          {asked.signs.includes('brine_cloudy') && '. The brine is cloudy'}.
        </p>
      </div>
      <div>
        <h1>Film or mould?</h1>
        <p className="practice-score soft" data-testid="score">
          {score.of === 0
            ? 'Your last twenty answers are counted here.'
            : `${String(score.right)} right of your last ${String(score.of)}.`}
        </p>
        {said === null ? (
          <>
            <p>What do you do with this jar?</p>
            <div className="practice-answers">
              {asked.answers.map((one) => (
                <Button
                  key={one.id}
                  loading={answer.isPending && answer.variables.answer === one.id}
                  onClick={() => answer.mutate({ number: asked.number, answer: one.id })}
                >
                  {one.label}
                </Button>
              ))}
            </div>
          </>
        ) : (
          <div aria-live="polite">
            <p className={`verdict is-${said.verdict}`} data-testid="said">
              {said.isRight ? 'Right.' : `Not quite: ${labelOf(asked, said.right)}.`}
            </p>
            <p>
              <b>{said.sign}.</b> {said.because}
            </p>
            {said.caution !== null && <p className="caution">{said.caution}</p>}
            <Button
              type="primary"
              autoFocus
              onClick={() => void queries.invalidateQueries({ queryKey: ['practice'] })}
            >
              The next jar
            </Button>
          </div>
        )}
        <div className="practice-pairs">
          <Pair
            onTop="film_flat"
            says="Kahm lies flat. It is white, matt, often wrinkled, and has no hairs."
          />
          <Pair
            onTop="fuzz_white"
            says="Mould stands up. It has hairs and a shadow under it, white or coloured."
          />
          <Pair onTop="spots_pink" says="Pink and orange are out, flat or not." />
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

const labelOf = (asked: Practice, id: string): string =>
  (asked.answers.find((one) => one.id === id)?.label ?? id).replace(/^./, (first) => first.toLowerCase());
