<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Box;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Holds\RestsOnWalls;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;

/** Where furniture meets furniture of another run, stands before it, or meets the leaf of a door of the room. */
final readonly class Meetings
{
    /** Less than this is a touch, mm. */
    private const TOUCH = 1.0;

    /** What stands so near before a front closes it, mm: nobody stands in between. */
    private const BEFORE = 450.0;

    /** A front is not spoken of for less than this, mm. */
    private const HIDDEN = 30.0;

    /** Through less of a front than this nothing goes in or out, mm. */
    private const OPEN = 200.0;

    public function __construct(private FittedLayout $layout, private Terms $terms)
    {
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [...$this->bodies(), ...$this->fronts(), ...$this->doors()];
    }

    /** @return list<Finding> */
    private function bodies(): array
    {
        $findings = [];
        $bodies = array_map(self::of(...), $this->layout->runs);
        foreach ($this->layout->runs as $r => $run) {
            foreach (array_slice($bodies, 0, $r) as $before) {
                foreach ($bodies[$r] as [$id, $name, $body]) {
                    foreach ($before as [$otherId, $otherName, $other]) {
                        $by = $body->overlap($other);
                        if ($by > self::TOUCH) {
                            $findings[] = $this->overlapping($run, $id, $name, $otherId, $otherName, $by);
                        }
                    }
                }
            }
        }

        return $findings;
    }

    /** @return list<array{string, string, Footprint}> what a run puts into the room: id, what it is called in a sentence, and where it is */
    private static function of(FittedRun $run): array
    {
        $bodies = array_map(fn (Box $box) => [$box->id, 'box '.$box->mark, Footprint::of($run->frame, $box->block())], $run->boxes);
        foreach ($run->cells as $cell) {
            if ($cell->tier->holds instanceof RestsOnWalls) {
                $bodies[] = [$cell->tier->id, lcfirst($cell->label()), Footprint::of($run->frame, $cell->block())];
            }
        }

        return $bodies;
    }

    /** @return list<Finding> boxes before which, in a corner, those of another run stand */
    private function fronts(): array
    {
        $findings = [];
        foreach ($this->layout->runs as $run) {
            $others = self::seenFrom($run, $this->layout->runs);
            foreach ($run->boxes as $box) {
                $by = [];
                foreach ($others as [$before, $along, $out]) {
                    $wide = self::hides($box, $before, $along, $out);
                    $end = min($along) + max($along) < $box->u + $box->right() ? 'left' : 'right';
                    if ($wide > max(self::HIDDEN, $by[$end][0] ?? 0.0)) {
                        $by[$end] = [$wide, $before];
                    }
                }
                if ($by !== []) {
                    $findings[] = $this->behind($run, $box, $by);
                }
            }
        }

        return $findings;
    }

    /**
     * The boxes of all other runs, with how far along a run and how far out from its wall their corners lie.
     *
     * @param  list<FittedRun>  $runs
     * @return list<array{Box, non-empty-list<float>, non-empty-list<float>}>
     */
    private static function seenFrom(FittedRun $run, array $runs): array
    {
        $seen = [];
        foreach ($runs as $other) {
            foreach ($other === $run ? [] : $other->boxes as $box) {
                $places = array_map($run->frame->place(...), Footprint::of($other->frame, $box->block())->points);
                $seen[] = [$box, array_column($places, 0), array_column($places, 1)];
            }
        }

        return $seen;
    }

    /**
     * How much of a box's front another one stands before, mm; 0 where it does not.
     *
     * @param  non-empty-list<float>  $along
     * @param  non-empty-list<float>  $out
     */
    private static function hides(Box $box, Box $before, array $along, array $out): float
    {
        $stands = min($out) - $box->face();
        $isBefore = $stands > -self::HIDDEN && $stands < self::BEFORE && min($box->highest(), $before->highest()) - max($box->z, $before->z) > self::HIDDEN;

        return $isBefore ? min($box->right(), max($along)) - max($box->u, min($along)) : 0.0;
    }

    /** @param non-empty-array<'left'|'right', array{float, Box}> $by how much each hides from its end, mm */
    private function behind(FittedRun $run, Box $box, array $by): Finding
    {
        $width = $box->outerWidth()->toDouble();
        $open = max(0.0, $width - array_sum(array_column($by, 0)));
        $before = array_column($by, 1);
        $names = implode(' and ', array_map(fn (Box $one) => 'box '.$one->mark, $before));
        $ids = array_map(fn (Box $one) => $one->id, $before);
        if ($open >= self::OPEN) {
            return Finding::note(Code::BlindCorner, sprintf('A blind corner: %s before box %s, which is reached through %s of its %s. It is for what is seldom needed; or leave the corner open.', $names.(count($by) === 1 ? ' stands' : ' stand'), $box->mark, $this->terms->write($open), $this->terms->write($width)), $box->id)->about($ids);
        }
        $ways = array_map(fn (string $end) => new WayOut("Let the run leave the corner at its $end end open", Edits::run($run->run->id)->with($end, RunEnd::Corner->value)), array_keys($by));

        return Finding::clash(Code::FrontClosed, sprintf('%s %s the front of box %s: %s of its %s would stay open, and nothing goes in or out.', ucfirst($names), count($by) === 1 ? 'closes' : 'close', $box->mark, $this->terms->write($open), $this->terms->write($width)), $box->id)
            ->about($ids)
            ->withWaysOut([...$ways, self::withoutRun($run)]);
    }

    private function overlapping(FittedRun $run, string $id, string $name, string $otherId, string $otherName, float $by): Finding
    {
        $ways = [];
        foreach (['left' => $run->run->left, 'right' => $run->run->right] as $end => $is) {
            if ($is === RunEnd::Through) {
                $ways[] = new WayOut("Let its $end end stop at the other run", Edits::run($run->run->id)->with($end, RunEnd::Stops->value));
            }
        }
        $ways[] = self::withoutRun($run);

        return Finding::clash(Code::Overlap, sprintf('Where two runs meet, %s would stand %s inside %s of another run.', $name, $this->terms->write($by), $otherName), $id)->about([$otherId])->withWaysOut($ways);
    }

    public static function withoutRun(FittedRun $run): WayOut
    {
        return new WayOut('Take this run away', Edits::action('remove-run', $run->run->id, 'remove-'.$run->run->id));
    }

    /** @return list<Finding> */
    private function doors(): array
    {
        $findings = [];
        foreach ($this->terms->room->things as $thing) {
            $leaf = $thing->kind === ThingKind::Door && $thing->rule !== ThingRule::Removed ? $this->terms->room->swing($thing) : null;
            if ($leaf === null) {
                continue;
            }
            $swing = new Footprint($leaf, 0.0, $thing->height);
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

    private function struck(Thing $thing, FittedRun $run, Box $box, float $by): Finding
    {
        $depth = $run->depth->result->minus(Length::ofDouble($by + self::TOUCH))->roundedDown($this->terms->format->step);
        $ways = [];
        foreach ($run->cells as $cell) {
            if ($cell->boxId === $box->id) {
                $ways[] = new WayOut('Leave an open gap there', Edits::tier($cell->tier->id)->emptied());
            }
        }
        if ($depth->isGreaterThan(Length::ofMillimetres(150))) {
            array_unshift($ways, new WayOut(sprintf('Make the run %s deep', $this->terms->format->write($depth)), Edits::run($run->run->id)->measuring('depth', $depth)));
        }
        $ways[] = new WayOut(ucfirst($thing->name).' will slide instead', Edits::thing($thing->id)->with('swing', 'slides'));

        return Finding::clash(Code::DoorSwing, sprintf('%s strikes box %s when it opens: the box stands %s inside its swing.', ucfirst($thing->name), $box->mark, $this->terms->write($by)), $box->id)->about([$thing->id])->withWaysOut($ways);
    }
}
