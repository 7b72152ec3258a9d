<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Box;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\Members\Over;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Rules\Severity;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Thing;
use Incastro\Units\Fixture;
use Incastro\Units\Placed;

/** What was found when everything was put together, told once for every pair of owners, by its worst place. */
final class Collisions
{
    /** @var array<string, array{float, Finding}> by what meets what */
    private array $worst = [];

    /** @var list<Finding> clashes that were found before */
    private array $found;

    /** @param list<Finding> $found */
    public function __construct(private readonly FittedLayout $layout, private readonly Terms $terms, array $found)
    {
        $this->found = array_values(array_filter($found, fn (Finding $finding) => $finding->severity === Severity::Clash));
    }

    /**
     * Whether a clash of one of some kinds is about all of these already.
     *
     * @param  \Closure(Code): bool  $kind
     */
    private function isSaid(\Closure $kind, string ...$about): bool
    {
        foreach ($this->found as $finding) {
            if ($kind($finding->code) && array_diff($about, [$finding->place, ...$finding->related]) === []) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return array_column($this->worst, 1);
    }

    public function overlapping(Placed $a, Placed $b, float $by): void
    {
        if ($this->isSaid(fn (Code $code) => $code === Code::Overlap, $a->owner, $b->owner)) {
            return;
        }
        $pair = [$a->owner, $b->owner];
        sort($pair);
        $this->note('overlap:'.implode('|', $pair), $by, fn () => Finding::clash(Code::AssembledOverlap, sprintf(
            '%s stands %s inside %s, %s along and %s up.',
            $a->piece->mark,
            $this->terms->write($by),
            $b->piece->mark,
            $this->terms->write(max($a->bounds->u0, $b->bounds->u0)),
            $this->terms->write(max($a->bounds->z0, $b->bounds->z0)),
        ), $a->owner)->about(array_values(array_unique([$b->owner, $a->piece->key, $b->piece->key])))->withWaysOut([...$this->without($a->owner), ...($b->owner === $a->owner ? [] : $this->without($b->owner))]));
    }

    public function inFixture(Placed $placed, Fixture $fixture, float $by): void
    {
        $this->note("fixture:$fixture->tier|$placed->owner", $by, fn () => Finding::clash(Code::AssembledOverlap, sprintf('%s stands %s inside the %s.', $placed->piece->mark, $this->terms->write($by), lcfirst($fixture->name)), $fixture->tier)
            ->about([$placed->owner, $placed->piece->key])->withWaysOut($this->without($fixture->tier)));
    }

    public function apart(Placed $a, Placed $b): void
    {
        $this->note("apart:$a->owner|$b->owner", 0.0, fn () => Finding::clash(Code::AssembledApart, sprintf('%s does not reach %s, to which it is fixed.', $a->piece->mark, $b->piece->mark), $a->owner)->about([$a->piece->key, $b->piece->key])->withWaysOut($this->without($a->owner)));
    }

    public function outside(?FittedRun $run, Placed $placed, string $surface, float $by): void
    {
        // A run that asks for more than it has stands in the walls, and a box that is too high in the ceiling.
        if (($run !== null && $this->isSaid(fn (Code $code) => $code === Code::RunOverfull || $code === Code::RunDepth, $run->run->id)) || $this->isSaid(fn (Code $code) => $code === Code::GoingInSlid, $placed->owner)) {
            return;
        }
        $shape = $this->terms->room->shape;
        $what = is_numeric($surface) ? 'the '.$shape->wallName((int) $surface) : "the $surface";
        $this->note("outside:$placed->owner|$surface", $by, fn () => Finding::clash(Code::AssembledOutside, sprintf('%s goes %s through %s.', $placed->piece->mark, $this->terms->write($by), $what), $placed->owner)
            ->about([$placed->piece->key])->withWaysOut([...($run === null ? [] : $this->larger($run, $placed->owner)), ...$this->without($placed->owner)]));
    }

    public function inThing(Placed $placed, Thing $thing, float $by, string $words): void
    {
        if ($this->isSaid(fn (Code $code) => $code->isAboutThing(), $thing->id)) {
            return;
        }
        // What lies on a wall is cut out round a box in it.
        $isOnWall = array_filter($this->layout->surfaces, fn (FittedSurface $surface) => $surface->surface->id === $placed->owner) !== [];
        $ways = [...($isOnWall ? [new WayOut('Cut an opening for it', Edits::opening($thing->id))] : []), ...$this->without($placed->owner)];
        array_push($ways, ...$thing->removal());
        $this->note("thing:$placed->owner|$thing->id", $by, fn () => Finding::clash(Code::AssembledThing, sprintf($words, $placed->piece->mark, $this->terms->write($by), lcfirst($thing->name)), $placed->owner)
            ->about([$thing->id, $placed->piece->key])->withWaysOut($ways));
    }

    /** @param \Closure(): Finding $finding */
    private function note(string $key, float $by, \Closure $finding): void
    {
        if (! isset($this->worst[$key]) || $by > $this->worst[$key][0]) {
            $this->worst[$key] = [$by, $finding()];
        }
    }

    /** @return list<WayOut> sizes that were chosen, given back to what goes in */
    private function larger(FittedRun $run, string $owner): array
    {
        $ways = [];
        $box = $run->box($owner);
        if ($run->run->height !== null) {
            $ways[] = new WayOut('As high as goes in', Edits::run($run->run->id)->with('height', null));
        }
        if ($run->run->depth !== null) {
            $ways[] = new WayOut('As deep as goes in', Edits::run($run->run->id)->with('depth', null));
        }
        foreach ($run->run->bays as $bay) {
            foreach ($bay->tiers as $tier) {
                if ($tier->depth !== null && ($tier->id === $owner || $box?->holds($tier->id) === true)) {
                    $ways[] = new WayOut('As deep as the run', Edits::tier($tier->id)->with('depth', null));
                }
            }
        }

        return $ways;
    }

    /** @return list<WayOut> without what is in the way */
    private function without(string $owner): array
    {
        $id = explode('/', $owner)[0];
        foreach ($this->layout->surfaces as $surface) {
            if ($surface->surface->id === $owner) {
                return [...$this->overFurniture($surface), new WayOut('Take the '.lcfirst(Blueprint::of($surface->surface->holds::class)->about->label).' away', Edits::withoutSurface($owner))];
            }
        }
        foreach ($this->layout->runs as $run) {
            foreach ($run->run->bays as $bay) {
                foreach ($bay->tiers as $tier) {
                    if ($tier->id === $id) {
                        return [new WayOut('Leave an open gap there', Edits::tier($tier->id)->emptied())];
                    }
                }
            }
            foreach ($run->members as $member) {
                if ($member->id === $owner && ! str_contains($member->id, '/plinth/')) {
                    return [new WayOut('Take the '.lcfirst(Blueprint::of($member->holds::class)->about->label).' away', Edits::withoutMember($id))];
                }
            }
        }

        return [];
    }

    /** @return list<WayOut> on the wall of a run it may begin over what stands there */
    private function overFurniture(FittedSurface $surface): array
    {
        foreach ($this->layout->runs as $run) {
            $tops = [...array_map(fn (Box $box) => $box->highest(), $run->boxes), ...array_map(fn (Over $top) => $top->z + $this->terms->materials->for(Purpose::Top)->thickness->toDouble(), $run->over())];
            if ($run->frame->wall === $surface->frame->wall && $tops !== []) {
                $over = Length::ofDouble(max($tops))->roundedUp($this->terms->format->step);
                $least = $surface->surface->holds->demand($this->terms->rules, $this->terms->materials)->height->least->toDouble();
                if ($surface->z + $surface->height->result->toDouble() - $over->toDouble() < $least) {
                    return [];
                }

                return [new WayOut(sprintf('Begin it over the furniture, %s up', $this->terms->format->write($over)), Edits::surface($surface->surface->id)->measuring('on.foot', $over))];
            }
        }

        return [];
    }
}
