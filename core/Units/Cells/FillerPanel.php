<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\CellSite;

/** A panel in the plane of the face that closes a cell, on cleats behind it. */
#[About('filler-panel', 'Filler panel', 'A panel in the plane of the face closes it.', 'Boards', 'F')]
final readonly class FillerPanel implements CellUnit
{
    private const CLEAT = 30;

    /** A panel narrower or lower than this is not sawn, mm. */
    private const LEAST = 10;

    public function standing(): Standing
    {
        return Standing::Built;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        $sawn = Extent::atLeast(Length::ofMillimetres(self::LEAST), 'a panel of less than %s is not sawn');

        return new CellDemand($sawn, $sawn, Extent::any());
    }

    public function build(CellSite $site): Assembly
    {
        $cell = $site->cell;
        $t = $site->terms->materials->frame->thickness->toDouble();
        $board = $site->terms->board();
        $make = $site->make;
        $frame = $site->run->frame;
        // Where the ceiling comes down towards the wall, it is lower behind the panel's face.
        $drop = fn (float $u, float $behind): float => max(0.0, $frame->ceilingAt($u, $cell->face) - $frame->ceilingAt($u, $cell->face - $behind));
        [$left, $right] = [$cell->left - $drop($cell->u, $t), $cell->right - $drop($cell->end(), $t)];
        if (min($left, $right) < self::LEAST) {
            return new Assembly([], findings: [Finding::clash(Code::TooThin, 'The slope behind its face leaves a filler panel no room. Give the tier more, or leave an open gap.', $cell->tier->id)->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($cell->tier->id)->emptied())])]);
        }
        $length = abs($left - $right) < 1e-6 ? $cell->height : Working::start('height at its high side', Length::ofDouble(max($cell->left, $cell->right)));
        $less = max($cell->left, $cell->right) - max($left, $right);
        $length = $less > 1e-6 ? $length->minus('the slope behind its face', Length::ofDouble($less)) : $length;
        $wide = $cell->width->result->toDouble();
        $outline = new Outline(Polygon::raked($left, $right, $wide));
        $piece = $make->inner('panel', 'Filler panel', $length, $cell->width, Purpose::Frame, Grain::Length, [], ['on cleats set back by its thickness'], $outline);
        $placed = [new Placed($piece, Pose::at($cell->u, $cell->face - $t, $cell->z, Way::Up, Way::Right, Way::Out), Part::Face, $cell->tier->id)];
        $joints = [];
        $line = new Polyline([new Point($cell->u, $cell->left), new Point($cell->end(), $cell->right)]);
        $places = ['left' => $cell->u, 'right' => $cell->end() - $board];
        foreach ($wide < 3 * $board ? array_slice($places, 0, 1) : $places as $at => $u) {
            if ($wide < $board || $cell->face - $cell->back < $t + self::CLEAT) {
                continue;
            }
            $fits = min($line->at($u) - $drop($u, $t + self::CLEAT), $line->at($u + $board) - $drop($u + $board, $t + self::CLEAT));
            if ($fits < self::CLEAT) {
                continue;
            }
            $cleat = $make->inner("cleat-$at", 'Cleat', Working::start('height of the panel there', Length::ofDouble($fits)), Working::start('cleat width', Length::ofMillimetres(self::CLEAT)), Purpose::Carcass, Grain::Any);
            $placed[] = new Placed($cleat, Pose::at($u, $cell->face - $t - self::CLEAT, $cell->z, Way::Up, Way::Out, Way::Right), Part::Cleat, $cell->tier->id);
            $joints[] = new Joint($cleat->key, $piece->key, JointKind::Screws, 'filler panels to cleats');
        }

        return new Assembly($placed, $joints);
    }
}
