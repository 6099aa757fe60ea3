import { JarTopView, type OnTop } from './JarTopView';
import { shade } from './jarShape';

interface Props {
  sign: string;
  /** Of the food in the jar that is looked into. */
  colour: string;
  shape: string;
}

const SIZE = 74;

const tops = new Set<string>([
  'top_clean',
  'bubbles',
  'film_flat',
  'fuzz_white',
  'fuzz_coloured',
  'spots_pink',
  'spots_black',
  'insects',
  'top_unsure',
]);

/** How a sign looks, smells or feels, drawn; the words stand beside it. */
export function FindingDrawing({ sign, colour, shape }: Props) {
  if (tops.has(sign)) {
    return (
      <JarTopView onTop={sign as OnTop} colour={colour} shape={shape} seed={`sign ${sign}`} size={SIZE} label="" />
    );
  }
  return (
    <svg
      viewBox="0 0 120 120"
      width={SIZE}
      height={SIZE}
      role="presentation"
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {drawing(sign, colour)}
    </svg>
  );
}

const GLASS = { fill: 'var(--glass)', stroke: 'var(--glass-line)', strokeWidth: 2 };

/** A jar from the side: how high the brine and the food stand, and of what colour they are. */
function side({
  colour,
  brine = '#dcd9a6',
  level = 34,
  food = 44,
  more = null,
  lid = 'flat',
}: {
  colour: string;
  brine?: string;
  level?: number;
  food?: number;
  more?: React.ReactNode;
  lid?: 'flat' | 'bulging' | 'none' | 'airlock';
}) {
  return (
    <>
      <path d="M36 22 h48 v8 q10 4 10 14 v56 q0 8 -8 8 h-52 q-8 0 -8 -8 v-56 q0 -10 10 -14 z" {...GLASS} />
      <path d={`M27 ${level + 6} h66 v54 q0 7 -7 7 h-52 q-7 0 -7 -7 z`} fill={brine} opacity={0.85} />
      <path d={`M30 ${food + 8} h60 v44 q0 5 -6 5 h-48 q-6 0 -6 -5 z`} fill={colour} />
      {[0, 1, 2, 3, 4].map((i) => (
        <path key={i} d={`M${37 + i * 11} ${food + 14} v40`} stroke={shade(colour, -0.25)} strokeWidth={1.6} />
      ))}
      {more}
      {lid === 'flat' && <rect x={33} y={13} width={54} height={10} rx={2} fill="#8d8377" />}
      {lid === 'bulging' && <path d="M33 23 v-6 q27 -17 54 0 v6 z" fill="#8d8377" />}
      {lid === 'airlock' && (
        <>
          <rect x={33} y={15} width={54} height={8} rx={2} fill="#8d8377" />
          <path d="M60 15 v-8 q0 -5 5 -5 h6 q5 0 5 5 v3" stroke="var(--glass-line)" strokeWidth={3} />
        </>
      )}
    </>
  );
}

const bubble = (x: number, y: number, r: number) => (
  <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill="#fff" fillOpacity={0.5} stroke="#fff" strokeWidth={1.2} />
);

const wisp = (colour: string, way: string, i: number) => <path key={i} d={way} stroke={colour} strokeWidth={4.5} />;

/** What rises from an opened jar. */
function smell(colour: string, ways: string[], mark: React.ReactNode = null) {
  return (
    <>
      <path d="M38 78 h44 v6 q6 3 6 9 v14 q0 5 -5 5 h-46 q-5 0 -5 -5 v-14 q0 -6 6 -9 z" {...GLASS} />
      {ways.map((way, i) => wisp(colour, way, i))}
      {mark}
    </>
  );
}

const soft = ['M44 68 q-8 -12 0 -22 t0 -22', 'M60 68 q-8 -12 0 -24 t0 -26', 'M76 68 q-8 -12 0 -22 t0 -22'];
const sharp = ['M44 68 l-6 -14 8 -12 -8 -16', 'M60 68 l-6 -14 8 -14 -8 -18', 'M76 68 l-6 -14 8 -12 -8 -16'];

