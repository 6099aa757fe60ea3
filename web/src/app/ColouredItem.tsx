import type { ReactNode } from 'react';

interface Props {
  /** Of the jar or food it is about, as the kitchen has it. */
  colour: string;
  className?: string;
  children: ReactNode;
}

/** An item of a list with its jar's colour at its edge. */
export function ColouredItem({ colour, className, children }: Props) {
  return (
    <li className={className} style={{ borderColor: colour }}>
      {children}
    </li>
  );
}
