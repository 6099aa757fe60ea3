<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\HasVersion;
use App\Support\ReadOnce;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Care\QuietHours;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Method\Aim;

/**
 * A kitchen and the people who eat from it.
 *
 * @property string $id
 * @property string $name
 * @property string $time_zone
 * @property string $language  of labels and the shared calendar, as BCP 47 has it
 * @property SpoonSystem $spoon_system
 * @property bool $uses_inches
 * @property bool $uses_fahrenheit
 * @property bool $is_demo
 * @property string $measure_by
 * @property int $week_start
 * @property string $quiet_from
 * @property string $quiet_to
 * @property Aim $aim
 * @property array<string, mixed> $planning
 * @property CarbonImmutable $created_at
 */
final class Household extends Model
{
    use HasUlids, HasVersion, ReadOnce;

    /** Columns that are changed elsewhere than in its settings. */
    private const UNCOUNTED = ['planning'];

    protected $guarded = [];

    private ?DateTimeZone $zone = null;

    /** The date it is in this kitchen, as YYYY-MM-DD. */
    public function today(): string
    {
        return $this->dateOf(CarbonImmutable::now());
    }

    /** The date of a moment in this kitchen, as YYYY-MM-DD. */
    public function dateOf(CarbonImmutable $moment): string
    {
        return $this->dateAt($moment->getTimestamp());
    }

    /** The same for a moment in seconds since 1970. */
    public function dateAt(int $timestamp): string
    {
        return (new DateTimeImmutable("@{$timestamp}"))->setTimezone($this->zone())->format('Y-m-d');
    }

    /** The time of day of a moment in seconds since 1970 in this kitchen, as HH:MM. */
    public function timeAt(int $timestamp): string
    {
        return (new DateTimeImmutable("@{$timestamp}"))->setTimezone($this->zone())->format('H:i');
    }

    /** Where it is, as PHP's own clock has it: a shelf asks for hundreds of dates. */
    private function zone(): DateTimeZone
    {
        if ($this->zone?->getName() !== $this->time_zone) {
            $this->zone = new DateTimeZone($this->time_zone);
        }

        return $this->zone;
    }

    /** Noon of a day in this kitchen, given as YYYY-MM-DD. */
    public function noonOf(string $day): CarbonImmutable
    {
        return CarbonImmutable::parse("{$day} 12:00", $this->time_zone)->utc();
    }

    public function units(): KitchenUnits
    {
        return new KitchenUnits(Habit::ofSpoons($this->spoon_system), $this->uses_inches, $this->uses_fahrenheit);
    }

    public function quietHours(): QuietHours
    {
        return new QuietHours($this->quiet_from, $this->quiet_to);
    }

    /** Whole days from one day to another, both as YYYY-MM-DD. */
    public static function daysBetween(string $from, string $to): int
    {
        return intdiv(self::noonInUtc($to) - self::noonInUtc($from), 86_400);
    }

    /** The day so many days after another, or before it where they are negative; both as YYYY-MM-DD. */
    public static function dayAfter(string $day, int $days): string
    {
        return gmdate('Y-m-d', self::noonInUtc($day) + $days * 86_400);
    }

    private static function noonInUtc(string $day): int
    {
        return (int) gmmktime(12, 0, 0, (int) substr($day, 5, 2), (int) substr($day, 8, 2), (int) substr($day, 0, 4));
    }

    protected function casts(): array
    {
        return [
            'version' => 'integer',
            'spoon_system' => SpoonSystem::class,
            'uses_inches' => 'boolean',
            'uses_fahrenheit' => 'boolean',
            'is_demo' => 'boolean',
            'week_start' => 'integer',
            'aim' => Aim::class,
            'planning' => 'array',
        ];
    }
}
