<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Dimension;
use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\Label;
use Incastro\Drawing\Outline;
use Incastro\Drawing\Shape;
use Incastro\Drawing\Style;

/** The few shapes that drawings of sums are put together of; mm. */
final class Sketch
{
    public static function board(float $x, float $y, float $wide, float $high): Shape
    {
        return Outline::rectangle($x, $y, max(0.1, $wide), max(0.1, $high), Style::Board);
    }

    public static function frame(float $x, float $y, float $wide, float $high): Shape
    {
        return Outline::rectangle($x, $y, max(0.1, $wide), max(0.1, $high), Style::House);
    }

    /** @param list<array{float, float}> $points */
    public static function line(array $points, bool $isClosed = false, Style $style = Style::House): Shape
    {
        return new Outline(array_map(fn (array $point) => new DrawnPoint(...$point), $points), $isClosed, $style);
    }

    public static function across(float $from, float $to, float $y, string $text): Shape
    {
        return new Dimension(new DrawnPoint($from, $y), new DrawnPoint($to, $y), $text);
    }

    /** A dimension that is the answer. */
    public static function answer(float $from, float $to, float $y, string $text): Shape
    {
        return new Dimension(new DrawnPoint($from, $y), new DrawnPoint($to, $y), $text, style: Style::Answer);
    }

    public static function up(float $x, float $from, float $to, string $text): Shape
    {
        return new Dimension(new DrawnPoint($x, $from), new DrawnPoint($x, $to), $text);
    }

    public static function label(float $x, float $y, string $text, ?float $room = null): Shape
    {
        return new Label(new DrawnPoint($x, $y), $text, Style::Answer, room: $room);
    }
}
