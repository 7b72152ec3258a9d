<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Wall;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\OpenedThrough;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;

/** The boards over the framing of a wall, upright, side by side: laid whole over the opening, and trimmed flush with it. */
final readonly class Skin
{
    /** Uprights to a board. */
    private const UPRIGHTS = 3;

    /** Where a last board would be narrower, the first ends on an upright sooner; mm and inches. */
    private const LEAST = [200.0, 8.0];

    public function __construct(private SurfaceSite $site, private Working $wide, private Working $high, private Length $below, private Length $above, private ?RoughOpening $hole)
    {
    }

    /**
     * @param  float  $front  of the framing
     * @param  Length  $board  how wide the boards are sold
     * @return list<Placed>
     */
    public function build(float $front, Length $board): array
    {
        $tall = $this->high->minus('over the floor', $this->below)->minus('under the ceiling', $this->above)->roundedDown($this->site->terms->format);
        $placed = [];
        foreach ($this->widths($board) as $i => [$left, $width]) {
            $whole = Outline::rectangle(0.0, 0.0, $tall->result->toDouble(), $width->roundedDown($this->site->terms->format)->result->toDouble());
            foreach ($this->cut($whole, $left) as $k => $outline) {
                [$x0, $x1, $y0, $y1] = $outline->bounds();
                $isWhole = abs($outline->area() - $whole->area()) < 1.0;
                $length = $x1 - $x0 > $tall->result->toDouble() - 0.5 ? $tall : Working::start('beside the opening', Length::ofDouble($x1 - $x0));
                $piece = $this->site->make->inner('skin-'.($i + 1).($k === 0 ? '' : '-'.($k + 1)), 'Board of the skin', $length, $y1 - $y0 > $width->result->toDouble() - 1.5 ? $width : Working::start('beside the opening', Length::ofDouble($y1 - $y0)), Purpose::Lining, Grain::Length, $isWhole ? [] : [new OpenedThrough('trimmed flush with the opening, once it is up')], ['screwed every 150 mm or 6 in at its edges, twice that within'], $isWhole ? null : $outline->moved(-$x0, -$y0));
                $placed[] = $this->site->placed($piece, $left + $y0, $front, $this->below->toDouble() + $x0, Way::Up, Way::Right, Part::Cladding);
            }
        }

        return $placed;
    }

    /**
     * What covers the sides of the framing where they are seen, under the front boards.
     *
     * @param  array{left: bool, right: bool}  $sides
     * @param  Working  $front  of the framing
     * @return list<Placed>
     */
    public function returns(array $sides, Working $front): array
    {
        $tall = $this->high->minus('over the floor', $this->below)->minus('under the ceiling', $this->above);
        $placed = [];
        foreach (array_keys(array_filter($sides)) as $side) {
            $piece = $this->site->make->inner("return-$side", 'Return of the skin', $tall, $front, Purpose::Lining, Grain::Length, [new Finished('back, long', Finish::TouchesHouse)], ['on the side of the framing, under the front boards']);
            $placed[] = $this->site->placedTo($piece, $side === 'left' ? 0.0 : $this->wide->result->toDouble() - $piece->thickness->toDouble(), $front->result->toDouble() - $piece->width->result->toDouble(), $this->below->toDouble(), Way::Up, Way::Out, Way::Right, Part::Cladding);
        }

        return $placed;
    }

    /** @return non-empty-list<array{float, Working}> left side and width of each board; joints lie on the grid of the uprights */
    private function widths(Length $board): array
    {
        $long = $this->wide->result->toDouble();
        $whole = $board->toDouble();
        $n = max(1, (int) ceil($long / $whole - 1e-9));
        $rest = $long - ($n - 1) * $whole;
        if ($n === 1) {
            return [[0.0, $this->wide]];
        }
        $least = $this->site->terms->rules->either(...self::LEAST)->toDouble();
        $first = $whole;
        for ($k = self::UPRIGHTS - 1; $k > 0 && $rest < $least; $k--) {
            $first = $k * $whole / self::UPRIGHTS;
            $rest = fmod($long - $first - 1e-6, $whole);
        }
        $widths = [];
        for ($at = 0.0; $long - $at > 1e-6; $at += $own) {
            $own = min($at === 0.0 ? $first : $whole, $long - $at);
            $widths[] = [$at, abs($own - $whole) < 1e-6 ? Working::start('width of a board', $board) : ($long - $at - $own < 1e-6 ? Working::start('what is left of the wall', Length::ofDouble($own)) : Working::start('to an upright', Length::ofDouble($own)))];
        }

        return $widths === [] ? [[0.0, $this->wide]] : $widths;
    }

    /** @return list<Outline> what the opening leaves of a board whose left side is there: x up, y to the right */
    private function cut(Outline $whole, float $left): array
    {
        if ($this->hole === null) {
            return [$whole];
        }
        $foot = $this->hole->z - $this->below->toDouble();
        $corner = [$foot < 1.0 ? -10.0 : $foot, $foot + $this->hole->height];

        return $whole->minus(new Polygon([
            new Point($corner[0], $this->hole->x - $left), new Point($corner[1], $this->hole->x - $left),
            new Point($corner[1], $this->hole->right() - $left), new Point($corner[0], $this->hole->right() - $left),
        ]));
    }
}
