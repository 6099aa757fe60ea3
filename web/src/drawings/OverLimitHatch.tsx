/** The hatching that lies over what is past a target; drawn with `fill={past(id)}`. */
export function OverLimitHatch({ id }: { id: string }) {
  return (
    <pattern id={`${id}past`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="3.5" height="8" fill="var(--chilli)" />
    </pattern>
  );
}

export const overLimitFill = (id: string): string => `url(#${id}past)`;
