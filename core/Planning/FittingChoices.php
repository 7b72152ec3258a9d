<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Install\Climate;
use Incastro\Install\FittingWishes;
use Incastro\Install\Product;
use Incastro\Install\TaskKind;
use Incastro\Install\Zone;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\Edit;
use Incastro\Survey\Room\WallKind;

/** Choices of a job about fitting day: when there is time, in what air things dry, what is painted with, what comes before what, what walls are made of. */
final class FittingChoices
{
    private const MOST_SESSIONS = 200;

    private const MOST_WISHES = 100;

    private const PRIMERS = [Product::PrimerWater, Product::PrimerSolvent, Product::PrimerShellac];

    private const PAINTS = [Product::PaintCoat, Product::SolventCoat, Product::VarnishWater, Product::VarnishOil];

    /** Who comes when is known by the thing, a wall by its space and number. */
    private const NAME = '/^[\w\/:-]{1,120}$/D';

    private const LABELS = [
        'zone' => 'Time zone', 'set_up' => 'Minutes to set up', 'clear' => 'Minutes to clear up', 'celsius' => 'Room air, °C', 'humidity' => 'Humidity of the room, %',
        'coldest' => 'Coldest that is applied, °C', 'coats' => 'Coats of paint', 'primer' => 'Primer', 'paint' => 'Paint', 'wallboard' => 'Plaster or board before the studs', 'before' => 'Wishes for the order', 'sessions' => 'Sessions',
    ];

    /** @return array<string, mixed> */
    public static function defaults(): array
    {
        return [
            'zone' => 'UTC', 'set_up' => 10, 'clear' => 15, 'sessions' => [], 'celsius' => 20, 'humidity' => 50, 'coldest' => 8,
            'primer' => Product::PrimerWater->value, 'paint' => Product::PaintCoat->value, 'coats' => 2, 'wallboard' => null,
            'hours' => [], 'minutes' => [], 'before' => [], 'dates' => [], 'walls' => [],
        ];
    }

    /** What an edit of it is called in the history. */
    public static function label(string $path): string
    {
        $parts = explode('.', $path);

        return match ($parts[1] ?? '') {
            'hours' => 'Drying time: '.(Product::tryFrom($parts[2] ?? '')?->label() ?? ''),
            'minutes' => 'Minutes: '.lcfirst(TaskKind::tryFrom($parts[2] ?? '')?->label() ?? ''),
            'dates' => 'Day of licensed people',
            'walls' => 'What a wall is made of',
            default => self::LABELS[$parts[1] ?? ''] ?? $path,
        };
    }

    /**
     * @param  array<string, mixed>  $document  of the job
     * @return array{array<string, mixed>, Edit}
     *
     * @throws InvalidChoice
     */
    public static function apply(array $document, Edit $edit, LengthFormat $format): array
    {
        $parts = explode('.', $edit->path, 3);
        $name = $parts[1] ?? '';
        $more = $parts[2] ?? null;
        $fitting = ($document['installing'] ?? []) + self::defaults();
        $document['installing'] = $fitting;
        if ($name === 'sessions' && $more !== null) {
            return DocumentPath::set($document, 'installing.sessions', (new FittingSessions($fitting['sessions'], self::zone($fitting['zone'])))->changed($more, $edit));
        }
        $label = self::label($edit->path);
        $field = match ($name) {
            'zone' => Field::of($label, fn (mixed $value): string => self::zoned($value, $fitting['sessions'])),
            'set_up', 'clear' => Field::whole($label, 0, 120),
            'celsius' => Field::of($label, fn (mixed $value): float => self::within($value, 1, 45, 'Room air is 1–45 °C here.')),
            'humidity' => Field::of($label, fn (mixed $value): float => self::within($value, 1, 100, 'It is 1–100 %.')),
            'coldest' => Field::whole($label, 0, 25),
            'coats' => Field::whole($label, 1, 6),
            'primer' => Field::oneOf($label, array_column(self::PRIMERS, 'value')),
            'paint' => Field::oneOf($label, array_column(self::PAINTS, 'value')),
            'wallboard' => Field::length($label, $format, Length::zero(), Length::ofMillimetres(80))->orComputed(),
            'before' => Field::of($label, self::wishes(...)),
            'sessions' => Field::of($label, fn (mixed $value): array => is_array($value) && array_is_list($value) && count($value) <= self::MOST_SESSIONS ? (new FittingSessions($value, self::zone($fitting['zone'])))->checked() : throw new Unreadable(sprintf('It is a list of at most %d.', self::MOST_SESSIONS))),
            default => $more === null ? null : self::named($name, $more, $label),
        };
        if ($field === null) {
            throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a job.', $edit->path));
        }
        $value = $field->store($edit->path, $edit->value);
        if ($more === null) {
            return DocumentPath::set($document, $edit->path, $value);
        }
        $before = $fitting[$name][$more] ?? null;
        $document['installing'][$name] = array_filter([$more => $value] + $fitting[$name], fn (mixed $one) => $one !== null);

        return [$document, new Edit($edit->path, $before)];
    }

