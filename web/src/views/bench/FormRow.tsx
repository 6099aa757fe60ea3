import type { ReactNode } from 'react';
import type { Refusal } from '../../api/client';
import { aboutPath, RefusedForm } from '../../app/Complaint';
import { Term, type TermName } from '../../app/Term';

interface Props {
  verb: string;
  /** A word of the trade that is met here first. */
  term?: TermName;
  /** Paths of its fields in the request, to find the sentences about them. */
  fields: string[];
  refusal: Refusal | null;
  aside?: string | undefined;
  children: ReactNode;
}

/** One line of the bench: a verb, its fields, and what is wrong with them. */
export function FormRow({ verb, term, fields, refusal, aside, children }: Props) {
  const complaints = Object.entries(refusal?.fields ?? {}).filter(([path]) =>
    fields.some((field) => path === field || path.startsWith(`${field}.`)),
  );

  return (
    <section className="bench-row" aria-label={verb}>
      <div>
        <h3>{verb}</h3>
        {term && <Term name={term} />}
      </div>
      <div className="bench-fields">
        <RefusedForm value={refusal}>{children}</RefusedForm>
      </div>
      {aside && <p className="aside">{aside}</p>}
      {complaints.map(([path, [complaint]]) => (
        <p key={path} id={aboutPath(path)} className="complaint" role="alert">
          {complaint}
        </p>
      ))}
    </section>
  );
}
