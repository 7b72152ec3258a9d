<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\Holds\ComesOff;
use Incastro\Fit\Terms;
use Incastro\Geometry\Solid;
use Incastro\Pieces\Works\Scribed;
use Incastro\Rules\Finding;
use Incastro\Survey\Room\Enclosure;
use Incastro\Survey\Room\RunFrame;
use Incastro\Units\Assembly;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * Everything that is planned for a space, put together as solids: no two share more than a touch beyond what a joint grants,
 * none stands outside the room as found, in a thing or in what is kept clear for one, and every joint's partners meet. What
 * fails is a clash of its owners, told once for every pair of them by its worst place.
 */
final class Assembled
{
    /** What two solids may share, and what one may stand outside, mm: less than a saw's own doubt. */
    public const TOUCH = 0.5;

    private Collisions $collisions;

    /**
     * @param  list<Assembly>  $assemblies  of each run, and then of each surface
     * @param  list<string>  $openings  things for which an opening is cut
     * @param  list<Finding>  $found  already: what they say is not said again
     */
    public function __construct(private readonly FittedLayout $layout, private readonly array $assemblies, private readonly Terms $terms, private readonly array $openings, array $found = [])
    {
        $this->collisions = new Collisions($layout, $terms, $found);
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        $all = [...array_map(fn (FittedRun $run) => [$run->frame, $run, false], $this->layout->runs), ...array_map(fn (FittedSurface $surface) => [$surface->frame, null, $surface->surface->holds instanceof ComesOff], $this->layout->surfaces)];
        foreach ($all as $i => [$frame, $run, $comesOff]) {
            $own = $this->assemblies[$i]->placed;
            $this->within($this->assemblies[$i]);
            $this->fixtures($this->assemblies[$i]);
            $this->outside($frame, $run, $own);
            (new KeptClear($frame, $this->terms, $this->openings, $this->collisions))->look($own, $comesOff);
            foreach (array_slice($all, 0, $i, true) as $o => [$other]) {
                $this->between($frame, $own, $other, $this->assemblies[$o]->placed);
            }
        }

        return $this->collisions->findings();
    }

    /** Pieces of one run among each other. */
    private function within(Assembly $assembly): void
    {
        $grants = $assembly->grants();
        $placed = $assembly->placed;
        usort($placed, fn (Placed $a, Placed $b) => $a->bounds->u0 <=> $b->bounds->u0);
        foreach ($placed as $i => $a) {
            for ($j = $i + 1; $j < count($placed); $j++) {
                $b = $placed[$j];
                if ($b->bounds->u0 > $a->bounds->u1 - self::TOUCH) {
                    break;
                }
                if (! $a->bounds->meets($b->bounds, self::TOUCH)) {
                    continue;
                }
                $by = $a->overlap($b, self::TOUCH) - ($grants[$a->piece->key.'|'.$b->piece->key] ?? 0.0);
                if ($by > self::TOUCH) {
                    $this->collisions->overlapping($a, $b, $by);
                }
            }
        }
        $byKey = $assembly->byKey();
        foreach ($assembly->joints as $joint) {
            [$a, $b] = [$byKey[$joint->a] ?? null, $byKey[$joint->b] ?? null];
            if ($a === null || $b === null || ! $joint->kind->isTight()) {
                continue;
            }
            if (! $a->touches($b, Joinery::reach($joint->kind, $this->terms->rules, $this->terms->format))) {
                $this->collisions->apart($a, $b);
            }
        }
    }

    /** What is bought and takes up room, among the pieces. */
    private function fixtures(Assembly $assembly): void
    {
        foreach ($assembly->fixtures as $fixture) {
            foreach ($assembly->placed as $placed) {
                $by = $placed->bounds->meets($fixture->block, self::TOUCH) ? $placed->solid()->overlap(Solid::block($fixture->block), self::TOUCH) : 0.0;
                if ($by > self::TOUCH) {
                    $this->collisions->inFixture($placed, $fixture, $by);
                }
            }
        }
    }

    /** @param list<Placed> $placed of a run, or of what lies on a wall */
    private function outside(RunFrame $frame, ?FittedRun $run, array $placed): void
    {
        $enclosure = new Enclosure($this->terms->room, $this->terms->rules->skirtingStays);
        foreach ($placed as $one) {
            if ($enclosure->isFree($frame->stands->around($one->bounds))) {
                continue;
            }
            foreach ($enclosure->outside($one->inRoom($frame), self::TOUCH) as $surface => $by) {
                // What lines an opening stands in its wall.
                if ($one->part === Part::Lining && (string) $surface === (string) $frame->wall) {
                    continue;
                }
                if ($by > self::TOUCH + $this->mayRemain($run, $one, (string) $surface)) {
                    $this->collisions->outside($run, $one, (string) $surface, $by);
                }
            }
        }
    }

    /** What an edge that is scribed to a surface may be off it, as its scribe line says; nothing at any other. */
    private function mayRemain(?FittedRun $run, Placed $placed, string $surface): float
    {
        $most = 0.0;
        foreach ($placed->piece->works as $work) {
            if (! $work instanceof Scribed) {
                continue;
            }
            $isIts = match ($work->to) {
                Side::Top => $surface === 'ceiling',
                Side::Foot => $surface === 'floor',
                default => is_numeric($surface),
            };
            $most = $isIts ? max($most, $run?->edge($work->to, $placed->owner)?->scribe?->mayRemain() ?? 0.0) : $most;
        }

        return $most;
    }

    /**
     * Pieces of two runs, or of a run and of what lies on a wall, turned into the room.
     *
     * @param  list<Placed>  $own
     * @param  list<Placed>  $others
     */
    private function between(RunFrame $frame, array $own, RunFrame $other, array $others): void
    {
        $standing = array_map(fn (Placed $one) => [$one, Footprint::of($other, $one->bounds)], $others);
        foreach ($own as $a) {
            $print = Footprint::of($frame, $a->bounds);
            $solid = null;
            foreach ($standing as [$b, $its]) {
                if ($print->overlap($its) <= self::TOUCH) {
                    continue;
                }
                $solid ??= $a->inRoom($frame);
                $by = $solid->overlap($b->inRoom($other), self::TOUCH);
                if ($by > self::TOUCH) {
                    $this->collisions->overlapping($a, $b, $by);
                }
            }
        }
    }
}