    /**
     * @param  array<string, mixed>  $fitting
     * @param  float  $pace  minutes are so many times the usual ones, as the home found
     */
    public static function read(array $fitting, float $pace = 1.0): FittingWishes
    {
        $fitting += self::defaults();
        $zone = self::zone($fitting['zone']);
        $sessions = (new FittingSessions($fitting['sessions'], $zone))->read(60 * $fitting['set_up'], 60 * $fitting['clear']);

        return new FittingWishes(
            $sessions,
            new Climate($fitting['celsius'], $fitting['humidity']),
            $fitting['minutes'],
            $fitting['before'],
            $fitting['hours'],
            array_filter(array_map(fn (string $day) => $zone->moment("$day 08:00"), $fitting['dates']), fn (?int $at) => $at !== null),
            array_map(WallKind::from(...), $fitting['walls']),
            isset($fitting['wallboard']) ? Length::ofNanometres($fitting['wallboard']['nm'])->toDouble() : null,
            Product::from($fitting['primer']),
            Product::from($fitting['paint']),
            $fitting['coats'],
            $fitting['coldest'],
            $pace,
        );
    }

    /**
     * What is wrong with choices that came with a file whose shape is right; null where nothing is.
     *
     * @param  array<string, mixed>  $fitting
     */
    public static function fault(array $fitting): ?string
    {
        $fitting += self::defaults();
        try {
            self::zoned($fitting['zone'], $fitting['sessions']);
        } catch (Unreadable|InvalidChoice $fault) {
            return $fault->getMessage();
        }
        foreach (['hours', 'minutes', 'dates', 'walls'] as $map) {
            foreach ($fitting[$map] as $of => $value) {
                $field = self::named($map, (string) $of, self::label("installing.$map.$of"));
                try {
                    $field?->read($value) ?? throw new Unreadable(sprintf('“%s” is not known in %s.', $of, $map));
                } catch (Unreadable $fault) {
                    return $fault->getMessage();
                }
            }
        }

        return null;
    }

    /**
     * The name of a zone in which all sessions are.
     *
     * @param  list<mixed>  $sessions
     *
     * @throws Unreadable
     * @throws InvalidChoice
     */
    private static function zoned(mixed $name, array $sessions): string
    {
        $zone = is_string($name) ? Zone::named($name) : null;
        if (! is_string($name) || $zone === null) {
            throw new Unreadable(sprintf('“%s” is not a time zone, such as UTC or a name of an area.', is_scalar($name) ? $name : 'That'));
        }
        (new FittingSessions($sessions, $zone))->checked('installing.zone');

        return $name;
    }

    public static function zone(string $name): Zone
    {
        return Zone::named($name) ?? Zone::named('UTC') ?? throw new \LogicException('There is always UTC.');
    }

    /** A field of a map, by what it is about. */
    private static function named(string $name, string $of, string $label): ?Field
    {
        $isName = preg_match(self::NAME, $of) === 1;

        return match (true) {
            $name === 'hours' && Product::tryFrom($of) !== null => Field::number($label, 0.1, 1000)->orComputed(),
            $name === 'minutes' && TaskKind::tryFrom($of) !== null => Field::whole($label, 1, 1440)->orComputed(),
            $name === 'dates' && $isName => Field::of($label, fn (mixed $value): string => is_string($value) && Zone::named('UTC')?->moment("$value 08:00") !== null ? $value : throw new Unreadable(sprintf('“%s” is not a day, such as 2027-03-06.', is_scalar($value) ? $value : 'That')))->orComputed(),
            $name === 'walls' && $isName => Field::oneOf($label, array_column(WallKind::cases(), 'value'))->orComputed(),
            default => null,
        };
    }

    /** @throws Unreadable */
    private static function within(mixed $value, float $least, float $most, string $sentence): float
    {
        return Field::numberWithin($value, $least, $most) ?? throw new Unreadable(sprintf('“%s” was typed. %s', is_scalar($value) ? $value : 'That', $sentence));
    }

    /** @return list<array{string, string}> */
    private static function wishes(mixed $value): array
    {
        if (! is_array($value) || ! array_is_list($value) || count($value) > self::MOST_WISHES) {
            throw new Unreadable(sprintf('It is a list of at most %d.', self::MOST_WISHES));
        }
        foreach ($value as $wish) {
            if (! is_array($wish) || ! array_is_list($wish) || count($wish) !== 2 || ! is_string($wish[0]) || ! is_string($wish[1]) || $wish[0] === $wish[1] || max(strlen($wish[0]), strlen($wish[1])) > 120) {
                throw new Unreadable('Each names two tasks, the first before the second.');
            }
        }

        return $value;
    }
}
