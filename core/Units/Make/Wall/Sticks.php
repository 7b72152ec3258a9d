<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Wall;

use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;

/** The timbers that a wall is framed of, laid into its place; mm. */
final readonly class Sticks
{
    /** Width of what is ripped from a sheet, mm and inches. */
    private const RIPPED = [63.0, 2.5];

    public Length $thick;

    public Length $wide;

    public function __construct(public SurfaceSite $site)
    {
        $material = $site->terms->materials->for(Purpose::Rail);
        $this->thick = $material->thickness;
        $this->wide = $material instanceof Lineal ? $material->width : $site->terms->rules->either(...self::RIPPED);
    }

    /**
     * The parts that what runs through is made of where it is longer than anything is made, each with its joint at the last of these places.
     *
     * @param  list<float>  $joints  where two may meet, from its beginning, mm
     * @return non-empty-list<array{float, Working}> where each begins, and how long it is
     */
    public function parts(Working $length, array $joints = []): array
    {
        $longest = $this->site->terms->rule(Rule::LongestPiece);
        $long = $length->result->toDouble();
        $from = 0.0;
        $parts = [];
        while ($long - $from > $longest) {
            $near = array_filter($joints, fn (float $at) => $at > $from + $longest / 2 && $at <= $from + $longest);
            $to = Length::ofDouble($near === [] ? min($from + $longest, ($from + $long) / 2) : max($near))->roundedDown($this->site->terms->format->step)->toDouble();
            $parts[] = [$from, Working::start($near === [] ? 'a part of it' : 'to the joint over an upright', Length::ofDouble($to - $from))];
            $from = $to;
        }

        return [...$parts, [$from, $from > 0.0 ? $length->minus('what is before the joint', Length::ofDouble($from)) : $length]];
    }

    /** On edge and upright: its thickness along the wall. */
    public function upright(string $role, string $name, Working $length, float $x, float $y, float $z, string $how): Placed
    {
        return $this->site->placedTo($this->piece($role, $name, $length, $how), $x, $y, $z, Way::Up, Way::Out, Way::Right, Part::Cleat);
    }

    /** Lying level on its face: its thickness up. */
    public function lying(string $role, string $name, Working $length, float $x, float $y, float $z, string $how): Placed
    {
        return $this->site->placedTo($this->piece($role, $name, $length, $how), $x, $y, $z, Way::Right, Way::Out, Way::Up, Part::Cleat);
    }

    /** Level, flat against what is behind it. */
    public function flatLevel(string $role, string $name, Working $length, float $x, float $y, float $z, string $how): Placed
    {
        return $this->site->placed($this->piece($role, $name, $length, $how), $x, $y, $z, Way::Right, Way::Up, Part::Cleat);
    }

    /** Upright, flat against what is behind it. */
    public function flatUpright(string $role, string $name, Working $length, float $x, float $y, float $z, string $how): Placed
    {
        return $this->site->placed($this->piece($role, $name, $length, $how), $x, $y, $z, Way::Up, Way::Right, Part::Cleat);
    }

    /** Out from the wall, on edge: its thickness along it. */
    public function out(string $role, string $name, Working $length, float $x, float $y, float $z, string $how): Placed
    {
        return $this->site->placedTo($this->piece($role, $name, $length, $how), $x, $y, $z, Way::Out, Way::Up, Way::Right, Part::Cleat);
    }

    /** Level behind what lies flat, ripped from a timber as wide as the packing is thick. */
    public function packing(string $role, Working $length, Working $thick, float $x, float $z): Placed
    {
        $piece = $this->site->make->inner($role, 'Packing strip', $length, $thick, Purpose::Rail, Grain::Length, [], ['ripped from timber, behind its rail to every stud found; shims where the wall lies back']);

        return $this->site->placedTo($piece, $x, 0.0, $z, Way::Right, Way::Out, Way::Up, Part::Cleat);
    }

    private function piece(string $role, string $name, Working $length, string $how): Piece
    {
        return $this->site->make->inner($role, $name, $length, Working::start('width of the timber', $this->wide), Purpose::Rail, Grain::Length, [], [$how]);
    }
}
