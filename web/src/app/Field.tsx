import { cloneElement, type ReactElement, type ReactNode } from 'react';
import type { Refusal } from '../api/client';
import { Complaint, useComplaint } from './Complaint';

interface Control {
  id?: string;
  status?: 'error';
  'aria-invalid'?: boolean;
  'aria-describedby'?: string;
}

interface Props {
  label: ReactNode;
  /** Its path in the request, to find the sentence about it. */
  name?: string;
  refusal?: Refusal | null;
  wide?: boolean;
  children: ReactElement<Control>;
}

/** A field with its name above and what is wrong with it below. */
export function Field({ label, name, refusal = null, wide, children }: Props) {
  const { id, complaint, marks } = useComplaint(refusal, name);

  return (
    <div className={`field${wide ? ' is-wide' : ''}`}>
      <label htmlFor={id}>{label}</label>
      {cloneElement(children, { id, ...marks })}
      <Complaint of={id}>{complaint}</Complaint>
    </div>
  );
}
