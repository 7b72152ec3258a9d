<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\FittedShelf;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Strength\Bearing;
use Incastro\Strength\Board;
use Incastro\Strength\ShelfLoad;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Path;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\ShelfRest;
use Incastro\Units\Sites\CellSite;

/**
 * Shelves on pins between walls that are neither plumb nor parallel: upright strips are packed out to planes that are, as near to the
 * walls as the way in and a strip's thickness let them be, so that every shelf is a rectangle, goes in level and lifts out.
 */
final readonly class PackedShelves
{
    /** Width of a strip, and what it ends short of its cell, mm and inches. */
    private const STRIP = [60.0, 2.5];

    private const SHORT = [3.0, 0.125];

    /** From the edges of a shelf to the pins, mm and inches. */
    private const PINS = [37.0, 1.5];

    /** Behind the shelves, mm and inches. */
    private const AIR = [5.0, 0.1875];

    /** More packing than this wants shelves cut to the walls instead, mm and inches. */
    private const THICK = [25.0, 1.0];

    /** Places along a strip at which its wall is looked at. */
    private const PLACES = 8;

    private float $t;

    /** @param non-empty-list<FittedShelf> $shelves */
    public function __construct(private CellSite $site, private array $shelves, private ShelfLoad $load)
    {
        $this->t = $site->terms->board();
    }

    public function build(): Assembly
    {
        $terms = $this->site->terms;
        $corners = array_map(fn (FittedShelf $shelf): array => [$shelf->outline[0], ...array_slice($shelf->outline, -3)], $this->shelves);
        $behind = array_map(fn (FittedShelf $shelf): float => max([0.0, ...array_map(fn (Point $point) => $point->y, array_slice($shelf->outline, 0, -2))]), $this->shelves);
        [$back, $front] = [max($behind) + $terms->rules->either(...self::AIR)->toDouble(), $this->site->cell->face];
        $rows = ['F' => $front - $terms->rules->either(...self::PINS)->toDouble(), 'B' => $back + $terms->rules->either(...self::PINS)->toDouble()];
        $passes = $this->mouth();
        // A plane lies before the tightest corner, before what is passed on the way in, and so that a strip goes in behind it.
        $left = max([$passes[0], ...array_map(fn (array $of) => max($of[0]->x, $of[3]->x), $corners), ...array_map(fn (float $v) => $this->wall('left', $v) + $this->t, $rows)]);
        $right = min([$passes[1], ...array_map(fn (array $of) => min($of[1]->x, $of[2]->x), $corners), ...array_map(fn (float $v) => $this->wall('right', $v) - $this->t, $rows)]);
        $length = Working::start('between the packed planes', Length::ofDouble($right - $left))->minus('play, so that it drops in', $terms->rules->get(Rule::ShelfPlay));
        $depth = Working::start('from the air behind to its front', Length::ofDouble($front - $back));
        if ($right - $left < 4 * $this->t || $front - $back < 2 * $terms->rules->either(...self::STRIP)->toDouble()) {
            return new Assembly([], findings: [Finding::clash(Code::ShelfNoRoom, sprintf('Between packed strips %s is left for the shelves of %s.', $terms->write(max(0.0, $right - $left)), $this->site->mark), $this->site->owner())->withWaysOut([$this->onCleats()])]);
        }
        [$strips, $decisions, $findings] = $this->strips($left, $right, $rows);
        $placed = $joints = $bearings = [];
        foreach ($this->shelves as $shelf) {
            $piece = $this->site->make->inner("shelf-{$shelf->index}", 'Shelf', $length, $depth, Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::Banded)], ['on four pins']);
            $one = new Placed($piece, Pose::at(($left + $right - $piece->length->result->toDouble()) / 2, $front - $piece->width->result->toDouble(), $shelf->z, Way::Right, Way::Out, Way::Up), Part::Loose, $this->site->owner());
            $placed[] = $one;
            array_push($joints, ...array_map(fn (Placed $strip) => new Joint($piece->key, $strip->piece->key, JointKind::Pins, 'shelves between strips'), $strips));
            array_push($bearings, ...$this->bearing($one));
        }
        $screws = new Screws($terms->materials, $terms->format);

        return new Assembly([...$placed, ...$strips], $joints, array_map(fn (Placed $strip) => $screws->toWall($strip->piece, 'strips to the wall'), $strips), $decisions, $findings, bearings: $bearings);
    }

    /**
     * From where to where the way in is free at the height of the shelves, mm.
     *
     * @return array{float, float}
     */
    private function mouth(): array
    {
        $frame = $this->site->run->frame;
        $from = $to = [];
        foreach ($this->shelves as $shelf) {
            $span = $frame->span(new Path($this->site->cell->face, max($this->site->cell->face, $frame->mouth()), $shelf->z, $shelf->z + $this->t));
            [$from[], $to[]] = [$span->left + $span->doubt / 2, $span->right - $span->doubt / 2];
        }

        return [max($from), min($to)];
    }

    /** The farthest that the wall at a side comes in along a strip so far out, mm. */
    private function wall(string $side, float $v): float
    {
        $cell = $this->site->cell;
        $half = $this->site->terms->rules->either(...self::STRIP)->toDouble() / 2;
        $isEnd = $side === 'left' ? abs($cell->u - $this->site->run->left) < 1.0 : abs($cell->end() - $this->site->run->right) < 1.0;
        if (! $isEnd || ! $this->site->run->ends->isWall($side)) {
            return $side === 'left' ? $cell->u : $cell->end();
        }
        $frame = $this->site->run->frame;
        $high = min($cell->left, $cell->right);
        $at = [];
        foreach ([$v - $half, $v + $half] as $y) {
            for ($k = 0; $k <= self::PLACES; $k++) {
                $z = $cell->z + $k * $high / self::PLACES;
                $at[] = $side === 'left' ? $frame->leftAt($y, $z) : $frame->rightAt($y, $z);
            }
        }

        return $side === 'left' ? max($at) : min($at);
    }

    /**
     * @param  array{F: float, B: float}  $rows
     * @return array{list<Placed>, array<string, Working>, list<Finding>}
     */
    private function strips(float $left, float $right, array $rows): array
    {
        $terms = $this->site->terms;
        $cell = $this->site->cell;
        $wide = $terms->rules->either(...self::STRIP);
        $strips = $decisions = $findings = [];
        foreach (['L' => ['left', $left], 'R' => ['right', $right]] as $hand => [$side, $plane]) {
            foreach ($rows as $row => $v) {
                $role = "strip-$hand$row";
                $x = $hand === 'L' ? $plane - $this->t : $plane;
                $length = Working::start('height of its cell', Length::ofDouble(min($cell->left, $cell->right)))->atMost('ceiling over it', Length::ofDouble($this->under($x, $v - $wide->toDouble() / 2)))->minus('short of it', $terms->rules->either(...self::SHORT));
                $piece = $this->site->make->inner($role, 'Packing strip', $length, Working::start('width of a strip', $wide), Purpose::Carcass, Grain::Length, [], ['its face plumb and in line with the others, packed behind, screwed to the wall']);
                $strips[] = new Placed($piece, Pose::at($x, $v - $piece->width->result->toDouble() / 2, $cell->z, Way::Up, Way::Out, Way::Right), Part::Cleat, $this->site->owner());
                $gap = max(0.0, abs($plane - $this->wall($side, $v)) - $this->t);
                $pack = ShimPack::under($gap, $terms->rules);
                $decisions += $pack === null ? [] : ["Behind $piece->mark, where its wall comes in most" => $pack];
                if ($gap > $terms->rules->either(...self::THICK)->toDouble()) {
                    $findings[] = Finding::warning(Code::StripThick, sprintf('Behind %s %s of packing is needed: shelves cut to the walls would be as wide as they leave.', $piece->mark, $terms->write($gap)), $this->site->owner())->withWaysOut([$this->onCleats()]);
                }
            }
        }

        return [$strips, $decisions, $findings];
    }

    /** How high a strip may be under the ceiling, of which so much is in doubt, mm. */
    private function under(float $x, float $v): float
    {
        $frame = $this->site->run->frame;
        $free = fn (float $u): float => $frame->ceilingAt($u, $v) - Normal::ONE_SIDED_95 * $frame->ceilingSigmaAt($u, $v) - $this->site->cell->z;

        return min($free($x), $free($x + $this->t));
    }

    private function onCleats(): WayOut
    {
        return new WayOut('Lay them on cleats, cut to the walls', Edits::tier($this->site->owner())->setting(['rest' => ShelfRest::Cleats->value]));
    }

    /** @return list<Bearing> */
    private function bearing(Placed $shelf): array
    {
        $of = $this->site->terms->materials->carcass;

        return $of->wood === null ? [] : [
            new Bearing($shelf->piece->mark, $this->site->owner(), new Board($of->wood->strength(), $of->density, $shelf->piece->width->result->toDouble(), $this->t, $shelf->piece->length->result->toDouble(), $this->load->aMetre()), $this->load->words(), Edits::tier($this->site->owner()), null),
        ];
    }
}