function drawing(sign: string, colour: string): React.ReactNode {
  switch (sign) {
    case 'all_under':
      return side({ colour });
    case 'above_wet':
      return side({ colour, level: 54, food: 40 });
    case 'above_dry':
      return side({ colour, level: 62, food: 38, more: <path d="M30 46 h60 v12 h-60 z" fill="#6d5434" /> });
    case 'brine_clear':
      return side({ colour, brine: '#e6ecdf' });
    case 'brine_cloudy':
      return side({
        colour: shade(colour, 0.25),
        brine: '#efe8cf',
        more: [44, 58, 74, 66, 50].map((x, i) => (
          <circle key={x} cx={x} cy={56 + i * 10} r={11} fill="#f6f0dc" opacity={0.6} />
        )),
      });
    case 'sediment_white':
      return side({
        colour,
        more: (
          <path
            d="M29 108 q2 -15 16 -12 q16 -8 30 0 q14 -4 16 6 v2 q0 6 -6 6 h-50 z"
            fill="#f7f3e6"
            stroke="#d8cfb4"
            strokeWidth={1}
          />
        ),
      });
    case 'brine_tinted':
      return side({ colour, brine: shade(colour, 0.35) });
    case 'brine_ropy':
      return side({
        colour,
        brine: '#d8d2a0',
        more: [40, 56, 70, 82].map((x) => (
          <path key={x} d={`M${x} 42 q-6 16 2 30 t-2 30`} stroke="#f5f1d6" strokeWidth={4} opacity={0.9} />
        )),
      });
    case 'brine_odd_colour':
      return side({ colour, brine: '#b7a2d0' });
    case 'colour_as_expected':
      return side({ colour, brine: '#e6ecdf' });
    case 'colour_olive':
      return side({
        colour: '#7d7a34',
        brine: '#e6ecdf',
        more: <path d="M60 52 h30 v48 q0 5 -6 5 h-24 z" fill="#4f9a3c" />,
      });
    case 'garlic_blue':
      return side({
        colour,
        more: [
          [46, 70],
          [68, 84],
          [74, 62],
        ].map(([x, y]) => (
          <ellipse key={x} cx={x} cy={y} rx={8} ry={6} fill="#5fa6a0" stroke="#2c6f6b" strokeWidth={1.4} />
        )),
      });
    case 'brown_top':
      return side({ colour, more: <path d="M30 52 h60 v11 h-60 z" fill="#84592c" /> });
    case 'colour_odd':
      return side({
        colour,
        more: [
          ['#d97f92', 44, 66],
          ['#4a4648', 70, 84],
          ['#d97f92', 76, 62],
        ].map(([tone, x, y]) => (
          <ellipse key={String(x)} cx={x} cy={y} rx={11} ry={8} fill={String(tone)} opacity={0.92} />
        )),
      });
    case 'lid_flat':
      return side({ colour, brine: '#e6ecdf' });
    case 'lid_hisses':
      return side({
        colour,
        brine: '#e6ecdf',
        more: ['M28 18 l-14 -6', 'M26 24 h-16', 'M92 18 l14 -6', 'M94 24 h16'].map((way) => (
          <path key={way} d={way} stroke="var(--ink)" strokeWidth={2.6} />
        )),
      });
    case 'lid_bulging':
      return side({ colour, brine: '#e6ecdf', lid: 'bulging' });
    case 'ran_over':
      return side({
        colour,
        more: (
          <path d="M28 30 q-10 20 -6 44 t-4 36 h84 q-8 -16 -4 -36" stroke="#cfc98c" strokeWidth={6} opacity={0.85} />
        ),
      });
    case 'airlock_dry':
      return side({ colour, lid: 'airlock' });
    case 'lively':
    case 'fizz':
      return side({
        colour,
        more: [
          [40, 92, 4],
          [52, 72, 5],
          [64, 88, 3],
          [72, 60, 5],
          [82, 78, 4],
          [46, 54, 4],
          [60, 48, 5],
          [78, 46, 3],
        ].map(([x = 0, y = 0, r = 0]) => bubble(x, y, r)),
      });
    case 'few_bubbles':
      return side({
        colour,
        more: [
          [46, 74, 4],
          [70, 56, 4],
        ].map(([x = 0, y = 0, r = 0]) => bubble(x, y, r)),
      });
    case 'no_bubbles':
    case 'still':
      return side({ colour });
    case 'smell_sour':
      return smell('#8a9a3e', soft);
    case 'smell_funky':
      return smell('#a9762e', [...soft, 'M30 60 q-8 -10 0 -20', 'M90 60 q8 -10 0 -20']);
    case 'smell_raw':
      return smell('#b3aa98', soft.slice(1, 2));
    case 'smell_yeasty':
      return smell('#c79a52', soft, <circle cx={60} cy={96} r={7} fill="#e6c98c" stroke="#a9762e" strokeWidth={1.6} />);
    case 'smell_solvent':
      return smell('#6d7fa6', sharp);
    case 'smell_rotten':
      return smell('#6f5a2a', sharp, <path d="M52 90 l16 14 m0 -14 l-16 14" stroke="var(--chilli)" strokeWidth={4} />);
    case 'smell_unsure':
      return smell(
        '#a39a8c',
        soft,
        <text x={60} y={106} textAnchor="middle" fontSize={22} fill="var(--ink)" fontFamily="var(--serif)">
          ?
        </text>,
      );
    case 'crisp':
      return piece(
        colour,
        'M18 78 L56 60 l4 12 L24 92 z M64 56 L100 40 l4 13 L68 69 z',
        'M58 46 l-4 -14 M66 44 l4 -12 M50 50 l-12 -8',
      );
    case 'soft':
      return piece(colour, 'M16 60 q44 -14 88 0 v16 q-44 30 -88 2 z');
    case 'mushy':
      return piece(
        colour,
        'M16 90 q6 -26 24 -22 q6 -18 24 -8 q20 -8 26 12 q16 2 14 18 z M32 54 l8 -6 4 8 z M78 50 l8 2 -2 8 z',
      );
    case 'slimy':
      return (
        <>
          {piece(colour, 'M18 40 h84 v18 h-84 z')}
          {[28, 46, 62, 80, 94].map((x, i) => (
            <path
              key={x}
              d={`M${x} 58 q-3 ${14 + i * 3} 0 ${26 + (i % 3) * 9}`}
              stroke="#c9cfa0"
              strokeWidth={5}
              opacity={0.9}
            />
          ))}
        </>
      );
    case 'smooth':
      return bowl(colour, <path d="M26 62 q34 12 68 0" stroke={shade(colour, 0.35)} strokeWidth={4} />);
    case 'pink_of_food':
      return side({ colour: '#a33a58', brine: '#dd9aa8' });
    case 'pink_lying':
      return side({ colour, more: blots('#d9708a', 40) });
    case 'specks_of_food':
      return piece(
        colour,
        'M18 44 q42 -16 84 0 v34 q-42 18 -84 0 z',
        'M34 54 v0.1 M48 66 v0.1 M60 50 v0.1 M74 62 v0.1 M88 54 v0.1 M40 74 v0.1 M68 76 v0.1',
      );
    case 'specks_grow':
      return (
        <>
          {piece(colour, 'M18 54 q42 -16 84 0 v28 q-42 18 -84 0 z')}
          {blots('#3f342b', 50)}
        </>
      );
    case 'slip_of_food':
      return (
        <>
          {piece(colour, 'M18 36 h84 v18 h-84 z')}
          {[34, 60, 84].map((x, i) => (
            <path
              key={x}
              d={`M${x} ${66 + i * 8} q-7 12 0 15 q7 -3 0 -15 z`}
              fill="#dcd9a6"
              stroke="#a9a468"
              strokeWidth={1.4}
            />
          ))}
        </>
      );
    case 'slip_new':
      return drawing('slimy', colour);
    case 'broke_in_making':
      return (
        <>
          {drawing('broken', colour)}
          <path d="M60 14 v26 M52 40 q-4 14 8 22 q12 -8 8 -22 M60 40 v22" stroke="var(--ink)" strokeWidth={2.4} />
        </>
      );
    case 'broke_later':
      return (
        <>
          {drawing('broken', colour)}
          <circle cx={60} cy={28} r={15} stroke="var(--ink)" strokeWidth={2.4} />
          <path d="M60 19 v9 l7 5" stroke="var(--ink)" strokeWidth={2.4} />
        </>
      );
    case 'smell_sulphur':
      return smell('#b5a03a', soft, <ellipse cx={60} cy={98} rx={9} ry={12} stroke="var(--ink)" strokeWidth={2} />);
    case 'broken':
      return bowl(
        colour,
        [
          [44, 66],
          [62, 60],
          [76, 70],
          [56, 76],
        ].map(([x, y]) => (
          <ellipse key={x} cx={x} cy={y} rx={8} ry={5} fill="#efe7c4" stroke="#b9a35e" strokeWidth={1.2} />
        )),
      );
    default:
      return null;
  }
}

/** What lies on food, raised. */
const blots = (colour: string, y: number) =>
  [
    [38, 0, 7],
    [56, -4, 9],
    [76, 1, 6],
    [88, -3, 5],
  ].map(([x, up, r]) => (
    <ellipse
      key={x}
      cx={x}
      cy={y + (up ?? 0)}
      rx={r}
      ry={(r ?? 0) * 0.7}
      fill={colour}
      stroke={shade(colour, -0.3)}
      strokeWidth={1.4}
    />
  ));

function piece(colour: string, way: string, cracks = '') {
  return (
    <>
      <path d={way} fill={colour} stroke={shade(colour, -0.35)} strokeWidth={2.2} />
      {cracks !== '' && <path d={cracks} stroke="var(--ink)" strokeWidth={2.4} />}
    </>
  );
}

function bowl(colour: string, more: React.ReactNode) {
  return (
    <>
      <path d="M16 54 h88 q-4 50 -44 50 t-44 -50 z" {...GLASS} />
      <path d="M20 58 h80 q-5 40 -40 40 t-40 -40 z" fill={colour} />
      {more}
    </>
  );
}
