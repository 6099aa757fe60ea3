<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\ShelfLife;

/**
 * A drawn jar to practise on: what lies on top and in the brine, how it is drawn, and what is right to do. The same
 * number always gives the same jar.
 */
final readonly class PracticeJar
{
    /** What one may say to it. */
    public const ANSWERS = ['nothing', 'skim', 'wait', 'out'];

    /** What is practised, each as often as the others: the harmless and its double. */
    private const CASES = [
        [Finding::FilmFlat, 'skim'],
        [Finding::FuzzWhite, 'out'],
        [Finding::FilmFlat, 'skim'],
        [Finding::FuzzColoured, 'out'],
        [Finding::SedimentWhite, 'nothing'],
        [Finding::SpotsPink, 'out'],
        [Finding::Bubbles, 'nothing'],
        [Finding::SpotsBlack, 'out'],
        [Finding::BrineCloudy, 'nothing'],
        [Finding::FuzzWhite, 'out'],
    ];

    private const FOODS = [
        ['cabbage', '#cfd6a0', 'shreds'],
        ['carrot', '#d97a2b', 'sticks'],
        ['cauliflower', '#e9e2c4', 'chunks'],
        ['beetroot', '#7a1f3d', 'slices'],
    ];

    /** How much of it, in steps from a trace to all over. */
    private const AMOUNTS = 3;

    private function __construct(
        public int $number,
        public Finding $sign,
        public string $right,
        public Message $food,
        public string $colour,
        public string $shape,
        public int $amount,
    ) {}

    /** @param  int  $number  0 or more */
    public static function number(int $number): self
    {
        // Steps that share no divisor with the lists walk through every pair before one comes back.
        [$sign, $right] = self::CASES[(7 * $number + 3) % count(self::CASES)];
        [$food, $colour, $shape] = self::FOODS[(3 * $number + intdiv($number, 10)) % count(self::FOODS)];

        return new self(
            $number,
            $sign,
            $right,
            Message::of("practice_food.{$food}"),
            $colour,
            $shape,
            1 + ((5 * $number + intdiv($number, 4)) % self::AMOUNTS),
        );
    }

    /** @return list<Finding> what is there to be seen */
    public function signs(): array
    {
        return $this->sign === Finding::SedimentWhite || $this->sign === Finding::BrineCloudy
            ? [Finding::TopClean, $this->sign]
            : [$this->sign];
    }

    public function isRight(string $answer): bool
    {
        return $answer === $this->right;
    }

    /** The rule by which it is judged. */
    public function rule(): CheckRule
    {
        $jar = new CheckedJar(
            Method::PouredBrine,
            Cover::LooseLid,
            6,
            6.0,
            true,
            false,
            true,
            new Hazards(),
            ShelfLife::of(Method::PouredBrine, new Hazards()),
            null,
            144.0,
        );
        foreach (CheckRules::all() as $rule) {
            if ($rule->signs === [$this->sign] && $rule->appliesTo($jar, $this->signs())) {
                return $rule;
            }
        }

        throw new \LogicException("No rule speaks of {$this->sign->value}.");
    }
}
