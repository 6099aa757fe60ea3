<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Message\Message;

/**
 * A week to be planned: who eats, what there is, what is settled already.
 */
final readonly class PlanningProblem
{
    public const MOST_EATERS = 12;

    public const MOST_DAYS = 14;

    public const MOST_MEALS = 4;

    public const MOST_OFFERS = 40;

    private const MOST_PER_MEAL = 4;

    private const MOST_SIZES = 4;

    private const VERSIONS = [1, 2];

    /** Grams from which on a portion counts as live, where the document does not say. */
    private const LIVE_FROM_G = 10.0;

    private const FAIR = 20.0;

    private const ROUNDING = 1e-6;

    /**
     * @param  list<string>  $meals  of a day
     * @param  int  $perMeal  what is served at one of them at most
     * @param  list<Eater>  $eaters
     * @param  list<ServingOption>  $options
     * @param  list<Assignment>  $locked  that stay as they are
     * @param  list<Assignment>  $before  an earlier plan that is kept where nothing is lost by it
     * @param  array<int, array<int, true>>  $previous  what each eater had on the day before, by eater and offer
     * @param  int  $version  of the document: from 2 on offers come in sizes
     * @param  list<Wish>  $wishes
     */
    public function __construct(
        public int $days,
        public array $meals,
        public int $perMeal,
        public array $eaters,
        public array $options,
        public array $locked,
        public array $before,
        public ObjectiveWeights $weights,
        public array $previous = [],
        public int $version = 1,
        public array $wishes = [],
    ) {}

    /** The option whose stock one shares, itself where it is the usual size. */
    public function offerOf(int $option): int
    {
        return $this->options[$option]->offer ?? $option;
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $fields->text('tempesal') === 'plan' ?: throw $fields->invalid('tempesal', Message::of('errors.not_a_plan'));
        $version = (int) $fields->number('version', 1.0);
        in_array($version, self::VERSIONS, true) ?:
        throw $fields->invalid('version', Message::of('errors.plan_version'));
        $days = self::whole($fields, 'days', 7, 1, self::MOST_DAYS);
        $meals = $fields->has('meals') ? $fields->texts('meals', 40) : ['day'];
        if ($meals === [] || count($meals) > self::MOST_MEALS || count(array_unique($meals)) !== count($meals)) {
            throw $fields->invalid('meals', Message::of('errors.meal_count', most: self::MOST_MEALS));
        }
        $perMeal = self::whole($fields, 'perMeal', 1, 1, self::MOST_PER_MEAL);
        $eaters = [];
        foreach ($fields->each('eaters') as $one) {
            $eaters[] = self::eater($one, $days);
        }
        self::few($fields, 'eaters', count($eaters), self::MOST_EATERS);
        $options = $sizes = [];
        foreach ($fields->has('offers') ? $fields->each('offers') : [] as $place => $one) {
            if ($version === 1) {
                $options[] = self::offer($one, $days, $meals, $eaters);
            } else {
                [$options[], $more] = self::offerInSizes($one, (int) $place, $days, $meals, $eaters);
                array_push($sizes, ...$more);
            }
        }
        self::few($fields, 'offers', count($options), self::MOST_OFFERS, 0);
        foreach (['eaters' => $eaters, 'offers' => $options] as $key => $list) {
            if (count(array_unique(array_column($list, 'id'))) !== count($list)) {
                throw $fields->invalid($key, Message::of('errors.unique_ids'));
            }
        }
        $offers = array_column($options, 'id');
        array_push($options, ...$sizes);
        $assignments = static function (string $key) use ($fields, $days, $meals, $eaters, $options, $offers): array {
            $assignments = [];
            foreach ($fields->has($key) ? $fields->each($key) : [] as $one) {
                $eater = self::place($one, 'eater', array_column($eaters, 'id'));
                $assignments[] = new Assignment(
                    $eater,
                    self::whole($one, 'day', 0, 0, $days - 1),
                    self::place($one, 'meal', $meals),
                    self::size($one, $options, self::place($one, 'offer', $offers), $eater),
                );
            }

            return $assignments;
        };
        $previous = [];
        foreach ($version > 1 && $fields->has('previous') ? $fields->each('previous') : [] as $one) {
            $previous[self::place($one, 'eater', array_column($eaters, 'id'))][
                self::place($one, 'offer', $offers)
            ] = true;
        }
        $wishes = [];
        foreach ($version > 1 && $fields->has('wishes') ? $fields->each('wishes') : [] as $one) {
            $wishes[] = self::wish($one, $days, array_column($eaters, 'id'), $offers);
        }
        foreach (array_keys($eaters) as $m) {
            $theirs = array_values(array_filter($wishes, static fn(Wish $wish): bool => $wish->eater === $m));
            if (Wish::mostAtOnce($theirs) > Wish::MOST_AT_ONCE) {
                throw $fields->invalid('wishes', Message::of('errors.too_many_wishes', most: Wish::MOST_AT_ONCE));
            }
        }
        $problem = new self(
            $days,
            $meals,
            $perMeal,
            $eaters,
            $options,
            $assignments('locked'),
            $assignments('before'),
            $fields->has('weights')
                ? ObjectiveWeights::read($fields->child('weights'), $version > 1 ? self::FAIR : 0.0)
                : new ObjectiveWeights(fair: $version > 1 ? self::FAIR : 0.0),
            $previous,
            $version,
            $wishes,
        );
        $trouble = Feasibility::trouble($problem, $problem->locked, true);
        if ($trouble !== null) {
            throw $fields->invalid('locked', $trouble);
        }

        return $problem;
    }

    /**
     * @param  list<string>  $eaters
     * @param  list<string>  $offers
     */
    private static function wish(Fields $fields, int $days, array $eaters, array $offers): Wish
    {
        $eater = self::place($fields, 'eater', $eaters);
        $worth = $fields->number('worth');
        if ($worth < 0.0 || $worth > ObjectiveWeights::MOST) {
            throw $fields->invalid('worth', Message::of('errors.weight_range'));
        }
        $wanted = [];
        foreach ($fields->texts('offers', 60) as $name) {
            $place = array_search($name, $offers, true);
            $wanted[] =
                $place === false ? throw $fields->invalid('offers', Message::of('errors.no_such_name')) : $place;
        }
        $from = self::whole($fields, 'from', 0, 0, $days - 1);

        return new Wish(
            $eater,
            range($from, self::whole($fields, 'until', $days - 1, $from, $days - 1)),
            $wanted,
            $worth,
        );
    }

    private static function eater(Fields $fields, int $days): Eater
    {
        $id = $fields->text('id');
        $target = $fields->number('targetMg');
        if ($target <= 0.0 || $target > 20_000.0) {
            throw $fields->invalid('targetMg', Message::of('errors.target_range'));
        }

        return new Eater(
            $id,
            $fields->has('name') ? $fields->text('name') : $id,
            $target,
            self::byDay($fields, 'allowanceMg', $days, -50_000.0, 50_000.0),
            $fields->has('hard') && $fields->flag('hard'),
            array_map(intval(...), self::byDay($fields, 'liveGoal', $days, 0.0, 20.0, 1.0)),
        );
    }

    /**
     * @param  list<string>  $meals
     * @param  list<Eater>  $eaters
     */
    private static function offer(
        Fields $fields,
        int $days,
        array $meals,
        array $eaters,
        bool $hasServings = true,
    ): ServingOption {
        $id = $fields->text('id');
        $stock = $fields->number('stock');
        if ($stock < 0.0 || $stock > 1_000_000.0) {
            throw $fields->invalid('stock', Message::of('errors.stock_range'));
        }
        $suited = $fields->has('meals') ? $fields->texts('meals', 40) : $meals;
        $places = [];
        foreach ($suited as $meal) {
            $place = array_search($meal, $meals, true);
            $places[] =
                $place === false
                    ? throw $fields->invalid('meals', Message::of('errors.no_such_meal', meal: $meal))
                    : $place;
        }
        $notFor = $fields->has('notFor') ? $fields->texts('notFor', 60) : [];
        $by = static fn(string $key, Eater $eater): string => $fields->has("{$key}By") &&
        $fields->child("{$key}By")->has($eater->id)
            ? $eater->id
            : '';
        $sodium = $portion = [];
        $usualSodium = $hasServings ? self::byDay($fields, 'sodiumMg', $days, 0.0, 20_000.0) : [];
        $usualPortion = $hasServings ? $fields->number('portion', 1.0) : 1.0;
        foreach ($hasServings ? $eaters : [] as $eater) {
            $sodium[] =
                $by('sodiumMg', $eater) === ''
                    ? $usualSodium
                    : self::byDay($fields->child('sodiumMgBy'), $eater->id, $days, 0.0, 20_000.0);
            $portion[] =
                $by('portion', $eater) === '' ? $usualPortion : $fields->child('portionBy')->number($eater->id);
        }
        if (min([1.0, ...$portion]) <= 0.0) {
            throw $fields->invalid('portion', Message::of('errors.more_than_zero'));
        }

        return new ServingOption(
            $id,
            $fields->has('name') ? $fields->text('name') : $id,
            $fields->has('live') && $fields->flag('live'),
            $fields->has('group') ? $fields->text('group') : $id,
            $stock,
            self::whole($fields, 'from', 0, -10_000, 10_000),
            self::whole($fields, 'useBy', 10_000, -10_000, 10_000),
            $places,
            $sodium,
            $portion,
            array_map(static fn(Eater $eater): bool => !in_array($eater->id, $notFor, true), $eaters),
        );
    }

    /**
     * An offer of a document of version 2: grams, in up to four sizes for each eater. Where a size is live for some and too
     * small for others, it is two options.
     *
     * @param  list<string>  $meals
     * @param  list<Eater>  $eaters
     * @return array{ServingOption, list<ServingOption>} the usual size, and the others
     */
    private static function offerInSizes(Fields $fields, int $place, int $days, array $meals, array $eaters): array
    {
        $by = static fn(string $key, Eater $eater): bool => $fields->has("{$key}By") &&
            $fields->child("{$key}By")->has($eater->id);
        $portions = $perGram = [];
        $usual = self::portions($fields, 'portions');
        $usualPerGram = self::byDay($fields, 'mgPerGram', $days, 0.0, 400.0);
        foreach ($eaters as $eater) {
            $portions[] = $by('portions', $eater) ? self::portions($fields->child('portionsBy'), $eater->id) : $usual;
            $perGram[] = $by('mgPerGram', $eater)
                ? self::byDay($fields->child('mgPerGramBy'), $eater->id, $days, 0.0, 400.0)
                : $usualPerGram;
        }
        $liveFrom = $fields->number('liveFrom', self::LIVE_FROM_G);
        $common = self::offer($fields, $days, $meals, $eaters, false);
        $options = [];
        for ($at = 0; $at < max([1, ...array_map(count(...), $portions)]); $at++) {
            foreach ($common->isLive ? [true, false] : [false] as $isLive) {
                $isFor = $grams = $share = $sodium = [];
                foreach (array_keys($eaters) as $m) {
                    $size = $portions[$m][$at] ?? $portions[$m][0];
                    $grams[] = $size;
                    $share[] = 1.0 - $size / $portions[$m][0];
                    $sodium[] = array_map(static fn(float $mg): float => $mg * $size, $perGram[$m]);
                    $isFor[] =
                        $common->isFor[$m] &&
                        isset($portions[$m][$at]) &&
                        (!$common->isLive || $isLive === $size >= $liveFrom - self::ROUNDING);
                }
                if ($options === [] || in_array(true, $isFor, true)) {
                    $options[] = new ServingOption(
                        $options === [] ? $common->id : "{$common->id} {$at} " . ($isLive ? 'live' : 'small'),
                        $common->name,
                        $isLive,
                        // What is too little to be live meets no group either.
                        $common->isLive && !$isLive ? ServingOption::NO_CULTURE : $common->group,
                        $common->stock,
                        $common->from,
                        $common->useBy,
                        $common->meals,
                        $sodium,
                        $grams,
                        $isFor,
                        $options === [] ? null : $place,
                        $share,
                    );
                }
            }
        }

        return [$options[0], array_slice($options, 1)];
    }

    /** @return non-empty-list<float> grams, the usual one first */
    private static function portions(Fields $fields, string $key): array
    {
        $raw = $fields->raw()[$key] ?? null;
        $fields->has($key);
        $all = [];
        foreach (is_array($raw) ? array_values($raw) : [$raw] as $one) {
            if (!is_numeric($one) || (float) $one <= 0.0 || (float) $one > ($all[0] ?? 10_000.0)) {
                throw $fields->invalid($key, Message::of('errors.portion_sizes', most: self::MOST_SIZES));
            }
            $all[] = (float) $one;
        }

        return $all === [] || count($all) > self::MOST_SIZES
            ? throw $fields->invalid($key, Message::of('errors.portion_sizes', most: self::MOST_SIZES))
            : $all;
    }

    /**
     * The option of an offer in the size that is named; without one the usual size.
     *
     * @param  list<ServingOption>  $options
     */
    private static function size(Fields $fields, array $options, int $offer, int $eater): int
    {
        $grams = $fields->has('portion') ? $fields->number('portion') : $options[$offer]->portion[$eater];
        $found = null;
        foreach ($options as $place => $option) {
            $isThis = ($option->offer ?? $place) === $offer && abs($option->portion[$eater] - $grams) < self::ROUNDING;
            if ($isThis && $option->isFor[$eater]) {
                return $place;
            }
            $found ??= $isThis ? $place : null;
        }

        return $found ?? throw $fields->invalid('portion', Message::of('errors.no_such_portion'));
    }

    /**
     * One number for every day, or a list of one for each.
     *
     * @return list<float>
     */
    private static function byDay(
        Fields $fields,
        string $key,
        int $days,
        float $least,
        float $most,
        ?float $default = null,
    ): array {
        $raw = $fields->raw()[$key] ?? null;
        if (is_array($raw)) {
            $fields->has($key);
            if (!array_is_list($raw) || count($raw) !== $days) {
                throw $fields->invalid($key, Message::of('errors.number_or_list', days: $days));
            }
            $fields = Fields::of(
                [
                    'list' => array_combine(
                        array_map(static fn(int $day): string => "day{$day}", array_keys($raw)),
                        $raw,
                    ),
                ],
                $fields->at() . '.' . $key,
            );
            $list = $fields->child('list');
            $values = array_map(static fn(int $day): float => $list->number("day{$day}"), range(0, $days - 1));
        } else {
            $values = array_fill(0, $days, $fields->number($key, $default));
        }
        foreach ($values as $value) {
            if ($value < $least || $value > $most) {
                throw $fields->invalid($key, Message::of('errors.between', least: $least, most: $most));
            }
        }

        return $values;
    }

    private static function whole(Fields $fields, string $key, int $default, int $least, int $most): int
    {
        $value = $fields->number($key, (float) $default);
        if ($value !== floor($value) || $value < $least || $value > $most) {
            throw $fields->invalid($key, Message::of('errors.whole_between', least: $least, most: $most));
        }

        return (int) $value;
    }

    /** @param  list<string>  $names */
    private static function place(Fields $fields, string $key, array $names): int
    {
        $place = array_search($fields->text($key), $names, true);

        return $place === false ? throw $fields->invalid($key, Message::of('errors.no_such_name')) : $place;
    }

    private static function few(Fields $fields, string $key, int $count, int $most, int $least = 1): void
    {
        if ($count < $least || $count > $most) {
            throw $fields->invalid(
                $key,
                $count > $most
                    ? Message::of("errors.too_many_{$key}", most: $most, count: $count)
                    : Message::of("errors.no_{$key}"),
            );
        }
    }
}
