import { t, T } from '../messages/words';
import { useId } from 'react';
import type { Sodium } from '../api/client';
import { mg, sodium } from '../app/numbers';
import { overLimitFill, OverLimitHatch } from './OverLimitHatch';
import './SaltLine.css';

export interface SaltPart {
  id: string;
  name: string;
  colour: string;
  milligrams: number;
  /** Not eaten yet: drawn lighter. */
  isPlanned?: boolean;
}

interface BarProps {
  name: string;
  targetMg: number;
  restMg: number;
  parts: SaltPart[];
  /** What they come to, with its band. */
  ferments: Sodium;
  height?: number;
}

const WIDTH = 1000;
const BEYOND = 1.22;

/**
 * One person's day: from nothing to the target and a bit beyond. Rest of the diet first, then each ferment in the
 * colour of its jar, planned lighter than eaten, the uncertain end soft, what lies past the target hatched.
 */
export function SaltBar({ name, targetMg, restMg, parts, ferments, height = 46 }: BarProps) {
  const id = useId();
  const total = restMg + parts.reduce((sum, part) => sum + part.milligrams, 0);
  const [low, high] = [total - (ferments.typical - ferments.low), total + (ferments.high - ferments.typical)];
  const most = Math.max(targetMg * BEYOND, high * 1.04);
  const x = (milligrams: number) => (milligrams / most) * WIDTH;
  const starts = parts.map((_, i) => restMg + parts.slice(0, i).reduce((sum, part) => sum + part.milligrams, 0));
  const trough = Math.min(10, height / 4.6);
  const deep = height - 2 * trough - 2;

  return (
    <svg
      className="saltbar"
      viewBox={`0 0 ${WIDTH} ${height}`}
      height={height}
      preserveAspectRatio="none"
      role="img"
      aria-label={t('chart.salt_line', {
        name,
        other: mg(restMg),
        ferments: sodium(ferments),
        target: mg(targetMg),
      })}
    >
      <defs>
        <OverLimitHatch id={id} />
        <linearGradient id={`${id}soft`}>
          <stop offset="0" stopColor={parts.at(-1)?.colour ?? 'transparent'} stopOpacity="0.75" />
          <stop offset="1" stopColor={parts.at(-1)?.colour ?? 'transparent'} stopOpacity="0" />
        </linearGradient>
      </defs>
      <rect
        x={0}
        y={trough}
        width={x(targetMg)}
        height={deep}
        fill="var(--panel)"
        stroke="var(--line)"
        vectorEffect="non-scaling-stroke"
      />
      <rect x={0} y={trough} width={x(restMg)} height={deep} fill="var(--rest)" />
      {parts.map((part, i) => (
        <rect
          key={part.id}
          x={x(starts[i] ?? restMg)}
          y={trough}
          width={Math.max(0, x(part.milligrams))}
          height={deep}
          fill={part.colour}
          fillOpacity={part.isPlanned ? 0.5 : 1}
          stroke={part.isPlanned ? part.colour : 'var(--panel)'}
          strokeDasharray={part.isPlanned ? '4 3' : undefined}
          strokeWidth={1.5}
          vectorEffect="non-scaling-stroke"
        >
          <title>
            {t('chart.salt_part', { name: part.name, mg: mg(part.milligrams), isPlanned: part.isPlanned ?? false })}
          </title>
        </rect>
      ))}
      {parts.length > 0 && (
        <>
          <rect x={x(total)} y={trough} width={x(high - total)} height={deep} fill={`url(#${id}soft)`} />
          <path
            d={`M${x(low)} ${trough + deep + 4} H${x(high)}`}
            stroke="var(--ink)"
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        </>
      )}
      {total > targetMg && (
        <rect
          x={x(targetMg)}
          y={trough}
          width={x(total - targetMg)}
          height={deep}
          fill={overLimitFill(id)}
          opacity={0.55}
        />
      )}
      <path
        d={`M${x(targetMg)} ${trough / 3} V${height - trough / 2}`}
        stroke="var(--ink)"
        strokeWidth={2.5}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

interface Props extends BarProps {
  /** Of the rest of the diet, what was written down food by food. */
  writtenMg: number;
  marginMg: number;
}

/** The same with its figures below. */
export function SaltLine({ marginMg, writtenMg, ...bar }: Props) {
  const { restMg, ferments, targetMg } = bar;
  const planned = bar.parts.reduce((sum, part) => sum + (part.isPlanned ? part.milligrams : 0), 0);

  return (
    <div className="saltline">
      <SaltBar {...bar} />
      <div className="saltline-legend">
        <span>
          <T
            m={writtenMg > 0 ? 'salt_line.other_both' : 'salt_line.other'}
            v={{
              other: mg(restMg),
              entered: mg(Math.round(writtenMg)),
              b0: (c) => <b>{c}</b>,
              b1: (c) => <b>{c}</b>,
            }}
          />
        </span>
        <span>
          <T m="salt_line.ferments" v={{ sodium: sodium(ferments), b0: (c) => <b>{c}</b> }} />
        </span>
        <span>
          <T m="salt_line.target" v={{ target: mg(targetMg), b0: (c) => <b>{c}</b> }} />
        </span>
        <span className={marginMg < 0 ? 'over' : undefined} data-testid="margin">
          <T
            m={marginMg < 0 ? 'salt_line.over' : 'salt_line.left'}
            v={{
              mg: mg(Math.round(Math.abs(marginMg) / 5) * 5),
              b0: (c) => <b className={marginMg < 0 ? 'over' : undefined}>{c}</b>,
            }}
          />
        </span>
        {planned > 0 && (
          <span className={marginMg - planned < 0 ? 'over' : undefined}>
            <T
              m={marginMg - planned < 0 ? 'salt_line.over_planned' : 'salt_line.left_planned'}
              v={{ mg: mg(Math.round(Math.abs(marginMg - planned) / 5) * 5), b0: (c) => <b>{c}</b> }}
            />
          </span>
        )}
      </div>
    </div>
  );
}
