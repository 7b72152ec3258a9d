<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Geometry\Point;
use Incastro\Geometry\Round;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unreadable;

/**
 * Something round on a floor by offsets from a straight line before it, parallel to the wall: how far out the line lies, and for each
 * station how far along it is and how far in from the line the round begins, "400; 328 x 181; 418 x 129.5; 508 x 179". Stored as
 * `{typed, line, stations: [[nm, nm], …]}`.
 */
final class OffsetsRound
{
    private const LEAST = 3;

    private const MOST = 24;

    /** σ of an offset taken with a steel rule, mm. */
    private const SIGMA = 0.5;

    public static function field(LengthFormat $format): Field
    {
        return Field::of('Offsets round it', function (mixed $value) use ($format): array {
            $typed = trim(is_array($value) && is_string($value['typed'] ?? null) ? $value['typed'] : (is_string($value) ? $value : ''));
            $parts = array_values(array_filter(array_map(trim(...), explode(';', $typed)), fn (string $part) => $part !== ''));
            $reader = new LengthReader($format->unit);
            $line = $reader->read(array_shift($parts) ?? '');
            $stations = [];
            foreach ($parts as $i => $part) {
                $pair = preg_split('/\s*[x×]\s*/u', $part) ?: [];
                if (count($pair) !== 2) {
                    throw new Unreadable(sprintf('Station %d was understood as “%s”. Type how far along it lies and its offset from the line, such as 418 x 129.5, and a semicolon before the next.', $i + 1, $part));
                }
                $stations[] = [$reader->read($pair[0])->nanometres(), $reader->read($pair[1])->nanometres()];
            }
            if (count($stations) < self::LEAST || count($stations) > self::MOST) {
                throw new Unreadable(sprintf('There are %d stations. It takes how far out the line lies and %d to %d stations, such as 400; 328 x 181; 418 x 129.5; 508 x 179.', count($stations), self::LEAST, self::MOST));
            }
            $stored = ['typed' => $typed, 'line' => $line->nanometres(), 'stations' => $stations];
            $round = self::round($stored);
            if ($round === null) {
                throw new Unreadable('The stations lie on a line: take some further round it.');
            }
            if (! $round->isRound(self::SIGMA)) {
                $off = array_map(abs(...), $round->residuals);
                $worst = (int) array_search(max(0.0, ...$off), $off, true);
                throw new Unreadable(sprintf('Station %d lies %s off the circle of the others: take it again, or trace the section where it is not round.', $worst + 1, $format->finest()->write(Length::ofDouble(max(0.0, ...$off)))));
            }
            if ($round->isDoubtful()) {
                throw new Unreadable(sprintf('Only %d° of it was measured; its radius would be known to ± %s. Take stations further round: a quarter of it at least.', (int) round($round->arc), $format->finest()->write(Length::ofDouble($round->doubt()))));
            }

            return $stored;
        })->orComputed();
    }

    /**
     * The circle through the stations: x along the wall, y out from it.
     *
     * @param  array{line: int, stations: list<array{int, int}>}|null  $stored
     */
    public static function round(?array $stored): ?Round
    {
        return $stored === null ? null : Round::of(array_map(fn (array $one) => new Point($one[0] / 1e6, ($stored['line'] - $one[1]) / 1e6), $stored['stations']), self::SIGMA);
    }
}
