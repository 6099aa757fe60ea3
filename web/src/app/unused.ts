import type { ReactNode } from 'react';

/**
 * Stands in at the build for parts of the component library that nothing here uses, forms and the hints of choices; it
 * shows what is within them.
 */
const Within = ({ children }: { children: ReactNode }): ReactNode => children;

export { Within as default, Within as FormProvider };
