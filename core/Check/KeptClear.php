<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Geometry\Solid;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;
use Incastro\Units\Placed;

/**
 * What is on the faces of the space against every piece: nothing stands in it, nor in what is kept clear around it for its
 * air, for heat, for a hand, or so that it stays uncovered.
 */
final readonly class KeptClear
{
    /** What stands nearer before a window or a vent than this covers it, mm. */
    private const BEFORE = 200.0;

    /** Air under a top that is cut for a vent, mm. */
    private const UNDER = 150.0;

    /** The rail of a face frame takes so much of the way of the air at the face, and this least height stays under it, mm. */
    private const RAIL = 75.0;

    private const PATH = 75.0;

    private ThingPlace $places;

    /** @param list<string> $openings */
    public function __construct(RunFrame $frame, private Terms $terms, private array $openings, private Collisions $collisions)
    {
        $this->places = new ThingPlace($terms->room, $frame);
    }

    /**
     * @param  list<Placed>  $placed
     * @param  bool  $comesOff  what a hand reaches may lie behind it
     */
    public function look(array $placed, bool $comesOff = false): void
    {
        foreach ($this->terms->room->things as $thing) {
            if (! $thing->isInTheWay()) {
                continue;
            }
            foreach ([...$this->zones($thing, $comesOff), ...$this->air($thing, $placed)] as [$zone, $words]) {
                foreach ($placed as $one) {
                    if (! $one->bounds->meets($zone->bounds, Assembled::TOUCH)) {
                        continue;
                    }
                    $by = $one->solid()->overlap($zone, Assembled::TOUCH);
                    if ($by > Assembled::TOUCH) {
                        $this->collisions->inThing($one, $thing, $by, $words);
                    }
                }
            }
        }
    }

    /** @return list<array{Solid, string}> what must be free, and what is said of a piece that is not */
    private function zones(Thing $thing, bool $comesOff): array
    {
        $zones = [];
        $body = $this->places->solid($thing);
        if ($body !== null && $thing->kind !== ThingKind::Window && $thing->kind !== ThingKind::Door) {
            $zones[] = [$body, '%s stands %s inside %s.'];
        }
        $isOpened = in_array($thing->id, $this->openings, true);
        $clear = $thing->rule === ThingRule::Clearance ? $thing->clearance
            : ($isOpened || $thing->kind->isCutAround() ? $this->places->clearance($thing, $this->terms->rules, $isOpened) : 0.0);
        $around = $clear > 0.0 ? $this->places->solid($thing, $clear) : null;
        if ($around !== null) {
            $zones[] = [$around, '%s stands %s inside what is kept clear around %s.'];
        }
        if ($thing->rule === ThingRule::Uncovered || ($thing->rule === ThingRule::Reachable && ! $comesOff && ! $isOpened && ! $thing->kind->isCutAround())) {
            $before = $this->places->before($thing, self::BEFORE);
            $zones = $before === null ? $zones : [...$zones, [$before, $thing->rule === ThingRule::Uncovered ? '%s covers %s of %s, which stays uncovered.' : '%s covers %s of %s: a hand must reach it.']];
        }
        $hand = $thing->rule === ThingRule::Reachable ? $this->places->handRoom($thing) : null;

        return $hand === null ? $zones : [...$zones, [$hand, '%s takes %s of the room that a hand needs at %s.']];
    }

    /**
     * Where a top is cut for the air of a vent over it: what is free under the hole, and from there to the face, as large as the vent.
     *
     * @param  list<Placed>  $placed
     * @return list<array{Solid, string}>
     */
    private function air(Thing $thing, array $placed): array
    {
        $vent = $this->places->block($thing);
        foreach ($thing->isCeilingVent() ? $placed : [] as $top) {
            if (! $top->piece->isCutFor($thing->id)) {
                continue;
            }
            $box = array_map(fn (Placed $one) => $one->bounds, array_values(array_filter($placed, fn (Placed $one) => $one->owner === $top->owner)));
            $face = max([$top->bounds->v1, ...array_map(fn (Block $block) => $block->v1, $box)]);
            [$foot, $wide] = [$top->bounds->z0, $top->bounds->u1 - $top->bounds->u0];
            $high = max(self::PATH, ($vent->u1 - $vent->u0) * ($vent->v1 - $vent->v0) / $wide);
            $words = '%s stands %s in the air of %s.';

            return [
                [Solid::block(new Block($vent->u0, $vent->u1, $vent->v0, $vent->v1, $foot - self::UNDER, $foot)), $words],
                [Solid::block(new Block($vent->u0, $vent->u1, $vent->v0, $face, $foot - self::RAIL - $high, $foot - self::RAIL)), $words],
            ];
        }

        return [];
    }
}
