import { Button, Input, type InputProps } from 'antd';
import { useState } from 'react';
import { useAmount, type AmountOf } from '../api/amounts';
import { t } from '../messages/words';
import { AmountSaid } from './AmountSaid';
import { useMarks } from './Complaint';

interface Props extends Omit<InputProps, 'value' | 'onChange' | 'size'> {
  value: string;
  change: (typed: string) => void;
  /** What the field asks for, and of what. */
  asks: AmountOf;
  complains?: boolean;
  /** What such portions are often called: offered while the field is open. */
  offers?: readonly string[];
}

/** How a portion is said without a scale. */
export const portionPhrases = (): string[] => [t('portion.forkful'), t('portion.spoonful'), t('portion.tablespoon')];

/** An amount as a cook says it; below stands how it was understood. What was typed stays as it was typed. */
export function AmountInput({
  value,
  change,
  asks,
  complains = false,
  offers = [],
  style,
  className = '',
  ...input
}: Props) {
  const answer = useAmount(value, asks);
  const marks = useMarks(input.name);
  const [isOpen, setIsOpen] = useState(false);

  return (
    <span
      className={`amount-field ${className}`}
      style={style}
      onFocus={() => setIsOpen(true)}
      onBlur={() => setIsOpen(false)}
    >
      <Input
        data-takes="weight"
        {...marks}
        {...input}
        value={value}
        onChange={(event) => {
          setIsOpen(false);
          change(event.target.value);
        }}
      />
      <AmountSaid answer={answer} choose={change} complains={complains} />
      {isOpen && offers.length > 0 && (
        <span className="amount-offers">
          {offers.map((phrase) => (
            <Button
              key={phrase}
              size="small"
              type="dashed"
              tabIndex={-1}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => change(phrase)}
            >
              {phrase}
            </Button>
          ))}
        </span>
      )}
    </span>
  );
}
