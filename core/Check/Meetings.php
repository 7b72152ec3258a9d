<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Box;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Fit\Layout\UnitKind;
use Incastro\Fit\Terms;
use Incastro\Geometry\Block;
use Incastro\Measure\Length;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;

/** Where furniture meets furniture of another run, or the leaf of a door of the room. */
final readonly class Meetings
{
    /** Less than this is a touch, mm. */
    private const TOUCH = 1.0;

    /** Sides of the outline of a door's swing. */
    private const SWING_STEPS = 8;

    public function __construct(private FittedLayout $layout, private Terms $terms)
    {
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [...$this->bodies(), ...$this->doors()];
    }

    /** @return list<Finding> */
    private function bodies(): array
    {
        $findings = [];
        foreach ($this->layout->runs as $r => $run) {
            foreach (array_slice($this->layout->runs, 0, $r) as $before) {
                foreach (self::of($run) as [$id, $name, $block]) {
                    foreach (self::of($before) as [$otherId, $otherName, $otherBlock]) {
                        $by = Footprint::of($run->frame, $block)->overlap(Footprint::of($before->frame, $otherBlock));
                        if ($by > self::TOUCH) {
                            $findings[] = $this->overlapping($run, $id, $name, $otherId, $otherName, $by);
                        }
                    }
                }
            }
        }

        return $findings;
    }

    /** @return list<array{string, string, Block}> what a run puts into the room: id, what it is called in a sentence, and where it is */
    private static function of(FittedRun $run): array
    {
        $bodies = array_map(fn (Box $box) => [$box->id, 'box '.$box->mark(), $box->block()], $run->boxes);
        foreach ($run->cells as $cell) {
            if ($cell->tier->unit === UnitKind::Shelves) {
                $bodies[] = [$cell->tier->id, 'shelves', $cell->block()];
            }
        }

        return $bodies;
    }

    private function overlapping(FittedRun $run, string $id, string $name, string $otherId, string $otherName, float $by): Finding
    {
        $ways = [];
        foreach (['left' => $run->run->left, 'right' => $run->run->right] as $end => $is) {
            if ($is === RunEnd::Through) {
                $ways[] = new WayOut("Let its $end end stop at the other run", new Edit("layout.runs.{$run->run->id}.$end", RunEnd::Stops->value));
            }
        }
        $ways[] = self::withoutRun($run);

        return Finding::clash('overlap', sprintf('Where two runs meet, %s would stand %s inside %s of another run.', $name, $this->terms->write($by), $otherName), $id)->about([$otherId])->withWaysOut($ways);
    }

    public static function withoutRun(FittedRun $run): WayOut
    {
        return new WayOut('Take this run away', new Edit('layout.do', ['action' => 'remove-run', 'cell' => $run->run->id, 'seed' => 'remove-'.$run->run->id]));
    }

    /** @return list<Finding> */
    private function doors(): array
    {
        $findings = [];
        foreach ($this->terms->room->things as $thing) {
            $swing = $thing->kind === ThingKind::Door && $thing->rule !== ThingRule::Removed ? $this->swing($thing) : null;
            if ($swing === null) {
                continue;
            }
            foreach ($this->layout->runs as $run) {
                foreach ($run->boxes as $box) {
                    $by = $swing->overlap(Footprint::of($run->frame, $box->block()));
                    if ($by > self::TOUCH) {
                        $findings[] = $this->struck($thing, $run, $box, $by);
                    }
                }
            }
        }

        return $findings;
    }

    /** The quarter turn of a door's leaf into the room; null for one that slides. */
    private function swing(Thing $thing): ?Footprint
    {
        if ($thing->swing !== 'left' && $thing->swing !== 'right') {
            return null;
        }
        $frame = $this->terms->room->frame($thing->wall);
        $left = $thing->left($frame->length());
        [$hinge, $turns] = $thing->swing === 'left' ? [$left, 1.0] : [$left + $thing->width, -1.0];
        $points = [$frame->point($hinge, 0.0)];
        for ($i = 0; $i <= self::SWING_STEPS; $i++) {
            $angle = M_PI / 2 * $i / self::SWING_STEPS;
            $points[] = $frame->point($hinge + $turns * $thing->width * cos($angle), $thing->width * sin($angle));
        }

        return new Footprint($points, 0.0, $thing->height);
    }

    private function struck(Thing $thing, FittedRun $run, Box $box, float $by): Finding
    {
        $depth = $run->depth->result->minus(Length::ofDouble($by + self::TOUCH))->roundedDown($this->terms->format->step);
        $ways = [];
        foreach ($run->cells as $cell) {
            if ($cell->boxId === $box->id) {
                $ways[] = new WayOut('Leave an open gap there', new Edit("layout.tiers.{$cell->tier->id}.unit", 'open'));
            }
        }
        if ($depth->isGreaterThan(Length::ofMillimetres(150))) {
            array_unshift($ways, new WayOut(sprintf('Make the run %s deep', $this->terms->format->write($depth)), new Edit("layout.runs.{$run->run->id}.depth", ['nm' => $depth->nanometres(), 'typed' => ''])));
        }
        $ways[] = new WayOut(ucfirst($thing->name).' will slide instead', new Edit("things.$thing->id.swing", 'slides'));

        return Finding::clash('door-swing', sprintf('%s strikes box %s when it opens: the box stands %s inside its swing.', ucfirst($thing->name), $box->mark(), $this->terms->write($by)), $box->id)->about([$thing->id])->withWaysOut($ways);
    }
}
