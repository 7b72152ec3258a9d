<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unreadable;

/**
 * The section of a thing as it was traced, with a card or a profile gauge: "oval", or its corners one after another from its
 * own lower left corner, "0 x 0; 60 x 0; 60 x 50; 0 x 30". Stored as `{typed, corners: [[nm, nm], …]}`, without corners for
 * an oval.
 */
final class TracedSection
{
    private const MOST = 40;

    private const OVAL = 'oval';

    public static function field(LengthFormat $format): Field
    {
        return Field::of('Traced section', function (mixed $value) use ($format): array {
            if (is_array($value)) {
                $value = $value['typed'] ?? null;
            }
            $typed = is_string($value) ? trim($value) : '';

            return ['typed' => $typed, 'corners' => strtolower($typed) === self::OVAL ? [] : self::corners($typed, new LengthReader($format->unit))];
        })->orComputed();
    }

    /**
     * @param  array{typed: string, corners: list<array{int, int}>}|null  $stored
     * @param  array{float, float}  $size  of an oval, mm
     */
    public static function read(?array $stored, array $size): ?Polygon
    {
        if ($stored === null) {
            return null;
        }
        $mm = fn (int $nm): float => Length::ofNanometres($nm)->toDouble();

        return $stored['corners'] === []
            ? Polygon::oval(new Point($size[0] / 2, $size[1] / 2), $size[0], $size[1])
            : new Polygon(array_map(fn (array $corner) => new Point($mm($corner[0]), $mm($corner[1])), $stored['corners']));
    }

    /**
     * @return list<array{int, int}>
     *
     * @throws Unreadable
     */
    private static function corners(string $typed, LengthReader $reader): array
    {
        $corners = [];
        foreach (array_filter(array_map(trim(...), explode(';', $typed)), fn (string $part) => $part !== '') as $i => $part) {
            $pair = preg_split('/\s*[x×]\s*/u', $part) ?: [];
            if (count($pair) !== 2) {
                throw new Unreadable(sprintf('Corner %d was understood as “%s”. Type how far across and how far up or out it lies, such as 60 x 50, and a semicolon before the next; or the word oval.', $i + 1, $part));
            }
            $corners[] = [$reader->read($pair[0])->nanometres(), $reader->read($pair[1])->nanometres()];
        }
        if (count($corners) < 3 || count($corners) > self::MOST) {
            throw new Unreadable(sprintf('There are %d corners. It takes 3 to %d, such as 0 x 0; 60 x 0; 60 x 50; or the word oval.', count($corners), self::MOST));
        }
        $polygon = new Polygon(array_map(fn (array $corner) => new Point($corner[0] / 1e6, $corner[1] / 1e6), $corners));
        $crossing = $polygon->crossing();
        if ($crossing !== null) {
            throw new Unreadable(sprintf('The sides after corner %d and after corner %d cross. Type the corners in the order in which one goes round.', $crossing[0] + 1, $crossing[1] + 1));
        }
        if ($polygon->area() < 1.0) {
            throw new Unreadable('Its corners lie on one line. Type them in the order in which one goes round.');
        }

        return $corners;
    }
}
