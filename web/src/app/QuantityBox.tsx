import { Input, type InputProps, type InputRef } from 'antd';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useAmount, type AmountOf } from '../api/amounts';
import { t } from '../messages/words';
import { AmountSaid } from './AmountSaid';
import { useMarks } from './Complaint';
import { number } from './numbers';
import { readNumber } from './readNumber';
import { scaleOf, type Measure } from './units';
import { noteBox } from './unread';

interface Props extends Omit<InputProps, 'value' | 'onChange' | 'size' | 'min' | 'max' | 'step'> {
  /** In the measure's own unit: grams, millilitres, millimetres, degrees Celsius, hours or seconds. */
  value: number | null;
  change: (value: number | null) => void;
  measures: Measure;
  /** What it is an amount of. */
  of?: Omit<AmountOf, 'kind'>;
}

/**
 * A quantity in the kitchen's own unit that also takes what a cook says: "1 inch", "75 F", "half an hour", "1/4 cup". A
 * bare number is in the unit that stands in the box; what cannot be read stays as it was typed, with a sentence.
 */
export function QuantityBox({ value, change, measures, of, style, className = '', ...input }: Props) {
  const marks = useMarks(input.name);
  const scale = scaleOf(measures);
  const [typed, setTyped] = useState<string | null>(null);
  const sent = useRef(value);
  const text = typed ?? (value === null ? '' : number(scale.shown(value), scale.decimals));
  const bare = typed === null ? null : readNumber(typed);
  const isPhrase = typed !== null && typed.trim() !== '' && bare === null;
  const answer = useAmount(isPhrase && scale.kind !== null ? typed : '', { kind: scale.kind ?? 'amount', ...of });
  const read = answer?.reading ?? null;
  const said = read === null || read.unit !== scale.readAs ? null : scale.fromReading(read.typical);
  const state = !isPhrase
    ? null
    : scale.kind === null || (answer !== undefined && said === null)
      ? 'unreadable'
      : answer === undefined || !isSame(said, value)
        ? 'reading'
        : null;
  const box = useRef<InputRef>(null);
  useLayoutEffect(() => {
    const input = box.current?.input;
    if (input) {
      noteBox(input, state);

      return () => noteBox(input, null);
    }
  }, [state]);
  const put = (next: number | null) => {
    sent.current = next;
    change(next);
  };

  // A phrase counts once it was understood.
  useEffect(() => {
    if (said !== null && !isSame(said, sent.current)) {
      put(said);
    }
  });
  // What is changed elsewhere is shown as it is.
  useEffect(() => {
    if (!isSame(value, sent.current)) {
      sent.current = value;
      setTyped(null);
    }
  }, [value]);

  const type = (next: string) => {
    setTyped(next);
    const plain = readNumber(next);
    if (next.trim() === '') {
      put(null);
    } else if (plain !== null) {
      put(scale.stored(plain));
    }
  };

  return (
    <span className={`amount-field ${className}`} style={style}>
      <Input
        ref={box}
        suffix={t(`unit.${scale.unit}`)}
        aria-invalid={state === 'unreadable' || undefined}
        {...marks}
        {...input}
        inputMode="text"
        value={text}
        onChange={(event) => type(event.target.value)}
        onBlur={(event) => {
          if (bare !== null) {
            setTyped(null);
          }
          input.onBlur?.(event);
        }}
      />
      {isPhrase && <AmountSaid answer={answer} choose={type} complains />}
      {isPhrase && scale.kind === null && (
        <span className="complaint" role="alert">
          {t('number_box.refused', { typed: typed.trim(), example: number(1.5) })}
        </span>
      )}
    </span>
  );
}

/** Whether two numbers are one, but for what their way through other units left of them. */
const isSame = (one: number | null, other: number | null): boolean =>
  one === null || other === null ? one === other : Math.abs(one - other) <= 1e-9 * Math.max(1, Math.abs(one));
