import { Button } from 'antd';
import type { AmountAnswer } from '../api/amounts';
import { say } from '../messages/words';
import './AmountSaid.css';

interface Props {
  answer: AmountAnswer | undefined;
  /** Takes one of the readings that are offered. */
  choose: (phrase: string) => void;
  /** Whether what cannot be read is said here; elsewhere the form says it. */
  complains?: boolean;
}

/** The line under a field: how the amount was understood, or what it can be. */
export function AmountSaid({ answer, choose, complains = false }: Props) {
  if (answer === undefined) {
    return null;
  }
  const { reading, question, offers, problem } = answer;
  if (question !== null) {
    return (
      <span className="amount-said">
        {say(question)}{' '}
        {offers.map(({ phrase, reading: one }) => (
          <Button key={phrase} size="small" type="dashed" onClick={() => choose(phrase)}>
            {say(one.said)}
          </Button>
        ))}
      </span>
    );
  }

  return reading !== null && !reading.isPlain ? (
    <span className="amount-said" role="status">
      {say(reading.said)}
    </span>
  ) : complains && problem !== null ? (
    <span className="complaint" role="alert">
      {say(problem)}
    </span>
  ) : null;
}
