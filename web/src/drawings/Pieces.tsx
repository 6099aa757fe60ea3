import { useMemo } from 'react';
import type { JarPicture } from '../api/client';
import { randomFrom, shade, widthAt } from './jarShape';

interface Props {
  jar: JarPicture;
  middle: number;
  floor: number;
  food: number;
  seed: string;
}

/** What is in the jar, by how it was cut. */
export function Pieces({ jar, middle, floor, food, seed }: Props) {
  return useMemo(() => {
    if (food < 2) {
      return null;
    }
    const next = randomFrom(seed);
    const tones = [shade(jar.colour, -0.14), jar.colour, shade(jar.colour, 0.14), shade(jar.colour, 0.28)];
    const tone = () => tones[Math.floor(next() * tones.length)] ?? jar.colour;
    const line = shade(jar.colour, -0.34);
    const spot = (margin: number) => {
      const up = margin + next() * Math.max(0, food - margin * 2);
      const half = Math.max(0, widthAt(jar, up) / 2 - margin);
      return { x: middle + (next() * 2 - 1) * half, y: floor - up };
    };
    const many = (size: number, most: number) =>
      Array.from({ length: Math.min(most, Math.max(4, Math.round((jar.bodyMm * food) / (size * size)))) }, (_, i) => i);
    const bed = (opacity: number) => (
      <rect x={0} y={floor - food} width={middle * 2} height={food} fill={shade(jar.colour, -0.08)} opacity={opacity} />
    );

    switch (jar.shape) {
      case 'pulp':
        return (
          <g>
            {bed(1)}
            {many(6, 160).map((i) => {
              const at = spot(2);
              return <circle key={i} cx={at.x} cy={at.y} r={0.6 + next() * 1.5} fill={tone()} opacity={0.9} />;
            })}
          </g>
        );
      case 'shreds':
      case 'leaves': {
        const isLeaf = jar.shape === 'leaves';
        return (
          <g>
            {bed(0.85)}
            {many(isLeaf ? 15 : 8, 240).map((i) => {
              const at = spot(3);
              const long = (isLeaf ? 15 : 11) + next() * 12;
              const turn = (next() - 0.5) * 76;
              const bow = (next() - 0.5) * 12;
              return (
                <path
                  key={i}
                  d={`M${at.x - long / 2} ${at.y} q${long / 2} ${bow} ${long} 0`}
                  transform={`rotate(${turn} ${at.x} ${at.y})`}
                  stroke={tone()}
                  strokeWidth={isLeaf ? 5 + next() * 4 : 1.3 + next() * 1.4}
                  strokeLinecap="round"
                  fill="none"
                />
              );
            })}
          </g>
        );
      }
      case 'sticks': {
        const wide = 9.5;
        const rows = Math.max(1, Math.round(food / 95));
        const columns = Math.max(2, Math.floor((jar.bodyMm - 3) / wide));
        const tall = food / rows;
        return (
          <g>
            {bed(0.25)}
            {Array.from({ length: rows * columns }, (_, i) => {
              const x = middle - (columns * wide) / 2 + (i % columns) * wide;
              const y = floor - tall * (Math.floor(i / columns) + 1);
              const short = next() * tall * 0.1;
              return (
                <rect
                  key={i}
                  x={x + 0.5}
                  y={y + short}
                  width={wide - 1.1}
                  height={tall - short - 1.4}
                  rx={2}
                  fill={tone()}
                  stroke={line}
                  strokeWidth={0.5}
                  transform={`rotate(${(next() - 0.5) * 3} ${x} ${y + tall / 2})`}
                />
              );
            })}
          </g>
        );
      }
      case 'rings':
        return (
          <g>
            {bed(0.25)}
            {many(15, 110).map((i) => {
              const at = spot(7);
              const wide = 7 + next() * 5;
              return (
                <ellipse
                  key={i}
                  cx={at.x}
                  cy={at.y}
                  rx={wide}
                  ry={wide * (0.3 + next() * 0.4)}
                  transform={`rotate(${(next() - 0.5) * 70} ${at.x} ${at.y})`}
                  fill={tone()}
                  stroke={line}
                  strokeWidth={0.9}
                />
              );
            })}
          </g>
        );
      case 'florets':
        return (
          <g>
            {bed(0.2)}
            {many(21, 70).map((i) => {
              const at = spot(9);
              const turn = next() * 360;
              const fill = tone();
              return (
                <g
                  key={i}
                  transform={`translate(${at.x} ${at.y}) rotate(${turn}) scale(${0.85 + next() * 0.5})`}
                  stroke={line}
                  strokeWidth={0.6}
                >
                  <path d="M-2.5 2 L-1.5 10 H1.5 L2.5 2z" fill={shade(jar.colour, 0.3)} />
                  <path
                    d="M-9 2 a5 5 0 0 1 2-8 a6 6 0 0 1 10-2 a5.5 5.5 0 0 1 6 7 a4.5 4.5 0 0 1-3 5 q-8 3-15-2z"
                    fill={fill}
                  />
                  <path d="M-4 -3 q2 -2 4 0 M1 -1 q2 -2 4 0 M-2 1 q2 -1 3 0" fill="none" />
                </g>
              );
            })}
          </g>
        );
      default: {
        const isWhole = jar.shape === 'whole';
        return (
          <g>
            {bed(0.3)}
            {many(isWhole ? 20 : 15, 110).map((i) => {
              const at = spot(8);
              const size = 7 + next() * 4;
              const turn = isWhole ? 50 + next() * 80 : next() * 90;
              return isWhole ? (
                <ellipse
                  key={i}
                  cx={at.x}
                  cy={at.y}
                  rx={size * 1.6}
                  ry={size * 0.62}
                  transform={`rotate(${turn} ${at.x} ${at.y})`}
                  fill={tone()}
                  stroke={line}
                  strokeWidth={0.8}
                />
              ) : (
                <rect
                  key={i}
                  x={at.x - size}
                  y={at.y - size * 0.7}
                  width={size * 2}
                  height={size * 1.4}
                  rx={2.6}
                  transform={`rotate(${turn} ${at.x} ${at.y})`}
                  fill={tone()}
                  stroke={line}
                  strokeWidth={0.8}
                />
              );
            })}
          </g>
        );
      }
    }
  }, [jar, middle, floor, food, seed]);
}
